import type { EpochMs } from '../../ids'
import type { PeriodPlan } from './replan'
import { BENCH_HAS, type PeriodTerms } from './session'
import { MINUTE_MS, type PeriodTask, TAGS } from './task'

/** Something that runs by itself. */
export interface Running {
  readonly task: PeriodTask
  readonly endsAtMs: EpochMs
  /** What the hands do next with it, or null. */
  readonly next: PeriodTask | null
}
/** Something the hands could begin. */
export interface Ready {
  readonly task: PeriodTask
  /** When the plan begins it. */
  readonly plannedAtMs: EpochMs
  /** What it needs is not free before this; null when it is free now. */
  readonly freeFromMs: EpochMs | null
}
/** What a student sees first: what runs, what the hands are at, what they could do. */
export interface AtHand {
  /** What everything waits for first, then what ends soonest. */
  readonly running: readonly Running[]
  /** What was begun by hand and is not done. */
  readonly doing: readonly PeriodTask[]
  readonly ready: readonly Ready[]
  /** Nothing is left that needs hands, and nothing runs. */
  readonly isOver: boolean
}

/**
 * What is at hand now, from the tasks and their plan.
 *
 * @param tasks as `tasksOf` has them
 * @param plan null while it is not worked out: then nothing is held against it
 */
export function atHand(
  tasks: readonly PeriodTask[],
  plan: PeriodPlan | null,
  terms: Pick<PeriodTerms, 'beginsAtMs' | 'busy'>,
  nowMs: EpochMs,
): AtHand {
  const aside = new Set(plan?.aside)
  const critical = new Set(plan?.criticalPath)
  const remaining = tasks.filter(({ id }) => !aside.has(id))
  const isDone = new Map(tasks.map(({ id, state }) => [id, state.is === 'done']))
  const after = (id: string) => remaining.filter((task) => task.after.some((one) => one.task === id))
  const running = remaining
    .flatMap((task): Running[] =>
      task.isAlone && task.state.is === 'running'
        ? [
            {
              task,
              endsAtMs: task.state.untilMs,
              next: after(task.id).find((one) => !one.isAlone && one.state.is === 'open') ?? null,
            },
          ]
        : [],
    )
    .sort(
      (p, q) => Number(critical.has(q.task.id)) - Number(critical.has(p.task.id)) || p.endsAtMs - q.endsAtMs,
    )
  const doing = remaining.filter((task) => !task.isAlone && task.state.is === 'running')
  const open = remaining.filter((task) => !task.isAlone && task.state.is === 'open')
  const startMs = (task: PeriodTask) =>
    plan?.starts[task.id] === undefined
      ? Infinity
      : terms.beginsAtMs + (plan.starts[task.id] ?? 0) * MINUTE_MS
  // Of what there is one of, what is at work is not free.
  const held = new Set(
    remaining
      .flatMap((task) => (task.state.is === 'running' ? Object.keys(task.needs) : []))
      .filter((name) => name !== 'hands' && (BENCH_HAS[name as keyof typeof BENCH_HAS] ?? 1) === 1),
  )
  const ready = open
    .filter((task) =>
      task.after.every(
        ({ task: before }) => aside.has(before) || !isDone.has(before) || isDone.get(before) === true,
      ),
    )
    .filter((task) => !Object.keys(task.needs).some((name) => held.has(name)))
    .map((task) => ({
      task,
      plannedAtMs: startMs(task),
      freeFromMs: freeFrom(task, terms, nowMs),
    }))
    .sort(
      (p, q) =>
        Number(p.freeFromMs !== null) - Number(q.freeFromMs !== null) || p.plannedAtMs - q.plannedAtMs,
    )
  return { running, doing, ready, isOver: running.length === 0 && doing.length === 0 && open.length === 0 }
}

/** When others give back what a task needs; null when nothing of it is taken now. */
function freeFrom(task: PeriodTask, { busy }: Pick<PeriodTerms, 'busy'>, nowMs: EpochMs): EpochMs | null {
  const taken = busy.filter(
    ({ what, fromAtMs, toAtMs }) =>
      fromAtMs <= nowMs &&
      toAtMs > nowMs &&
      (what === 'flame' ? task.tags?.includes(TAGS.vapour) === true : (task.needs[what] ?? 0) > 0),
  )
  return taken.length === 0 ? null : Math.max(...taken.map(({ toAtMs }) => toAtMs))
}
