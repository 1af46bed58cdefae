import type { Step } from '../../procedures/procedure'
import type { EntryId, EpochMs } from '../../ids'
import type { Line } from '../entry'
import type { PortionSeen } from '../kinds/portion-seen/kind'
import type { SolventAdded } from '../kinds/solvent-added/kind'
import type { View } from '../fold'
import type { PrepFacts } from '../views/prep'
import { linesOf } from '../read'
import { dissolvingOf } from '../views/dissolving'
import { solventLeft } from '../views/solventLeft'
import { timersOf, type Timer } from '../views/timers'

/**
 * Steps with which a wait has begun: off the heat it cools, and rinsed or pressed with the suction on it draws air. What
 * has to be set up first (ice, a centrifuge, crystals to be spread) waits for a press of its own.
 */
const BEGINS_WITH: Readonly<Record<string, Timer['timer']>> = {
  'off-the-heat': 'cool',
  'heat-away': 'cool',
  'cover-the-filtrate': 'cool',
  'rinse-cold': 'air',
  'press-dry': 'air',
}
/** Steps that are done once their solvent is in. */
const DONE_BY_ADDING: readonly string[] = ['dilute-hot', 'top-up-hot', 'rinse-cold']
/** What goes in before the heat fulfils this one. */
const WETTED = 'wet-the-crude'

const tick = (prep: PrepFacts, step: string): Line => ({
  kind: 'step ticked',
  subject: prep.id,
  body: { step },
})

/** A step is done; the clock of the wait that begins with it starts at once. */
export function tickStep(view: View, prep: PrepFacts, step: string, now: EpochMs): readonly Line[] {
  const at = prep.steps.findIndex(({ id }) => id === step)
  const next = prep.steps.slice(at + 1).find(({ id }) => !prep.ticked.has(id))
  const clock =
    next && at >= 0 && next.timer?.timer === BEGINS_WITH[step] ? clockOf(view, prep, next, now) : null
  return [tick(prep, step), ...(clock ? [clock] : [])]
}

function clockOf(view: View, prep: PrepFacts, { timer }: Step, now: EpochMs): Line | null {
  if (!timer) return null
  // One that was started by hand, or for a step before, goes on as it is.
  const isRunning = timersOf(view, prep.id, now).some((one) => one.timer === timer.timer)
  return isRunning ? null : { kind: 'timer started', subject: prep.id, body: timer }
}

/**
 * A portion of solvent is in. Where it is all that its step asks for, the step is done with it.
 *
 * @param isWhole as much as the plan has: up to its volume, its rinse, or what wets the crude before the heat
 */
export function addPortion(
  view: View,
  prep: PrepFacts,
  body: SolventAdded,
  isWhole: boolean,
  now: EpochMs,
): readonly Line[] {
  const added: Line = { kind: 'solvent added', subject: prep.id, body }
  const next = prep.steps.find(({ id }) => !prep.ticked.has(id))
  const isDone = isWhole && next !== undefined && (DONE_BY_ADDING.includes(next.id) || isWetting(next))
  return isDone ? [added, ...tickStep(view, prep, next.id, now)] : [added]
}

/** What a portion did; once all is dissolved, the step that dissolves it is done. */
export function seePortion(
  view: View,
  prep: PrepFacts,
  portion: EntryId,
  effect: PortionSeen['effect'],
  now: EpochMs,
): readonly Line[] {
  const seen: Line = { kind: 'portion seen', subject: prep.id, body: { portion, effect } }
  const next = prep.steps.find(({ id }) => !prep.ticked.has(id))
  const isDone = effect === 'all dissolved' && next?.portions === 'dissolve' && DISSOLVES.test(next.id)
  return isDone ? [seen, ...tickStep(view, prep, next.id, now)] : [seen]
}
/** Not where more is asked for than that it dissolves. */
const DISSOLVES = /^dissolve-(in-portions|under-reflux|by-drops)$/

/** What one key does at the next step: a wait is waited for, and a step that asks for something is not run past. */
export type NextAct = 'tick' | 'start its clock' | 'log its solvent' | 'nothing yet'

/** What is to be done at a step that is next, so that one key may do it. */
export function nextActOf(view: View, prep: PrepFacts, step: Step, now: EpochMs): NextAct {
  if (step.timer) {
    const timer = timersOf(view, prep.id, now).find((one) => one.timer === step.timer?.timer)
    if (!timer) return 'start its clock'
    if (timer.leftMs > 0) return 'nothing yet'
  }
  if (step.asks === 'centrifuge partner')
    return linesOf(view, prep.id, 'balanced').some(({ body }) => body.step === step.id)
      ? 'tick'
      : 'nothing yet'
  if (isWetting(step)) return solventLeft(prep, 'dissolve') ? 'log its solvent' : 'tick'
  if (step.portions === undefined) return 'tick'
  const isByPortions = step.portions === 'dissolve' && prep.plan?.body.amount !== 'measured volume'
  // Dissolving in portions ends by what was seen, a cloud by the second solvent that made it.
  if (isByPortions) return ENDED.includes(dissolvingOf(view, prep).state) ? 'tick' : 'nothing yet'
  if (step.portions === 'second' && !prep.portions.some(({ body }) => body.use === 'second'))
    return 'nothing yet'
  return solventLeft(prep, step.portions) ? 'log its solvent' : 'tick'
}

const ENDED: readonly ReturnType<typeof dissolvingOf>['state'][] = ['dissolved', 'grit']

/** The step that wets the crude before it goes on the heat. */
export const isWetting = ({ id }: Pick<Step, 'id'>): boolean => id === WETTED
