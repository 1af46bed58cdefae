import type { EntryId, EpochMs, PrepId } from '../../ids'
import type { View } from '../fold'
import { linesOf } from '../read'
import { TIMER_WORDS, type TimerStarted } from '../kinds/timer-started/kind'

export interface Timer {
  readonly id: EntryId
  readonly timer: TimerStarted['timer']
  readonly words: string
  readonly minutes: number
  readonly endsAt: EpochMs
  /** Below 0 once it is over. */
  readonly leftMs: number
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
