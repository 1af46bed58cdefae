import type { EpochMs } from '../../ids'
import type { Line } from '../../notebook/entry'
import type { TaskSetAside } from '../../notebook/kinds/task-set-aside/kind'
import type { PeriodFacts } from './periodFacts'
import type { PeriodTask } from './task'

type Of = Pick<PeriodFacts, 'id'>

/** Said by hand: a task has begun, or one that leaves no other trace is done. */
export function noteTask({ id }: Of, { id: task, words }: PeriodTask, is: 'begun' | 'done'): Line {
  return { kind: 'task noted', subject: id, body: { task, words, is } }
}

/**
 * A task is put off, set aside, or taken up again.
 *
 * @param untilAtMs not before, where it is put off until a time
 */
export function setTaskAside(
  { id }: Of,
  { id: task, words }: PeriodTask,
  until: TaskSetAside['until'],
  untilAtMs: EpochMs | null = null,
): Line {
  return { kind: 'task set aside', subject: id, body: { task, words, until, untilAtMs } }
}

/** So many tasks a line of the ledger holds. */
const TASKS_MOST = 300

/**
 * The period is over: what the hands did in it and when, and what is left.
 *
 * @param nowMs when it was over; what was begun after that is not of it
 */
export function closePeriod(
  { id, opened }: Pick<PeriodFacts, 'id' | 'opened'>,
  tasks: readonly PeriodTask[],
  nowMs: EpochMs,
): Line {
  const byHand = tasks.filter(({ isAlone }) => !isAlone)
  const isDone = (state: PeriodTask['state']): state is Extract<PeriodTask['state'], { is: 'done' }> =>
    state.is === 'done' && state.fromMs < nowMs
  return {
    kind: 'period closed',
    subject: id,
    body: {
      outAtMs: nowMs,
      done: byHand
        .flatMap(({ id: task, words, state }) =>
          isDone(state) && state.toMs > opened.body.beginsAtMs
            ? [{ task, words, fromAtMs: Math.round(state.fromMs), toAtMs: Math.round(state.toMs) }]
            : [],
        )
        .slice(0, TASKS_MOST),
      left: byHand
        .filter(({ state, isOptional }) => !isDone(state) && !isOptional)
        .map(({ words }) => words)
        .slice(0, TASKS_MOST),
    },
  }
}
