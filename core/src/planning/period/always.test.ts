import { readFileSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import { golden } from '../../../golden/contract'
import { BENCH_SHELF } from '../../../golden/benchShelf'
import { SCHOOLS } from '../../conventions/schools'
import type { EpochMs } from '../../ids'
import type { RawEntry } from '../../notebook/entry'
import { fold } from '../../notebook/fold'
import type { Bodies } from '../../notebook/kinds/list'
import type { TaskSetAside } from '../../notebook/kinds/task-set-aside/kind'
import { houseRulesOf } from '../../notebook/views/instruments'
import { replanPeriod } from './replan'
import { ifLate } from './late'
import { periodAt } from './periodFacts'
import type { PeriodTask } from './task'
import { tasksOf } from './tasksOf'
import { sessionOf } from './session'

/** An afternoon as it was lived: a prep, its melts on three instruments, an unknown beside them. */
const { entries: lived } = JSON.parse(
  readFileSync(new URL('../../../golden/two-melts.json', import.meta.url), 'utf8'),
) as { entries: readonly RawEntry[] }
const MINUTE_MS = 60_000
const [FROM, TO] = [Date.UTC(2026, 10, 30, 15, 45), Date.UTC(2026, 10, 30, 18, 45)]
const terms = (endsAtMs = TO, beginsAtMs = FROM) =>
  ({
    beginsAtMs,
    endsAtMs,
    hands: 1,
    isOwnPace: true,
    busy: [],
    first: null,
    planned: [],
  }) as Bodies['period opened']
const tasksAt = (entries: readonly RawEntry[], nowMs: EpochMs) => {
  const view = fold(entries.filter(({ at }) => at <= nowMs))
  return tasksOf(view, BENCH_SHELF, houseRulesOf(view, SCHOOLS), nowMs, periodAt(view, nowMs))
}
const NONE = new Map<string, TaskSetAside>()
/** Enough for an order; what it is worth is asked elsewhere. */
const LITTLE = 0.0005
const isHands = ({ needs }: PeriodTask) => (needs['hands'] ?? 0) > 0

/** Each minute of that afternoon, and the moments at which two melts went on at once. */
const minutes = Array.from({ length: 55 }, (_, i) => Date.UTC(2026, 10, 30, 15, 36) + i * MINUTE_MS)

describe('law: whatever the screens can write has a plan', () => {
  test('at every minute of an afternoon with two melts at once, with its waits told that are not kept', () => {
    let broken = 0
    for (const nowMs of [...minutes, 1796054040000]) {
      const tasks = tasksAt(lived, nowMs)
      const plan = replanPeriod(tasks, terms(), NONE, nowMs, null, LITTLE)
      const { session } = sessionOf(tasks, terms(), NONE, nowMs)
      for (const { id } of session.tasks)
        if (!id.startsWith('not before ')) expect(plan.starts).toHaveProperty([id])
      for (const one of plan.broken) {
        expect(one.byMin).toBeGreaterThan(0)
        expect(tasks.map(({ id }) => id)).toContain(one.task)
      }
      broken += plan.broken.length
    }
    expect(broken).toBeGreaterThan(0)
  })
  test('whatever was put off until any time', () => {
    const nowMs = golden.nowMs
    const tasks = tasksAt(golden.entries, nowMs)
    const period = periodAt(fold(golden.entries), nowMs)
    const own = period?.opened.body as Bodies['period opened']
    for (const { id, state } of tasks) {
      if (state.is !== 'open') continue
      for (const min of [7, 45, 240]) {
        const put = {
          task: id,
          until: 'a time',
          untilAtMs: nowMs + min * MINUTE_MS,
        } as unknown as TaskSetAside
        const plan = replanPeriod(tasks, own, new Map([[id, put]]), nowMs, null, LITTLE)
        if (plan.starts[id] === undefined) continue
        const offMin = Math.floor((nowMs - own.beginsAtMs) / MINUTE_MS)
        expect(plan.starts[id]).toBeGreaterThanOrEqual(offMin + min)
      }
    }
  })
})

test('law: clearing up comes after everything that hands still do, whatever is left for another day', () => {
  let left = 0
  for (const nowMs of minutes.filter((_, i) => i % 9 === 0)) {
    const tasks = tasksAt(lived, nowMs)
    for (const away of [null, ...tasks.filter(({ state }) => state.is === 'open').map(({ id }) => id)]) {
      const put =
        away === null
          ? NONE
          : new Map([[away, { task: away, until: 'another day' } as unknown as TaskSetAside]])
      const { starts, aside } = replanPeriod(tasks, terms(), put, nowMs, null, LITTLE)
      const last = starts['bench/clear up']
      if (last === undefined) continue
      left += aside.length
      for (const task of tasks)
        if (
          isHands(task) &&
          task.id !== 'bench/clear up' &&
          task.state.is === 'open' &&
          !aside.includes(task.id)
        )
          expect(last).toBeGreaterThanOrEqual((starts[task.id] ?? 0) + task.durationMin)
      // No tube is packed for a melt that is left.
      for (const task of tasks.filter(({ id, state }) => id.includes('/pack') && state.is === 'open')) {
        const melts = tasks.filter(({ after }) => after.some((one) => one.task === task.id))
        if (melts.length > 0 && melts.every(({ id }) => aside.includes(id))) expect(aside).toContain(task.id)
      }
    }
  }
  expect(left).toBeGreaterThan(0)
})

test('law: begun is begun: what stands hot, wet or spinning is never left for another day', () => {
  let open = 0
  for (const nowMs of minutes.filter((_, i) => i % 2 === 0)) {
    const tasks = tasksAt(lived, nowMs)
    const soon = terms(nowMs + 4 * MINUTE_MS, nowMs - 30 * MINUTE_MS)
    const plan = replanPeriod(tasks, soon, NONE, nowMs, null, LITTLE)
    const { chains } = sessionOf(tasks, soon, NONE, nowMs)
    const { leave } = ifLate(tasks, soon, NONE, nowMs, plan)
    for (const { id, isOpen } of chains) {
      if (isOpen !== true) continue
      open++
      expect(leave.find(({ of }) => of === id)?.gets).not.toBe('not begun')
    }
  }
  expect(open).toBeGreaterThan(5)
})

test('what only lies there is not begun: a weighed crude, a packed tube, crystals in a labelled vial', () => {
  const isOpen = (change: (tasks: readonly PeriodTask[]) => readonly PeriodTask[]) => {
    const nowMs = golden.nowMs
    const tasks = change(tasksAt(golden.entries, nowMs))
    const { chains } = sessionOf(tasks, terms(nowMs + 60 * MINUTE_MS, nowMs), NONE, nowMs)
    return (id: string) => chains.find((chain) => chain.id === id)?.isOpen
  }
  const K14 = '0a5a1c7e-0000-4000-8000-000000000140'
  const done = { is: 'done', fromMs: golden.nowMs - MINUTE_MS, toMs: golden.nowMs } as const
  const as = (name: string) => (tasks: readonly PeriodTask[]) =>
    tasks.map((task) => (task.id === `${K14}/${name}` ? { ...task, state: done } : task))
  expect(isOpen((tasks) => tasks)(K14)).toBe(false)
  expect(isOpen(as('pack to scout'))(K14)).toBe(false)
  expect(isOpen((tasks) => as('load to scout')(as('pack to scout')(tasks)))(K14)).toBe(true)
  const melted = (tasks: readonly PeriodTask[]) =>
    ['pack to scout', 'load to scout', 'heat to scout', 'watch to scout'].reduce(
      (all, name) => as(name)(all),
      tasks,
    )
  expect(isOpen(melted)(K14)).toBe(false)
})

test('tubes that are in are watched when it is time, though another bench said that it had the block', () => {
  const nowMs = golden.nowMs
  const K14 = '0a5a1c7e-0000-4000-8000-000000000140'
  const at = (min: number) => nowMs + min * MINUTE_MS
  const loading: Readonly<Record<string, PeriodTask['state']>> = {
    [`${K14}/pack to scout`]: { is: 'done', fromMs: at(-8), toMs: at(-4) },
    [`${K14}/load to scout`]: { is: 'running', fromMs: at(-1), untilMs: at(1) },
  }
  const bench3 = { what: 'programmable-block', who: 'bench 3', fromAtMs: at(-30), toAtMs: at(25) }
  const own = { ...terms(at(200), at(-30)), busy: [bench3] } as Bodies['period opened']
  const planned = (states: Readonly<Record<string, PeriodTask['state']>>) => {
    const tasks = tasksAt(golden.entries, nowMs).map((task) => ({
      ...task,
      state: states[task.id] ?? task.state,
    }))
    return replanPeriod(tasks, own, NONE, nowMs, null, LITTLE)
  }
  const { starts, broken } = planned(loading)
  expect(starts[`${K14}/watch to scout`]).toBe(31)
  expect(broken).toEqual([])
  // Before anything of ours is in it, it is theirs; and the eye is at the lens from the start of a quick run.
  const waits = planned({}).starts
  const load = waits[`${K14}/load to scout`]
  expect(load).toBeGreaterThanOrEqual(55)
  expect(waits[`${K14}/watch to scout`]).toBe(Number(load) + 2)
})
