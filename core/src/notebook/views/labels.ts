import type { EpochMs } from '../../ids'
import type { Compound, Solvent } from '../../substances/shelf'
import { hazardLine } from '../../substances/hazards'
import { signalWordOf } from '../../substances/pictograms'
import type { Weighed } from '../kinds/weighed/kind'
import type { View } from '../fold'
import { drynessOf } from './dryness'
import { type PrepFacts, putAsideOf, sampleOf } from './prep'
import { capital } from '../../words'

/** What is labelled of a prep. */
export type Labelled = 'crystals' | 'second crop' | 'mother liquor' | 'residue' | 'crude kept back'

/** What stands on one label. */
export interface LabelFacts {
  readonly what: Labelled
  /** What is in it, in words. */
  readonly name: string
  /** The weighing its mass is from; null where it has not been weighed. */
  readonly mass: Weighed | null
  /** A mass that was planned, as text, where nothing was weighed. */
  readonly about: string | null
  readonly atMs: EpochMs
  readonly author: string
  readonly hazards: string
  /** Hazard codes of all that is in it, for pictograms, and the signal word on file where it is the solid alone. */
  readonly codes: readonly string[]
  readonly signalWord: 'Danger' | 'Warning' | undefined
  /** How it is left until it is gone on with; null once it is judged and signed. */
  readonly notFinished: string | null
}

/**
 * The labels of a prep, those there is something to put on: the crystals, a second crop, the liquor or the residue it
 * was evaporated to, the crude that was kept back.
 * What was not weighed carries the day of the last step that was done.
 */
export function labelsOf(view: View, prep: PrepFacts): readonly LabelFacts[] {
  const { compound } = prep.opened.body
  const plan = prep.plan?.body
  const product = sampleOf(prep, 'product')
  const second = sampleOf(prep, 'second crop')
  const solvents = plan ? [plan.solvent, ...(plan.pair ? [plan.pair.solvent] : [])] : []
  // Dry and weighed it keeps: it is finished at the bench, judged or not.
  const isKept = product?.weighing != null && drynessOf(view, prep).isDry
  const unfinished = prep.verdict || isKept ? null : leftAt(prep)
  const residue = sampleOf(prep, 'residue')
  const author = prep.opened.author
  const lastMs = Math.max(
    prep.opened.at,
    prep.plan?.at ?? 0,
    ...[...prep.ticked.values()].map(({ at }) => at),
  )
  const of = (what: Labelled, name: string, rest: Partial<LabelFacts>): LabelFacts => ({
    what,
    name,
    mass: null,
    about: null,
    atMs: lastMs,
    author,
    hazards: hazardLine(compound.hazards),
    codes: compound.hazards,
    signalWord: compound.signalWord,
    notFinished: null,
    ...rest,
  })
  const title = compound.name
  const labels: LabelFacts[] = []
  if (product)
    labels.push(
      of('crystals', `${capital(title)}, crystals`, {
        mass: product.weighing?.body ?? null,
        atMs: product.weighing?.at ?? lastMs,
        author: product.weighing?.author ?? author,
        notFinished: unfinished,
      }),
    )
  if (second)
    labels.push(
      of('second crop', `${capital(title)}, second crop`, {
        mass: second.weighing?.body ?? null,
        atMs: second.weighing?.at ?? lastMs,
        author: second.weighing?.author ?? author,
        notFinished: unfinished,
      }),
    )
  if (residue?.weighing)
    labels.push(
      of('residue', `Residue of the liquor of ${title}`, {
        mass: residue.weighing.body,
        atMs: residue.weighing.at,
        author: residue.weighing.author,
        notFinished: `Product, impurity and some solvent: not ${title}.`,
      }),
    )
  else if (plan && !prep.discarded)
    labels.push(
      of('mother liquor', `Mother liquor of ${title} in ${solvents.map(({ name }) => name).join(' and ')}`, {
        hazards: hazardLine(together(compound, solvents)),
        codes: together(compound, solvents),
        signalWord:
          signalWordOf(
            together(compound, solvents),
            compound.signalWord === 'Danger' ? 'Danger' : undefined,
          ) ?? undefined,
        notFinished: 'Keep until the recovery is known.',
      }),
    )
  const putAside = putAsideOf(prep)
  if (putAside)
    labels.push(
      of('crude kept back', `${capital(title)}, crude`, {
        about: `about ${Math.round(1000 * putAside.keptBackG)} mg`,
        atMs: prep.opened.at,
        notFinished: 'For its range, a plate (TLC) and a seed crystal.',
      }),
    )
  return labels
}

/** Hazards of all that is in it, each once. */
function together(compound: Compound, solvents: readonly Solvent[]): readonly string[] {
  return [...new Set([...compound.hazards, ...solvents.flatMap(({ hazards }) => hazards)])]
}

/** The safe place it stands at, or comes to next. */
function leftAt({ steps, ticked }: PrepFacts): string | null {
  const stops = steps.filter(({ stop }) => stop !== undefined)
  const reached = [...stops].reverse().find(({ id }) => ticked.has(id))
  const next = stops.find(({ id }) => !ticked.has(id))
  const at = next ?? reached
  return at?.stop ? `Not finished. Stop: ${at.stop}` : 'Not finished.'
}
