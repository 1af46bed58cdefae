import { readFileSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { planBenchSession, replan, type SessionPlan } from './planBenchSession'
import type { BenchSession, SessionTask } from './session/compiled'
import { IS_DEEP, runs } from '../../golden/depth'

const { cases } = JSON.parse(
  readFileSync(new URL('../../vectors/bench-session.json', import.meta.url), 'utf8'),
) as { cases: (BenchSession & { makespanMin: number })[] }
const [alone, withPartner] = cases as [BenchSession & { makespanMin: number }, BenchSession]

/** Everything a plan must keep, minute by minute. */
function faultsOf(session: BenchSession, { starts }: Pick<SessionPlan, 'starts'>): string[] {
  const { tasks, capacity, never = [], busy = [] } = session
  const faults: string[] = []
  const start = (id: string) => starts[id] ?? NaN
  const end = (task: SessionTask) => start(task.id) + task.durationMin
  const byId = new Map(tasks.map((task) => [task.id, task]))
  for (const task of tasks) {
    if (!Number.isInteger(start(task.id)) || start(task.id) < 0)
      faults.push(`${task.id} begins at ${start(task.id)}`)
    for (const { task: id, waitMin = 0, waitMaxMin } of task.after) {
      const before = byId.get(id)
      if (!before) continue
      const waited = start(task.id) - end(before)
      if (waited < waitMin || waited > (waitMaxMin ?? Infinity))
        faults.push(`${task.id} waits ${waited} after ${id}`)
    }
  }
  const last = Math.max(0, ...tasks.map(end))
  for (let minute = 0; minute < last; minute++) {
    const going = tasks.filter((task) => start(task.id) <= minute && end(task) > minute)
    const taken = busy.filter(({ fromMin, toMin }) => fromMin <= minute && toMin > minute)
    for (const [name, most] of Object.entries(capacity)) {
      const mine = going.reduce((sum, { needs }) => sum + (needs[name] ?? 0), 0)
      const others = taken.reduce((sum, one) => sum + (one.resource === name ? one.amount : 0), 0)
      if (mine > 0 && mine + others > most) faults.push(`${mine + others} of ${name} at ${minute}`)
    }
    for (const [p, q] of never)
      for (const one of going)
        for (const other of going)
          if (one !== other && one.tags?.includes(p) && other.tags?.includes(q))
            faults.push(`${one.id} beside ${other.id}`)
  }
  return faults
}

/** The least end, minute by minute and order by order, for a handful of tasks. */
function leastEnd(session: BenchSession, horizon: number): number {
  const { tasks } = session
  const starts: Record<string, number> = {}
  let best = Infinity
  const place = (k: number, latest: number) => {
    if (latest >= best) return
    const task = tasks[k]
    if (!task) {
      if (faultsOf(session, { starts }).length === 0) best = latest
      return
    }
    for (let t = 0; t + task.durationMin <= Math.min(horizon, best - 1); t++) {
      starts[task.id] = t
      place(k + 1, Math.max(latest, t + task.durationMin))
    }
    delete starts[task.id]
  }
  place(0, 0)
  return best
}

const drawn = (most: number, longest = 5) =>
  fc

    .tuple(
      fc.integer({ min: 1, max: 2 }),
      fc.integer({ min: 0, max: 12 }),
      fc.integer({ min: 0, max: 12 }),
      fc.integer({ min: 1, max: 2 }),
      fc.array(
        fc.record({
          durationMin: fc.integer({ min: 0, max: longest }),
          hands: fc.integer({ min: 0, max: 1 }),
          plate: fc.integer({ min: 0, max: 2 }),
          tag: fc.constantFrom(null, 'flame', 'vapour'),
          prep: fc.constantFrom('a', 'b'),
          after: fc.array(
            fc.record({ back: fc.integer({ min: 1, max: 4 }), waitMin: fc.integer({ min: 0, max: 3 }) }),
            {
              maxLength: 2,
            },
          ),
          slack: fc.option(fc.integer({ min: 0, max: 4 })),
        }),
        { minLength: 1, maxLength: most },
      ),
    )
    .map(([hands, fromMin, forMin, amount, rows]): BenchSession => ({
      tasks: rows.map(({ durationMin, hands, plate, tag, prep, after, slack }, i) => ({
        id: `task ${i}`,
        durationMin,
        needs: { hands, plate },
        prep,
        ...(tag ? { tags: [tag] } : {}),
        after: after.flatMap(({ back, waitMin }, k) =>
          i - back >= 0
            ? [
                {
                  task: `task ${i - back}`,
                  waitMin,
                  // One wait at most for a task: two may contradict each other.
                  ...(k === 0 && after.length === 1 && slack !== null ? { waitMaxMin: waitMin + slack } : {}),
                },
              ]
            : [],
        ),
      })),
      capacity: { hands, plate: 2 },
      never: [['flame', 'vapour']],
      busy: [{ resource: 'plate', fromMin, toMin: fromMin + forMin, amount }],
    }))
/** What cannot be kept at all is refused with a sentence; it is told apart from a plan. */
function planOrNull(session: BenchSession): SessionPlan | null {
  try {
    return planBenchSession(session)
  } catch (error) {
    expect(error).toMatchObject({ code: 'no-plan' })
    return null
  }
}

describe('a lab period in the order that is over soonest', () => {
  test('meets the vectors, proven', () => {
    for (const session of cases) {
      const plan = planBenchSession(session)
      expect(plan).toMatchObject({
        makespanMin: session.makespanMin,
        lowerBoundMin: session.makespanMin,
        proven: true,
      })
      expect(faultsOf(session, plan)).toEqual([])
    }
  })
  test('what everything waits for runs without a gap to the end', () => {
    const { starts, criticalPath, makespanMin } = planBenchSession(alone)
    const last = alone.tasks.find(({ id }) => id === criticalPath.at(-1))
    expect((starts[last?.id ?? ''] ?? 0) + (last?.durationMin ?? 0)).toBe(makespanMin)
    expect(criticalPath).toEqual([...criticalPath].sort((p, q) => (starts[p] ?? 0) - (starts[q] ?? 0)))
    expect(starts[criticalPath[0] ?? '']).toBe(0)
  })
  test('is as soon over as the best of every order, and keeps everything', () => {
    fc.assert(
      fc.property(drawn(4, 3), (session) => {
        const plan = planOrNull(session)
        const least = leastEnd(session, 24)
        if (!plan) {
          expect(least).toBe(Infinity)
          return
        }
        expect(faultsOf(session, plan)).toEqual([])
        expect(plan.proven).toBe(true)
        expect(plan.makespanMin).toBe(least)
      }),
      { numRuns: runs(60), seed: 7 },
    )
  })
  test('keeps everything, and the bound below the end', () => {
    fc.assert(
      fc.property(drawn(12), (session) => {
        const plan = planOrNull(session)
        if (!plan) return
        expect(faultsOf(session, plan)).toEqual([])
        expect(plan.lowerBoundMin).toBeLessThanOrEqual(plan.makespanMin)
        if (plan.proven) expect(plan.lowerBoundMin).toBe(plan.makespanMin)
      }),
      { numRuns: runs(60), seed: 11 },
    )
  })
  test('one task more never ends it sooner', () => {
    fc.assert(
      fc.property(drawn(8), (session) => {
        const whole = planOrNull(session)
        const without = planOrNull({ ...session, tasks: session.tasks.slice(0, -1) })
        if (whole?.proven && without?.proven)
          expect(whole.makespanMin).toBeGreaterThanOrEqual(without.makespanMin)
      }),
      { numRuns: runs(60), seed: 13 },
    )
  })
  test('a wait at most pulls its forerunner later rather than break', () => {
    const plan = planBenchSession({
      tasks: [
        { id: 'ice', durationMin: 10, after: [], needs: {} },
        { id: 'watch', durationMin: 30, after: [], needs: { hands: 1 } },
        {
          id: 'filter',
          durationMin: 5,
          after: [{ task: 'ice', waitMaxMin: 5 }, { task: 'watch' }],
          needs: { hands: 1 },
        },
      ],
      capacity: { hands: 1 },
    })
    expect(plan).toMatchObject({ makespanMin: 35, starts: { filter: 30 } })
    expect(plan.starts['ice']).toBeGreaterThanOrEqual(15)
  })
  test('among plans that end alike hands change preps seldom', () => {
    const steps = ['a', 'b'].flatMap((prep) =>
      [1, 2, 3].map((n) => ({ id: `${prep}${n}`, durationMin: 5, after: [], needs: { hands: 1 }, prep })),
    )
    // In the order they are given every step changes the prep.
    const mixed = [0, 3, 1, 4, 2, 5].flatMap((i) => steps[i] ?? [])
    const { starts } = planBenchSession({ tasks: mixed, capacity: { hands: 1 } })
    const preps = [...mixed].sort((p, q) => (starts[p.id] ?? 0) - (starts[q.id] ?? 0)).map(({ prep }) => prep)
    expect(preps.filter((prep, i) => i > 0 && prep !== preps[i - 1])).toHaveLength(1)
  })
  test('law: where a change of prep costs minutes, everything is kept, and no cheaper plan was there before', () => {
    let fewer = 0
    fc.assert(
      fc.property(drawn(10), fc.integer({ min: 1, max: 3 }), (session, changeMin) => {
        const plain = planOrNull(session)
        const plan = planOrNull({ ...session, changeMin })
        expect(plan === null).toBe(plain === null)
        if (!plan || !plain) return
        expect(faultsOf(session, plan)).toEqual([])
        const costOf = (one: SessionPlan) => one.makespanMin + changeMin * one.changesOfPrep
        expect(costOf(plan)).toBeLessThanOrEqual(costOf(plain))
        expect(plan.makespanMin).toBeGreaterThanOrEqual(plan.lowerBoundMin)
        if (plan.proven) expect(plan.makespanMin).toBe(plan.lowerBoundMin)
        if (plan.changesOfPrep < plain.changesOfPrep) fewer++
      }),
      { numRuns: runs(80), seed: 17 },
    )
    expect(fewer).toBeGreaterThan(IS_DEEP ? 3 : 0)
  })
  test('what somebody else has long after the last task changes nothing', () => {
    const busy = [{ resource: 'block', fromMin: 90, toMin: 900, amount: 1 }]
    expect(planBenchSession({ ...alone, busy })).toMatchObject({ makespanMin: 81, proven: true })
  })
  test('what somebody else has is waited for', () => {
    const session = { ...alone, busy: [{ resource: 'block', fromMin: 0, toMin: 60, amount: 1 }] }
    const plan = planBenchSession(session)
    expect(faultsOf(session, plan)).toEqual([])
    expect(plan.starts['crude melt']).toBeGreaterThanOrEqual(60)
  })
})

describe('what cannot be planned is said in a sentence', () => {
  const task = (id: string, more: Partial<SessionTask> = {}): SessionTask => ({
    id,
    durationMin: 5,
    after: [],
    needs: {},
    ...more,
  })
  test.each<[string, readonly SessionTask[], RegExp]>([
    [
      'a circle',
      [task('a', { after: [{ task: 'b' }] }), task('b', { after: [{ task: 'a' }] })],
      /wait for each other/,
    ],
    ['a name twice', [task('a'), task('a')], /two tasks called “a”/],
    ['no such task', [task('a', { after: [{ task: 'z' }] })], /waits for “z”, which is no task here/],
    ['more than there is', [task('a', { needs: { block: 2 } })], /needs 2 of block, and there is 1/],
    ['none of it', [task('a', { needs: { hood: 1 } })], /needs 1 of hood, and there is none/],
    ['half a minute', [task('a', { durationMin: 2.5 })], /whole minutes/],
    [
      'a wait that is too short for what comes between',
      [
        task('a'),
        task('b', { after: [{ task: 'a' }] }),
        task('c', { after: [{ task: 'b' }, { task: 'a', waitMaxMin: 2 }] }),
      ],
      /can never begin/,
    ],
  ])('%s', (_, tasks, sentence) => {
    expect(() => planBenchSession({ tasks, capacity: { block: 1 } })).toThrow(sentence)
  })
  test('nothing to do is over at once', () => {
    expect(planBenchSession({ tasks: [], capacity: {} })).toEqual({
      starts: {},
      makespanMin: 0,
      lowerBoundMin: 0,
      proven: true,
      criticalPath: [],
      changesOfPrep: 0,
    })
  })
})

describe('planned anew in the middle of it', () => {
  test('moves nothing that has begun, and begins nothing in the past', () => {
    fc.assert(
      fc.property(
        drawn(9),
        fc.integer({ min: 1, max: 20 }),
        fc.integer({ min: 0, max: 4 }),
        (session, nowMin, slip) => {
          const plan = planOrNull(session)
          if (!plan) return
          const begun = session.tasks.filter(({ id }) => (plan.starts[id] ?? 0) < nowMin)
          const started = Object.fromEntries(begun.map(({ id }) => [id, plan.starts[id] ?? 0]))
          const done = Object.fromEntries(
            begun
              .map(({ id, durationMin }) => [id, (plan.starts[id] ?? 0) + durationMin] as const)
              .filter(([, endMin]) => endMin + slip <= nowMin),
          )
          const anew = replan({ ...session, started, done, nowMin })
          for (const { id } of begun) expect(anew.starts[id]).toBe(plan.starts[id])
          for (const { id } of session.tasks)
            if (started[id] === undefined) expect(anew.starts[id]).toBeGreaterThanOrEqual(nowMin)
        },
      ),
      { numRuns: runs(60), seed: 17 },
    )
  })
  test('as planned so far, it ends as planned', () => {
    const plan = planBenchSession(alone)
    const nowMin = 20
    const begun = alone.tasks.filter(({ id }) => (plan.starts[id] ?? 0) < nowMin)
    const anew = replan({
      ...alone,
      nowMin,
      started: Object.fromEntries(begun.map(({ id }) => [id, plan.starts[id] ?? 0])),
      done: Object.fromEntries(
        begun
          .map(({ id, durationMin }) => [id, (plan.starts[id] ?? 0) + durationMin] as const)
          .filter(([, endMin]) => endMin <= nowMin),
      ),
    })
    expect(anew.makespanMin).toBe(plan.makespanMin)
    expect(anew.overWaited).toEqual([])
  })
  test('a task that goes on too long holds its thing until now, and a wait that is over is told', () => {
    const session: BenchSession = {
      tasks: [
        { id: 'ice', durationMin: 10, after: [], needs: {} },
        { id: 'filter', durationMin: 5, after: [{ task: 'ice', waitMaxMin: 5 }], needs: { hands: 1 } },
        { id: 'dissolve', durationMin: 10, after: [], needs: { hands: 1 } },
      ],
      capacity: { hands: 1 },
    }
    const anew = replan({ ...session, nowMin: 30, started: { ice: 0, dissolve: 12 }, done: { ice: 10 } })
    expect(anew.starts).toEqual({ ice: 0, dissolve: 12, filter: 30 })
    expect(anew.overWaited).toEqual(['filter'])
  })
  test('broken minutes are refused', () => {
    expect(() => replan({ ...alone, nowMin: 2.5, started: {}, done: {} })).toThrow(/2\.5 min/)
  })
  test('with a partner it is not later over', () => {
    const both = { ...alone, capacity: withPartner.capacity }
    expect(planBenchSession(both).makespanMin).toBeLessThanOrEqual(planBenchSession(alone).makespanMin)
  })
})
