import { defineKind } from '../defineKind'

/** A timer runs from the time of its entry; it needs no process to keep it. */
export interface TimerStarted {
  readonly timer: 'cool' | 'ice' | 'air' | 'spin' | 'boil' | 'dry'
  readonly minutes: number
}
export const timerStarted = defineKind<TimerStarted>()({
  kind: 'timer started',
  version: 2,
  about: 'prep',
  upcasts: { 1: (body) => body },
  sentence: (body) => `Started ${body.minutes} min of ${TIMER_WORDS[body.timer]}.`,
})

export const TIMER_WORDS = {
  cool: 'cooling to room temperature',
  ice: 'ice bath',
  air: 'air drying',
  spin: 'spinning',
  boil: 'gentle boiling',
  dry: 'drying between weighings',
} as const
