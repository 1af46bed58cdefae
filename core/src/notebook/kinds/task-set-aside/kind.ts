import type { EpochMs } from '../../../ids'
import { defineKind } from '../defineKind'

/** A task is put off by hand: not before a time, or not in this period at all. */
export interface TaskSetAside {
  readonly task: string
  readonly words: string
  readonly until: 'another day' | 'not put off' | 'a time'
  /** Not before; null unless it is put off until a time. */
  readonly untilAtMs: EpochMs | null
}
export const taskSetAside = defineKind<TaskSetAside>()({
  kind: 'task set aside',
  version: 1,
  about: 'period',
  sentence: ({ words, until }) =>
    `${until === 'not put off' ? 'Taken up again' : `Put off until ${until}`}: ${words}.`,
})
