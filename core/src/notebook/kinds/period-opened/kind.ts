import type { EpochMs, InstrumentId, SubjectId } from '../../../ids'
import { defineKind } from '../defineKind'

/** What somebody else has, or lights, for a while. */
export interface PeriodBusy {
  /** A flame keeps flammable vapour away; everything else is taken for as long. */
  readonly what: InstrumentId | 'balance' | 'hot plate' | 'flame'
  /** Who has it, in the student’s own words. */
  readonly who: string
  readonly fromAtMs: EpochMs
  readonly toAtMs: EpochMs
}
/** A task as it was planned when the period was opened, to be read beside how it went. */
interface PlannedTask {
  readonly task: string
  readonly words: string
  readonly startMin: number
  readonly durationMin: number
}
/** A lab period: from, to, how many pairs of hands, and what others have. The latest such line of a period stands. */
export interface PeriodOpened {
  readonly beginsAtMs: EpochMs
  readonly endsAtMs: EpochMs
  readonly hands: 1 | 2
  /** Whether minutes taken on this bench before stand in for the plan’s. */
  readonly isOwnPace: boolean
  readonly busy: readonly PeriodBusy[]
  /** What matters most, where not everything fits; null: what was begun first. */
  readonly first: SubjectId | null
  /** How everything was planned then; min from the beginning of the period. */
  readonly planned: readonly PlannedTask[]
}
export const periodOpened = defineKind<PeriodOpened>()({
  kind: 'period opened',
  version: 1,
  about: 'period',
  sentence: ({ beginsAtMs, endsAtMs, hands }) =>
    `Set a lab period of ${Math.round((endsAtMs - beginsAtMs) / 60_000)} min for ${hands === 1 ? 'one' : 'two'}.`,
})
