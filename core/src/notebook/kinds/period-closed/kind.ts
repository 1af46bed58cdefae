import type { EpochMs } from '../../../ids'
import { defineKind } from '../defineKind'

/** A task as it went. */
interface TaskDone {
  readonly task: string
  readonly words: string
  readonly fromAtMs: EpochMs
  readonly toAtMs: EpochMs
}
/** The period is over: what was done in it and when, and what is left for another day. */
export interface PeriodClosed {
  readonly outAtMs: EpochMs
  readonly done: readonly TaskDone[]
  readonly left: readonly string[]
}
export const periodClosed = defineKind<PeriodClosed>()({
  kind: 'period closed',
  version: 1,
  about: 'period',
  sentence: ({ done, left }) => `Closed the lab period: ${done.length} done, ${left.length} left.`,
})
