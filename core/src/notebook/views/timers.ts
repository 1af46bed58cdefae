import type { EntryId, EpochMs, PrepId } from '../../ids'
import type { View } from '../fold'
import { linesOf, subjectsWith } from '../read'
import { type PrepFacts, prepOf } from './prep'
import type { TimerStarted } from '../kinds/timer-started/kind'
import { TIMER_WORDS } from '../../procedures/timers'

export interface Timer {
  readonly id: EntryId
  readonly timer: TimerStarted['timer']
  readonly words: string
  readonly minutes: number
  readonly endsAt: EpochMs
  /** Below 0 once it is over. */
  readonly leftMs: number
}

/** A finished timer is still told for this long, ms. */
const TOLD_FOR_MS = 30 * 60_000

export interface PrepTimer extends Timer {
  readonly prep: PrepId
  readonly title: string
}

/** Clocks of every prep that still matter now: running, or over and their step not yet ticked; the next to end first. */
export function timersInUse(view: View, now: EpochMs): readonly PrepTimer[] {
  return subjectsWith(view, 'timer started')
    .flatMap((id) => {
      const prep = prepOf(view, id)
      if (!prep) return []
      const { title } = prep.opened.body
      return timersInUseOf(view, prep, now).map((timer) => ({ ...timer, prep: prep.id, title }))
    })
    .sort((p, q) => p.endsAt - q.endsAt)
}

/** Those of one prep. */
export function timersInUseOf(view: View, prep: PrepFacts, now: EpochMs): readonly Timer[] {
  const isDone = ({ timer }: Timer) =>
    prep.steps.some((step) => step.timer?.timer === timer && prep.ticked.has(step.id))
  return timersOf(view, prep.id, now).filter((timer) => timer.leftMs > -TOLD_FOR_MS && !isDone(timer))
}

/** The latest timer of each sort, at this moment. */
export function timersOf(view: View, prep: PrepId, now: EpochMs): readonly Timer[] {
  const latest = new Map<string, Timer>()
  for (const { id, at, body } of linesOf(view, prep, 'timer started')) {
    const endsAt = at + body.minutes * 60_000
    latest.set(body.timer, { id, ...body, words: TIMER_WORDS[body.timer], endsAt, leftMs: endsAt - now })
  }
  return [...latest.values()]
}
