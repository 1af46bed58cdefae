import type { EpochMs } from '../../ids'
import type { PeriodFacts } from './periodFacts'
import type { PeriodTask } from './task'

/**
 * One pair of hands does one thing after another: where nobody noted when something was begun, it was not before the
 * hands left the last.
 */
export function oneByOne(tasks: readonly PeriodTask[], period: PeriodFacts | null): readonly PeriodTask[] {
  if (period?.opened.body.hands !== 1) return tasks
  const began = new Map<string, EpochMs>()
  let lastMs = -Infinity
  const done = tasks.flatMap(({ id, isAlone, state }) =>
    state.is === 'done' && !isAlone ? [{ id, fromMs: state.fromMs, toMs: state.toMs }] : [],
  )
  for (const { id, fromMs, toMs } of done.sort((p, q) => p.toMs - q.toMs)) {
    if (fromMs < lastMs && lastMs < toMs && !period.begun.has(id)) began.set(id, lastMs)
    lastMs = Math.max(lastMs, toMs)
  }
  return tasks.map((task) => {
    const fromMs = began.get(task.id)
    return fromMs === undefined || task.state.is !== 'done'
      ? task
      : { ...task, state: { ...task.state, fromMs } }
  })
}
