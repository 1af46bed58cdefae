import type { Step } from '../../procedures/procedure'
import type { EntryId, EpochMs } from '../../ids'
import type { Line } from '../entry'
import type { PortionSeen } from '../kinds/portion-seen/kind'
import type { SolventAdded } from '../kinds/solvent-added/kind'
import type { View } from '../fold'
import type { PrepFacts } from '../views/prep'
import { timersOf, type Timer } from '../views/timers'

/** Waits that begin the moment the step before them is done: off the heat it cools, out of the ice it is collected. */
const BEGIN_BY_THEMSELVES: readonly Timer['timer'][] = ['cool', 'ice', 'air']
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
  const clock = next && at >= 0 ? clockOf(view, prep, next, now) : null
  return [tick(prep, step), ...(clock ? [clock] : [])]
}

function clockOf(view: View, prep: PrepFacts, { timer }: Step, now: EpochMs): Line | null {
  if (!timer || !BEGIN_BY_THEMSELVES.includes(timer.timer)) return null
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
  const isDone = isWhole && next !== undefined && (DONE_BY_ADDING.includes(next.id) || next.id === WETTED)
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
