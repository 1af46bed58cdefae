import { type Result } from '../../problems'
import { type Quantity } from '../../units'
import { type PrepId, type SampleId } from '../../ids'
import { type Entry } from '../entry'
import { attempt, problem } from '../../problems'
import type { Step } from '../../procedures/procedure'
import { netMass } from '../../weighing/netMass'
import { percentRecovery } from '../../weighing/recovery'
import { latestLine, linesOf, type View } from '../fold'
import type { PortionUse } from '../kinds/solvent-added/kind'
import type { SampleRole } from '../kinds/sample-named/kind'
import { weighingOf } from '../kinds/weighed/kind'

export interface SampleFacts {
  readonly id: SampleId
  readonly role: SampleRole
  readonly label: string
  /** The latest weighing that stands. */
  readonly weighing: Entry<'weighed'> | null
  /** All that stand, in the order made: of a drying product, a trend. */
  readonly weighings: readonly Entry<'weighed'>[]
}

export interface PrepFacts {
  readonly id: PrepId
  readonly opened: Entry<'prep opened'>
  readonly samples: readonly SampleFacts[]
  readonly plan: Entry<'plan fixed'> | null
  readonly steps: readonly Step[]
  readonly ticked: ReadonlyMap<string, Entry<'step ticked'>>
  readonly portions: readonly Entry<'solvent added'>[]
  readonly removals: readonly Entry<'solvent removed'>[]
  readonly observations: readonly Entry<'observed'>[]
  readonly discarded: Entry<'liquor discarded'> | null
  readonly reaction: Entry<'reaction named'> | null
  readonly verdict: Entry<'verdict signed'> | null
}

/** Every prep of the notebook, the newest first. */
export function prepsOf(view: View): readonly PrepFacts[] {
  const preps: PrepFacts[] = []
  for (const subject of view.subjects.keys()) {
    const prep = prepOf(view, subject as PrepId)
    if (prep) preps.push(prep)
  }
  return preps.sort((p, q) => (p.opened.id < q.opened.id ? 1 : -1))
}

/** One prep, or null when no such prep stands in the notebook. */
export function prepOf(view: View, id: PrepId): PrepFacts | null {
  const opened = linesOf(view, id, 'prep opened')[0]
  if (!opened) return null
  const plan = latestLine(view, id, 'plan fixed')
  const ticked = new Map<string, Entry<'step ticked'>>()
  for (const tick of linesOf(view, id, 'step ticked'))
    if (!ticked.has(tick.body.step)) ticked.set(tick.body.step, tick)
  return {
    id,
    opened,
    samples: samplesOf(view, id),
    plan,
    steps: plan?.body.steps ?? [],
    ticked,
    portions: linesOf(view, id, 'solvent added'),
    removals: linesOf(view, id, 'solvent removed'),
    observations: linesOf(view, id, 'observed'),
    discarded: latestLine(view, id, 'liquor discarded'),
    reaction: latestLine(view, id, 'reaction named'),
    verdict: latestLine(view, id, 'verdict signed'),
  }
}

function samplesOf(view: View, prep: PrepId): SampleFacts[] {
  const samples: { facts: SampleFacts; named: string }[] = []
  for (const [subject, record] of view.subjects) {
    const named = record.live['sample named']?.[0]
    if (named?.body.prep !== prep) continue
    const { role, label } = named.body
    const weighings = linesOf(view, subject, 'weighed')
    const weighing = weighings[weighings.length - 1] ?? null
    samples.push({
      named: named.id,
      facts: { id: subject as SampleId, role, label, weighing, weighings },
    })
  }
  return samples.sort((p, q) => (p.named < q.named ? -1 : 1)).map((sample) => sample.facts)
}

export function sampleOf(prep: PrepFacts, role: SampleRole): SampleFacts | null {
  return prep.samples.find((sample) => sample.role === role) ?? null
}

/** Net mass of a sample's latest weighing, g. */
export function massOf(sample: SampleFacts | null): Result<Quantity> {
  const weighing = sample?.weighing
  if (!weighing) return problem('nothing-weighed', `The ${sample?.role ?? 'crude'} has not been weighed yet.`)
  return attempt(() => netMass(weighingOf(weighing.body)))
}

export interface Recovery {
  readonly crude: Quantity
  readonly product: Quantity
  readonly percent: Quantity
}

/** Percent recovery from the weighings; what is odd about it is told by `odditiesOf`. */
export function recoveryOf(prep: PrepFacts): Result<Recovery> {
  const crude = massOf(sampleOf(prep, 'crude'))
  if (!crude.ok) return crude
  const product = massOf(sampleOf(prep, 'product'))
  if (!product.ok) return product
  const percent = attempt(() => percentRecovery(product.value, crude.value))
  if (!percent.ok) return percent
  return {
    ok: true,
    value: {
      crude: crude.value,
      product: product.value,
      percent: percent.value,
    },
  }
}

/** Solvent logged so far, mL; what boiled away is taken off the hot volume. */
export interface SolventSoFar {
  /** In the flask when hot: all that was added, less what boiled away. */
  readonly hotML: number
  readonly secondML: number
  readonly rinseML: number
  readonly removedML: number
}
export function solventSoFarML(prep: PrepFacts): SolventSoFar {
  const sum = (uses: readonly PortionUse[]) =>
    prep.portions.reduce((ml, { body }) => (uses.includes(body.use) ? ml + body.volume.value : ml), 0)
  const removedML = prep.removals.reduce((ml, { body }) => ml + body.volume.value, 0)
  return {
    hotML: Math.max(0, sum(['dissolve', 'dilute', 'second']) - removedML),
    secondML: sum(['second']),
    rinseML: sum(['rinse']),
    removedML,
  }
}
