import { type Timer, TIMER_WORDS } from '../../../procedures/timers'
import { defineKind } from '../defineKind'

/** A timer runs from the time of its entry; it needs no process to keep it. */
export interface TimerStarted {
  readonly timer: Timer
  readonly minutes: number
}
export const timerStarted = defineKind<TimerStarted>()({
  kind: 'timer started',
  version: 2,
  about: 'prep',
  sentence: (body) => `Started ${body.minutes} min of ${TIMER_WORDS[body.timer]}.`,
})
