import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { golden } from '../../../golden/contract'
import { BENCH_SHELF } from '../../../golden/benchShelf'
import { copiesOf } from '../../../golden/copies'
import { SCHOOLS } from '../../conventions/schools'
import type { EntryId, PeriodId, PrepId } from '../../ids'
import { nextId } from '../../notebook/clock'
import type { RawEntry } from '../../notebook/entry'
import { fold, type View } from '../../notebook/fold'
import { type Bodies, type Kind, KINDS } from '../../notebook/kinds/list'
import type { TaskSetAside } from '../../notebook/kinds/task-set-aside/kind'
import { houseRulesOf } from '../../notebook/views/instruments'
import { prepsOf } from '../../notebook/views/prep'
import { SIMULATED_INSTRUMENTS } from '../../instruments/shipped'
import { closePeriod } from './acts'
import { atHand } from './atHand'
import { replanPeriod } from './replan'
import { ifLate } from './late'
import {
  atTheBench,
  periodAt,
  forgottenPeriod,
  periodBefore,
  type PeriodFacts,
  periodsOf,
} from './periodFacts'
import { type PeriodTask, workOf } from './task'
import { classTasks, tasksOf } from './tasksOf'
import { replan } from '../../scheduling/planBenchSession'
import { sessionOf } from './session'
import '../../../golden/older'

const MINUTE_MS = 60_000
const NOW = golden.nowMs
const BENZIL = '0a5a1c7e-0000-4000-8000-000000000171' as PrepId
const ADIPIC = '0a5a1c7e-0000-4000-8000-000000000111' as PrepId
const K14 = '0a5a1c7e-0000-4000-8000-000000000140'
const shelf = BENCH_SHELF
const demo = fold(golden.entries)
const [home] = golden.entries as [RawEntry]
let last: EntryId | null = null

/** The notebook with lines more, each at its minute after the demo’s moment. */
function later(view: View, lines: readonly (readonly [Kind, string, number, Bodies[Kind]])[]): View {
  const entries = lines.map(([kind, subject, min, body]): RawEntry => {
    const at = NOW + min * MINUTE_MS
    last = nextId(last, at, new Uint8Array(8).fill(7))
    return { ...home, id: last, kind, v: KINDS[kind].version, subject, body, at } as RawEntry
  })
  return fold(entries, view)
}
const tasks = (view = demo, min = 0) =>
  tasksOf(view, shelf, houseRulesOf(view, SCHOOLS), NOW + min * MINUTE_MS)
const named = (all: readonly PeriodTask[], id: string) => {
  const task = all.find((one) => one.id === id)
  if (!task) throw new Error(`${id} is none of ${all.map((one) => one.id).join(', ')}`)
  return task
}
const period = periodAt(demo, NOW) as PeriodFacts
const terms = period.opened.body
const planned = (view = demo, min = 0, before: Parameters<typeof replanPeriod>[4] = null) => {
  const facts = periodAt(view, NOW + min * MINUTE_MS) as PeriodFacts
  return replanPeriod(tasks(view, min), facts.opened.body, facts.putOff, NOW + min * MINUTE_MS, before)
}

const asOpened = planned()
const benzilPrep = () => {
  const prep = prepsOf(demo).find(({ id }) => id === BENZIL)
  if (!prep) throw new Error('no prep')
  return prep
}

describe('the tasks of a period follow from the notebook', () => {
  test('what was ticked, timed and weighed is done or goes on, and nothing is typed twice', () => {
    const all = tasks()
    const is = (id: string) => named(all, id).state.is
    expect(is(`${BENZIL}/get ready`)).toBe('done')
    expect(is(`${BENZIL}/dissolve`)).toBe('done')
    expect(named(all, `${BENZIL}/cool undisturbed alone`)).toMatchObject({
      isAlone: true,
      durationMin: 15,
      stopLabel: 'cold crystals',
      state: { is: 'running', fromMs: NOW - 320_000, untilMs: NOW - 320_000 + 15 * MINUTE_MS },
    })
    expect(is(`${ADIPIC}/spin`)).toBe('done')
    expect(is(`${ADIPIC}/spin alone`)).toBe('running')
    // It is spun twice: the clock that runs is the first.
    expect(is(`${ADIPIC}/spin-2`)).toBe('open')
    expect(is(`${BENZIL}/weigh`)).toBe('open')
    // A prep that is finished is no work, and the bench is cleared last.
    expect(all.some(({ of }) => of === '0a5a1c7e-0000-4000-8000-000000000101')).toBe(false)
    expect(all.at(-1)?.id).toBe('bench/clear up')
  })
  test('a step begun by hand goes on until it is ticked; its clock then runs', () => {
    const cold = later(demo, [
      ['step ticked', BENZIL, 10, { step: 'cool-undisturbed' }],
      ['timer started', BENZIL, 11, { timer: 'ice', minutes: 10 }],
    ])
    const all = tasks(cold, 12)
    expect(named(all, `${BENZIL}/into the ice`).state).toMatchObject({
      is: 'done',
      toMs: NOW + 11 * MINUTE_MS,
    })
    expect(named(all, `${BENZIL}/into the ice alone`).state.is).toBe('running')
    const begun = later(cold, [
      ['step ticked', BENZIL, 21, { step: 'into-ice' }],
      ['task noted', period.id, 22, { task: `${BENZIL}/collect`, words: 'Collect the benzil', is: 'begun' }],
    ])
    expect(named(tasks(begun, 23), `${BENZIL}/collect`).state).toMatchObject({
      is: 'running',
      fromMs: NOW + 22 * MINUTE_MS,
    })
    const poured = later(begun, [
      ['step ticked', BENZIL, 24, { step: 'wipe-and-pour' }],
      ['step ticked', BENZIL, 25, { step: 'rinse-cold' }],
      ['timer started', BENZIL, 26, { timer: 'air', minutes: 10 }],
    ])
    const after = tasks(poured, 27)
    expect(named(after, `${BENZIL}/collect`).state.is).toBe('done')
    expect(named(after, `${BENZIL}/collect alone`).state.is).toBe('running')
    expect(named(tasks(poured, 36), `${BENZIL}/collect alone`).state.is).toBe('done')
  })
  test('of two pieces of one sort each is begun by its own name', () => {
    const first = `${ADIPIC}/balance`
    const second = `${ADIPIC}/balance-2`
    const begun = (task: string) =>
      later(demo, [['task noted', period.id, 5, { task, words: 'Balance', is: 'begun' }]])
    expect(named(tasks(begun(first), 6), second).state.is).toBe('open')
    expect(named(tasks(begun(second), 6), second).state.is).toBe('running')
  })
  test('one pair of hands is at one thing at a time, as it was too', () => {
    const done = tasks()
      .filter(({ id, isAlone, state }) => !isAlone && state.is === 'done' && !period.begun.has(id))
      .flatMap(({ state }) => (state.is === 'done' ? [state] : []))
      .sort((p, q) => p.toMs - q.toMs)
    done.forEach(({ fromMs }, i) => {
      if (i > 0) expect(fromMs).toBeGreaterThanOrEqual(Math.min(done[i - 1]?.toMs ?? 0, done[i]?.toMs ?? 0))
    })
  })
  test('minutes come from the plan of the melt, and an unknown has its runs', () => {
    const all = tasks()
    const watch = named(all, `${BENZIL}/watch the product`)
    expect(watch.durationMin).toBeGreaterThan(10)
    expect(named(all, `${K14}/watch to scout`).isAlone).toBe(false)
    // Scouted up to its end, the block has to cool to where the careful run begins: by its own constants.
    const { session } = sessionOf(all, terms, period.putOff, NOW)
    const [ends, begins] = [named(all, `${K14}/watch to scout`).run, named(all, `${K14}/load carefully`).run]
    expect([ends?.instrument, ends?.does, begins?.does]).toEqual(['programmable-block', 'ends', 'begins'])
    const gap = session.gaps?.find(({ before }) => before === `${K14}/watch to scout`)
    expect(gap?.after).toMatch(/\/load (carefully|the product|mixed)$/)
    expect(gap?.minutes).toBeGreaterThan(0)
    expect(named(all, `${K14}/watch mixed`).isGuess).toBe(true)
  })
  test('a flammable solvent at the heat, a plate and a flame are told apart by their tags', () => {
    const all = tasks()
    expect(named(all, `${BENZIL}/dissolve`).tags).toEqual(['flammable vapour'])
    expect(named(all, `${ADIPIC}/dissolve`).tags).toEqual([])
    expect(named(all, `${BENZIL}/spot`).tags).toEqual(['flammable vapour'])
    // Poured, rinsed and drawn dry in the open; the covered flask in the hood is none.
    expect(named(all, `${BENZIL}/collect`).tags).toEqual(['flammable vapour'])
    expect(named(all, `${BENZIL}/cool undisturbed alone`).tags).toEqual([])
  })
  test('one person with the eye at a lens or at the balance does not leave a bath alone; two may', () => {
    const fresh = classTasks(demo, shelf, SCHOOLS[0] as (typeof SCHOOLS)[0], benzilPrep())
    expect(fresh.find(({ id }) => id.endsWith('/get ready alone'))?.tags).toContain('in sight')
    expect(fresh.find(({ id }) => id.endsWith('/weigh'))?.tags).toContain('eyes away')
    const heat: PeriodTask = {
      ...named(tasks(), `${BENZIL}/get ready alone`),
      id: `${BENZIL}/heat again`,
      after: [],
      durationMin: 12,
      state: { is: 'open' },
    }
    const watch: PeriodTask = { ...named(tasks(), `${K14}/watch to scout`), after: [] }
    const out = (hands: 1 | 2) =>
      replanPeriod([heat, watch], { ...terms, hands, busy: [] }, new Map(), terms.beginsAtMs, null)
        .makespanMin
    expect(out(1)).toBe(12 + watch.durationMin)
    expect(out(2)).toBe(Math.max(12, watch.durationMin))
  })
  test('what follows names tasks there are, and nothing waits in a circle', () => {
    for (const rules of SCHOOLS.slice(0, 3)) {
      const all = tasksOf(demo, shelf, rules, NOW)
      const ids = new Set(all.map(({ id }) => id))
      expect(ids.size).toBe(all.length)
      for (const { after } of all) for (const { task } of after) expect(ids).toContain(task)
      expect(replanPeriod(all, terms, new Map(), NOW, null).makespanMin).toBeGreaterThan(0)
    }
  })
  test('a prep whose plan is not fixed is weighed and planned first, and no more is promised', () => {
    const id = '0a5a1c7e-0000-4000-8000-0000000001e1' as PrepId
    const compound = prepsOf(demo)[0]?.opened.body.compound as Bodies['prep opened']['compound']
    const all = tasks(later(demo, [['prep opened', id, 1, { title: 'Another', compound }]]), 2)
    expect(all.filter(({ of }) => of === id).map((task) => workOf(task.id))).toEqual([
      'weigh the crude',
      'plan',
    ])
  })
  test('of a notebook with many open preps the period takes what was worked on last', () => {
    const many = fold(copiesOf(golden.entries, 10))
    const all = tasks(many)
    const rows = new Set(all.filter(({ isOptional, of }) => !isOptional && of !== null).map(({ of }) => of))
    expect(rows.size).toBe(4)
    expect(rows).toContain(BENZIL)
    expect(all.filter(({ id }) => id.endsWith('/go on'))).toHaveLength(10 * 3 - 4)
  })
})

describe('a period of the ledger', () => {
  test('the one that is on, the one before, and none once it was forgotten', () => {
    expect(periodsOf(demo)).toHaveLength(2)
    expect(period.closed).toBeNull()
    expect(periodBefore(demo)?.closed?.body.done).toHaveLength(3)
    expect(periodAt(demo, terms.endsAtMs + 2 * 60 * MINUTE_MS)?.id).toBe(period.id)
    expect(forgottenPeriod(demo, terms.endsAtMs + 2 * 60 * MINUTE_MS)).toBeNull()
    expect(periodAt(demo, terms.endsAtMs + 4 * 60 * MINUTE_MS)).toBeNull()
    expect(forgottenPeriod(demo, terms.endsAtMs + 4 * 60 * MINUTE_MS)?.id).toBe(period.id)
    const closed = later(demo, [['period closed', period.id, 1, { outAtMs: NOW, done: [], left: [] }]])
    expect(periodAt(closed, NOW + 2 * MINUTE_MS)).toBeNull()
    expect(forgottenPeriod(closed, terms.endsAtMs + 4 * 60 * MINUTE_MS)).toBeNull()
    // Closed for a time that is over: what was begun after it belongs to another day.
    const all = tasks(demo)
    const firstMs = Math.min(...all.flatMap(({ state }) => (state.is === 'done' ? [state.fromMs] : [])))
    expect(closePeriod(period, all, firstMs)).toMatchObject({
      body: { done: [], left: expect.arrayContaining(['Dissolve the benzil']) },
    })
  })
  test('of two opened for the same time, as on two devices at once, the later holds', () => {
    const other = '0a5a1c7e-0000-4000-8000-000000000299' as PeriodId
    const two = later(demo, [['period opened', other, 1, { ...terms, hands: 2 }]])
    expect(periodAt(two, NOW + 2 * MINUTE_MS)?.id).toBe(other)
    const closed = later(two, [['period closed', other, 3, { outAtMs: NOW, done: [], left: [] }]])
    expect(periodAt(closed, NOW + 4 * MINUTE_MS)).toBeNull()
  })
  test('closed, it holds what the hands did in it, as the score has it, and what is left', () => {
    const line = closePeriod(period, tasks(), NOW)
    const body = line.body as Bodies['period closed']
    expect(body.done.map(({ words }) => words)).toContain('Dissolve the benzil')
    for (const { task, fromAtMs, toAtMs } of body.done) {
      expect(named(tasks(), task).state).toEqual({ is: 'done', fromMs: fromAtMs, toMs: toAtMs })
      expect(toAtMs).toBeGreaterThan(terms.beginsAtMs)
    }
    expect(body.left).toContain('Collect the benzil')
    expect(body.left.some((words) => words.includes('plate'))).toBe(false)
  })
  test('how long the hands were at a prep is the sum of its tasks in closed periods', () => {
    expect(atTheBench(demo, '0a5a1c7e-0000-4000-8000-000000000101' as PrepId)).toEqual({
      handsMin: 26,
      periods: 1,
    })
    expect(atTheBench(demo, BENZIL)).toBeNull()
  })
  test('three times done on this bench, a piece of work has its own pace, and it can be put back', () => {
    const lines = [1, 2, 3].flatMap((nth): (readonly [Kind, string, number, Bodies[Kind]])[] => {
      const id = `0a5a1c7e-0000-4000-8000-00000000020${nth}` as PeriodId
      const at = NOW - nth * 1440 * MINUTE_MS
      const task = `${nth}/collect`
      const opened: Bodies['period opened'] = {
        ...terms,
        beginsAtMs: at,
        endsAtMs: at + 60 * MINUTE_MS,
        busy: [],
      }
      return [
        ['period opened', id, -nth * 1440, opened],
        ['task noted', id, -nth * 1440 + 1, { task, words: 'Collect', is: 'begun' }],
        [
          'period closed',
          id,
          -nth * 1440 + 40,
          {
            outAtMs: at + 40 * MINUTE_MS,
            done: [{ task, words: 'Collect', fromAtMs: at, toAtMs: at + (1 + 10 + nth) * MINUTE_MS }],
            left: [],
          },
        ],
      ]
    })
    last = null
    const paced = later(
      demo,
      [...lines].sort((p, q) => p[2] - q[2]),
    )
    last = null
    // 6 (the demo’s morning), 11, 12 and 13 min; the six of the plan as heavy as three times: (4 · 11.5 + 3 · 6) / 7.
    expect(named(tasks(paced), `${BENZIL}/collect`)).toMatchObject({
      durationMin: 9,
      planMin: 6,
      pace: { minutes: 9, medianMin: 11.5, times: 4 },
    })
    const back = later(paced, [['period opened', period.id, 1, { ...terms, isOwnPace: false }]])
    expect(named(tasks(back, 2), `${BENZIL}/collect`)).toMatchObject({ durationMin: 6, pace: null })
  })
})

/** Every rule of the bench, held against what was planned. */
function expectUnchanged(all: readonly PeriodTask[], plan: ReturnType<typeof planned>, nowMin: number): void {
  const placed = all.filter(({ id, state }) => state.is === 'open' && plan.starts[id] !== undefined)
  const start = ({ id }: PeriodTask) => plan.starts[id] ?? 0
  for (const task of placed) {
    expect(start(task)).toBeGreaterThanOrEqual(nowMin)
    for (const { task: id, waitMin = 0 } of task.after) {
      const before = placed.find((one) => one.id === id)
      if (before) expect(start(task)).toBeGreaterThanOrEqual(start(before) + before.durationMin + waitMin)
    }
  }
  for (let min = nowMin; min <= plan.makespanMin; min++) {
    const going = placed.filter((task) => start(task) <= min && min < start(task) + task.durationMin)
    const held = new Map<string, number>()
    for (const { needs } of going)
      for (const [name, amount] of Object.entries(needs)) held.set(name, (held.get(name) ?? 0) + amount)
    expect(held.get('hands') ?? 0).toBeLessThanOrEqual(terms.hands)
    for (const { id } of SIMULATED_INSTRUMENTS) expect(held.get(id) ?? 0).toBeLessThanOrEqual(1)
    const flame = terms.busy.find(({ what }) => what === 'flame')
    const atMs = terms.beginsAtMs + min * MINUTE_MS
    if (flame && atMs >= flame.fromAtMs && atMs + MINUTE_MS <= flame.toAtMs)
      expect(going.filter(({ tags }) => tags?.includes('flammable vapour')).map(({ id }) => id)).toEqual([])
  }
}

describe('the rest of a period is planned', () => {
  test('hands, instruments, waits and the flame next door are kept', () => {
    const plan = asOpened
    expectUnchanged(tasks(), plan, 52)
    expect(plan.broken).toEqual([])
    expect(plan.makespanMin - plan.lowerBoundMin).toBeLessThanOrEqual(0.05 * plan.makespanMin)
    // Bench 3 has the block until the 60th minute.
    const load = plan.starts[`${K14}/load to scout`] ?? 0
    expect(load).toBeGreaterThanOrEqual(60)
    // What everything waits for has no room, and the end moves with it.
    for (const id of plan.criticalPath)
      if (named(tasks(), id).state.is === 'open') expect(plan.room[id]).toBe(0)
  })
  test('while the bench is on time the plan stays to the minute', () => {
    const plan = asOpened
    const again = planned(demo, 1, plan)
    expect(again.changed).toBeNull()
  })
  test('late by more than two minutes the order stays and one sentence says by how much', () => {
    const plan = asOpened
    // Half an hour late another order saves time; later than that, it is this order that is kept.
    const other = planned(demo, 30, plan)
    expect(other.changed).toContain('that saves')
    const late = planned(demo, 45, other)
    expect(late.makespanMin).toBeGreaterThan(other.makespanMin + 2)
    expect(late.changed).toMatch(/^You will finish \d+ min later than planned: “.+” moves by \d+ min\.$/)
    expectUnchanged(tasks(demo, 45), late, 97)
  })
  test('another order is taken where it gains three minutes, and it is said which', () => {
    const plan = asOpened
    // The same tasks in the worst order of hands there is: the other way round as far as waits allow.
    const starts = Object.fromEntries(
      Object.entries(plan.starts).map(([id, min]) => [id, plan.makespanMin - min]),
    )
    const turned = planned(demo, 0, { starts, makespanMin: plan.makespanMin + 60 })
    expect(turned.makespanMin).toBeLessThanOrEqual(plan.makespanMin + 3)
    expect(turned.changed).toMatch(/^Changed: “.+” comes before “.+”; (that saves|the old order)/)
  })
  test('put off until a time, a task does not begin before it; set aside, it and what waits for it are left', () => {
    const task = `${BENZIL}/collect`
    const untilAtMs = terms.beginsAtMs + 120 * MINUTE_MS
    const put = new Map<string, TaskSetAside>([
      [task, { task, words: '', until: 'a time', untilAtMs }],
      [
        `${K14}/pack to scout`,
        { task: `${K14}/pack to scout`, words: '', until: 'another day', untilAtMs: null },
      ],
    ])
    const plan = replanPeriod(tasks(), terms, put, NOW, null)
    expect(plan.starts[task]).toBeGreaterThanOrEqual(120)
    expect(Object.keys(plan.starts).some((id) => id.startsWith(K14))).toBe(false)
    expect(plan.aside).toContain(`${K14}/sign`)
    expect(plan.starts['bench/clear up']).toBeDefined()
    expect(Object.keys(plan.starts).some((id) => id.startsWith('not before'))).toBe(false)
  })
  test('a plate is left out until it is asked for', () => {
    const plan = asOpened
    expect(plan.aside).toContain(`${BENZIL}/spot`)
    // The demo has taken up that of the adipic acid: not while the flame is lit.
    expect(plan.starts[`${ADIPIC}/spot`]).toBeGreaterThanOrEqual(90)
  })
  test('an added task never shortens the end', () => {
    const all = tasks()
    const base = asOpened
    const more: PeriodTask = {
      ...named(all, `${BENZIL}/judge`),
      id: `${BENZIL}/more`,
      after: [],
      durationMin: 12,
    }
    const longer = replanPeriod([...all, more], terms, period.putOff, NOW, null)
    expect(longer.makespanMin).toBeGreaterThanOrEqual(base.lowerBoundMin)
  })
  test('whatever was begun stays where it began, at any minute of the period', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 30 }), (min) => {
        const all = tasks(demo, min)
        const plan = planned(demo, min)
        for (const { id, state } of all)
          if (state.is === 'running' && plan.starts[id] !== undefined)
            expect(plan.starts[id]).toBe(Math.floor((state.fromMs - terms.beginsAtMs) / MINUTE_MS))
        expectUnchanged(all, plan, 52 + min)
      }),
      { numRuns: 3 },
    )
  })
  test('nothing to do is a plan that is over, and an empty notebook has no task', () => {
    expect(tasksOf(fold([]), shelf, SCHOOLS[0] as (typeof SCHOOLS)[0], NOW)).toEqual([])
    expect(replanPeriod([], terms, new Map(), NOW, null)).toMatchObject({ makespanMin: 0, changed: null })
  })
})

describe('when it gets late', () => {
  test('the last moment for each row is a start that still fits, and one minute later none', () => {
    const all = tasks()
    const plan = asOpened
    const { lastStarts, leave } = ifLate(all, terms, period.putOff, NOW, plan)
    expect(leave).toEqual([])
    expect(lastStarts.length).toBeGreaterThan(0)
    for (const { task, atMin, stop } of lastStarts) {
      expect(atMin).toBeGreaterThanOrEqual(plan.starts[task] ?? 0)
      expect(atMin).toBeLessThan(plan.deadlineMin)
      if (task.endsWith('load the product')) expect(stop).toMatch(/^Dry, weighed/)
    }
  })
  test('where not everything fits, what matters most is kept and the rest stops where it is safe', () => {
    const all = tasks()
    const early = { ...terms, endsAtMs: NOW + 70 * MINUTE_MS }
    const plan = replanPeriod(all, early, period.putOff, NOW, null)
    const { leave, lastStarts } = ifLate(all, early, period.putOff, NOW, plan)
    expect(lastStarts).toEqual([])
    expect(leave.map(({ of }) => of)).not.toEqual([])
    for (const { gets, stop } of leave) if (gets === 'to a stop') expect(stop).toMatch(/\.$/)
  })
  test('what dries over night is left spread, and only what follows it is put off', () => {
    const overNight = golden.entries.map((entry): RawEntry => {
      if (entry.kind !== 'plan fixed') return entry
      const body = entry.body as Bodies['plan fixed']
      const steps = body.steps.map((step) =>
        step.id === 'spread-to-dry' ? { ...step, timer: { timer: 'dry' as const, minutes: 720 } } : step,
      )
      return { ...entry, body: { ...body, steps } }
    })
    const view = fold(overNight)
    const all = tasks(view)
    const { leave } = ifLate(
      all,
      terms,
      period.putOff,
      NOW,
      replanPeriod(all, terms, period.putOff, NOW, null),
    )
    const [benzil] = leave
    expect(leave).toHaveLength(1)
    expect(benzil).toMatchObject({
      of: BENZIL,
      gets: 'to a stop',
      stop: expect.stringContaining('Spread thin'),
    })
    expect(benzil?.setAside).toContain(`${BENZIL}/weigh`)
    expect(benzil?.setAside).not.toContain(`${BENZIL}/dry`)
  })
})

describe('what is at hand', () => {
  test('clocks first by what waits for them, then what the hands could begin now', () => {
    const at = atHand(tasks(), asOpened, terms, NOW)
    expect(at.running.map(({ task }) => task.title).sort()).toEqual(['adipic acid', 'benzil'])
    expect(at.doing).toEqual([])
    expect(at.isOver).toBe(false)
    const [first] = at.ready
    expect(first?.freeFromMs).toBeNull()
    for (const { task } of at.ready) {
      expect(task.state.is).toBe('open')
      expect(task.isAlone).toBe(false)
    }
  })
  test('what needs a block that another bench has is told with the time it is free', () => {
    const packed = later(demo, [
      ['task noted', period.id, 1, { task: `${K14}/pack to scout`, words: 'Pack', is: 'done' }],
    ])
    const at = atHand(tasks(packed, 2), null, terms, NOW + 2 * MINUTE_MS)
    const load = at.ready.find(({ task }) => task.id === `${K14}/load to scout`)
    expect(load?.freeFromMs).toBe(NOW + 8 * MINUTE_MS)
  })
})

describe('a class by one plan', () => {
  test('everything from the crude on is open again, without plates, in whole minutes', () => {
    const [prep] = prepsOf(demo).filter(({ id }) => id === ADIPIC)
    if (!prep) throw new Error('no prep')
    const all = classTasks(demo, shelf, SCHOOLS[0] as (typeof SCHOOLS)[0], prep)
    const ids = all.map(({ id }) => workOf(id))
    expect(ids).toContain('dissolve')
    expect(ids).toContain('watch the product')
    expect(ids.at(-1)).toBe('clear up')
    expect(ids).not.toContain('spot')
    for (const { durationMin } of all) expect(Number.isInteger(durationMin)).toBe(true)
    expect(classTasks(demo, shelf, SCHOOLS[0] as (typeof SCHOOLS)[0], { ...prep, plan: null })).toEqual([])
  })
})

describe('what began before the period', () => {
  test('law: whichever tick is struck, of whatever prep and day, the period is planned', () => {
    const ticks = golden.entries.filter(({ kind }) => kind === 'step ticked')
    expect(ticks.length).toBeGreaterThan(20)
    for (const tick of ticks) {
      const view = later(demo, [['struck', tick.subject, 0, { target: tick.id, reason: 'never done' }]])
      const facts = periodAt(view, NOW) as PeriodFacts
      const open = tasks(view)
      const plan = replanPeriod(open, facts.opened.body, facts.putOff, NOW, null, 0.0005)
      for (const { id, state } of open)
        if (state.is === 'open' && plan.starts[id] !== undefined)
          expect(plan.starts[id]).toBeGreaterThanOrEqual(0)
    }
  })
  test('a task that goes on since before it opened keeps its thing taken, and nothing hangs', () => {
    const plan = replan({
      tasks: [
        { id: 'spin', durationMin: 30, after: [], needs: { centrifuge: 1 } },
        { id: 'spin again', durationMin: 5, after: [], needs: { centrifuge: 1 } },
        { id: 'weigh', durationMin: 2, after: [], needs: { hands: 1 } },
      ],
      capacity: { hands: 1, centrifuge: 1 },
      nowMin: 0,
      started: { spin: -12 },
      done: {},
    })
    expect(plan.starts).toEqual({ spin: -12, 'spin again': 18, weigh: 0 })
  })
})
