import { attempt, problem, type Result } from '../../problems'
import type { Quantity } from '../../units'
import type { PrepId, SampleId } from '../../ids'
import type { Entry } from '../entry'
import { markOfStep, type Step, type StepMark } from '../../procedures/procedure'
import { netMass } from '../../weighing/netMass'
import { percentRecovery } from '../../weighing/recovery'
import type { View } from '../fold'
import { firstLine, groupedBy, latestLine, linesOf, memoize, sameItems, subjectsWith } from '../read'
import type { PlanFixed } from '../kinds/plan-fixed/kind'
import type { PortionUse } from '../../procedures/portions'
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
export const prepsOf = memoize((view: View): readonly PrepFacts[] =>
  subjectsWith(view, 'prep opened')
    .flatMap((id) => prepOf(view, id) ?? [])
    .sort((p, q) => (p.opened.id < q.opened.id ? 1 : -1)),
)

/** One prep, or null when no such prep stands in the notebook. */
export const prepOf = memoize((view: View, id: PrepId): PrepFacts | null => {
  const opened = firstLine(view, id, 'prep opened')
  if (!opened) return null
  const plan = latestLine(view, id, 'plan fixed')
  const ticked = new Map<string, Entry<'step ticked'>>()
  for (const tick of linesOf(view, id, 'step ticked'))
    if (!ticked.has(tick.body.step)) ticked.set(tick.body.step, tick)
  return {
    id,
    opened,
    samples: sampleIdsOf(view, id).flatMap((sample) => sampleFactsOf(view, sample) ?? []),
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
})

/** Samples of each prep, in the order they were named. */
const samplesByPrep = memoize((view: View) =>
  groupedBy(
    subjectsWith(view, 'sample named')
      .flatMap((id) => firstLine(view, id, 'sample named') ?? [])
      .sort((p, q) => (p.id < q.id ? -1 : 1)),
    ({ body }) => body.prep,
  ),
)
const sampleIdsOf = memoize(
  (view: View, prep: PrepId): readonly SampleId[] =>
    samplesByPrep(view)
      .get(prep)
      ?.map(({ subject }) => subject) ?? [],
  sameItems,
)
const sampleFactsOf = memoize((view: View, id: SampleId): SampleFacts | null => {
  const named = firstLine(view, id, 'sample named')
  if (!named) return null
  const { role, label } = named.body
  const weighings = linesOf(view, id, 'weighed')
  return { id, role, label, weighing: weighings.at(-1) ?? null, weighings }
})

/** Whether a step was done: ticked, and not as left out. */
export function isDone({ ticked }: Pick<PrepFacts, 'ticked'>, step: string): boolean {
  const tick = ticked.get(step)
  return tick !== undefined && tick.body.isLeftOut !== true
}

/** The step of a prep’s plan that does this, whatever it is called, and whether it was done; null without one. */
export function stepThat(
  { steps, ticked }: Pick<PrepFacts, 'steps' | 'ticked'>,
  mark: StepMark,
): { readonly step: Step; readonly isTicked: boolean } | null {
  const step = steps.find(({ means }) => means === mark)
  return step ? { step, isTicked: isDone({ ticked }, step.id) } : null
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

/** What is put aside on a spatula is so much more or less than was meant, as a part of it. */
export const PUT_ASIDE_WITHIN = 0.2

/** The plan where some of the crude was put aside by it; null where none was, or that step was left out. */
export function putAsideOf({ plan, steps, ticked }: PrepFacts): PlanFixed | null {
  const aside = steps.find((step) => markOfStep(step) === 'put aside')
  const isLeftOut = aside !== undefined && ticked.get(aside.id)?.body.isLeftOut === true
  return plan && plan.body.keptBackG > 0 && !isLeftOut ? plan.body : null
}

/**
 * Crude that went into the flask, g: as weighed, less what the plan keeps back for range, plate and seed. Nobody weighs
 * that, so it is taken as a rectangular distribution of `PUT_ASIDE_WITHIN` either way.
 */
export function dissolvedOf(prep: PrepFacts): Result<Quantity> {
  const crude = massOf(sampleOf(prep, 'crude'))
  const keptBackG = putAsideOf(prep)?.keptBackG ?? 0
  if (!crude.ok || keptBackG <= 0) return crude
  const { value, standardUncertainty } = crude.value
  return {
    ok: true,
    value: {
      value: value - keptBackG,
      standardUncertainty: Math.hypot(standardUncertainty, (PUT_ASIDE_WITHIN * keptBackG) / Math.sqrt(3)),
    },
  }
}

/** Percent recovery from the weighings; what is odd about it is told by `odditiesOf`. */
export function recoveryOf(prep: PrepFacts): Result<Recovery> {
  const crude = dissolvedOf(prep)
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
