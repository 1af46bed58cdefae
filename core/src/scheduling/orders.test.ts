import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { planBenchSession } from './planBenchSession'
import { recipeOrderMin } from './recipeOrder'
import type { BenchSession } from './session/compiled'
import { roomOf } from './roomOf'

const session: BenchSession = {
  tasks: [
    { id: 'dissolve', durationMin: 10, after: [], needs: { hands: 1 } },
    { id: 'cool', durationMin: 15, after: [{ task: 'dissolve' }], needs: {} },
    { id: 'collect', durationMin: 10, after: [{ task: 'cool' }], needs: { hands: 1 } },
    { id: 'pack', durationMin: 4, after: [], needs: { hands: 1 } },
    { id: 'melt', durationMin: 20, after: [{ task: 'pack' }], needs: { hands: 1, block: 1 } },
  ],
  capacity: { hands: 1, block: 1 },
}

describe('the order of the recipe', () => {
  test('one thing after the other, waits and all', () => {
    expect(recipeOrderMin(session)).toBe(59)
    expect(planBenchSession(session).makespanMin).toBe(44)
  })
  test('what has begun is waited for first, what is done counts no more', () => {
    expect(recipeOrderMin(session, { nowMin: 12, started: { cool: 10 }, done: { dissolve: 10 } })).toBe(
      25 + 10 + 4 + 20,
    )
  })
  test('a thing that others have, and a flame beside vapour, are waited for', () => {
    const taken = { ...session, busy: [{ resource: 'block', fromMin: 0, toMin: 60, amount: 1 }] }
    expect(recipeOrderMin(taken)).toBe(80)
    const flame: BenchSession = {
      tasks: [{ id: 'spot', durationMin: 5, after: [], needs: { hands: 1 }, tags: ['vapour'] }],
      capacity: { hands: 1, flame: 1 },
      never: [['flame', 'vapour']],
      busy: [{ resource: 'flame', fromMin: 3, toMin: 30, amount: 1, tags: ['flame'] }],
    }
    expect(recipeOrderMin(flame)).toBe(35)
  })
  test('never beats the plan', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 20 }), { minLength: 5, maxLength: 5 }), (minutes) => {
        const some = {
          ...session,
          tasks: session.tasks.map((task, i) => ({ ...task, durationMin: minutes[i] ?? 1 })),
        }
        expect(recipeOrderMin(some)).toBeGreaterThanOrEqual(planBenchSession(some).makespanMin)
      }),
    )
  })
})

describe('the room of each task', () => {
  test('none on what everything waits for; the rest may slip so far in this order', () => {
    const plan = {
      starts: { dissolve: 0, cool: 10, pack: 10, melt: 14, collect: 34 },
      makespanMin: 44,
      lowerBoundMin: 44,
      proven: true,
      criticalPath: [],
      changesOfPrep: 0,
    }
    // The cooling ends at 25, and the hands come at 34.
    expect(roomOf(session, plan)).toEqual({ dissolve: 0, cool: 9, pack: 0, melt: 0, collect: 0 })
  })
  test('what may not wait cannot slip further than what it waits for', () => {
    const pair: BenchSession = {
      tasks: [
        { id: 'heat', durationMin: 5, after: [], needs: {} },
        { id: 'watch', durationMin: 5, after: [{ task: 'heat', waitMaxMin: 2 }], needs: { hands: 1 } },
        { id: 'other', durationMin: 30, after: [], needs: {} },
      ],
      capacity: { hands: 1 },
    }
    const plan = {
      starts: { heat: 0, watch: 5, other: 0 },
      makespanMin: 30,
      lowerBoundMin: 30,
      proven: true,
      criticalPath: [],
      changesOfPrep: 0,
    }
    expect(roomOf(pair, plan)).toEqual({ heat: 20, watch: 20, other: 0 })
  })
})
