import type { EpochMs } from '../../ids'
import { type PeriodTask, workOf } from './task'

/** Instruments with our tubes in them, and when the last of each should have melted, min. */
export function runsUnderWay(
  tasks: readonly PeriodTask[],
  minOf: (ms: EpochMs) => number,
  nowMin: number,
): ReadonlyMap<string, number> {
  const byId = new Map(tasks.map((task) => [task.id, task]))
  const endOf = ({ state, durationMin, after, run }: PeriodTask): number => {
    if (state.is === 'done') return nowMin
    if (state.is === 'running') return Math.max(nowMin, minOf(state.fromMs) + durationMin)
    const before = after.flatMap(({ task }) => byId.get(task) ?? [])
    return Math.max(nowMin, ...(run?.does === 'begins' ? [] : before.map(endOf))) + durationMin
  }
  const watches = [
    ...watchesToCome(tasks),
    ...tasks.filter(({ run, state }) => run?.does === 'ends' && state.is === 'running'),
  ]
  return new Map(watches.flatMap((task) => (task.run ? [[task.run.instrument, endOf(task)]] : [])))
}

/** An instrument with tubes in it is nobody else’s before the last of them has been watched. */
export function waitingForRun(
  tasks: readonly PeriodTask[],
): ReadonlyMap<string, readonly { readonly task: string }[]> {
  const watches = watchesToCome(tasks)
  const begins = tasks.filter(({ run, state }) => run?.does === 'begins' && state.is === 'open')
  return new Map(
    begins.map((one) => [
      one.id,
      watches.filter(({ run }) => run?.instrument === one.run?.instrument).map(({ id }) => ({ task: id })),
    ]),
  )
}

/** What is to be watched of runs whose tubes are in. */
function watchesToCome(tasks: readonly PeriodTask[]): readonly PeriodTask[] {
  const loaded = tasks.filter(({ run, state }) => run?.does === 'begins' && state.is !== 'open')
  return tasks.filter(
    (task) =>
      task.run?.does === 'ends' && task.state.is === 'open' && loaded.some((one) => isSameRun(task, one)),
  )
}

export const isSameRun = (ends: PeriodTask, begins: PeriodTask) =>
  ends.of === begins.of && workOf(ends.id).replace(/^watch /, '') === workOf(begins.id).replace(/^load /, '')
