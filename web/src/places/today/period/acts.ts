import type { Bodies, PeriodFacts, PeriodTask } from '@ivory-crystal/core'
import { write } from '../../../ledger/notebook'

/** Said by hand: a task has begun. */
export function begin({ id }: Pick<PeriodFacts, 'id'>, task: PeriodTask): void {
  write({ kind: 'task noted', subject: id, body: { task: task.id, words: task.words, is: 'begun' } })
}

/** Said by hand: a task that leaves no other trace is done. */
export function finish({ id }: Pick<PeriodFacts, 'id'>, task: PeriodTask): void {
  write({ kind: 'task noted', subject: id, body: { task: task.id, words: task.words, is: 'done' } })
}

/** Put off, set aside, or taken up again. */
export function putOff(
  { id }: Pick<PeriodFacts, 'id'>,
  task: PeriodTask,
  until: Bodies['task set aside']['until'],
  untilAtMs: number | null = null,
): void {
  write({ kind: 'task set aside', subject: id, body: { task: task.id, words: task.words, until, untilAtMs } })
}
