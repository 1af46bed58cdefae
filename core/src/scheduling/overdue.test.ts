import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { overdueFirst } from './overdue'
import { replan } from './planBenchSession'
import type { BenchSession, Happened } from './session/compiled'
import { softened } from './softened'

type Session = BenchSession & Happened
const HANDS = { hands: 1 }
/** The block came to its window 12 minutes ago; hands are at something else for 5 minutes more. */
const atTheWindow: Session = {
  tasks: [
    { id: 'heat', durationMin: 8, after: [], needs: { block: 1 } },
    { id: 'dissolve', durationMin: 20, after: [], needs: HANDS },
    { id: 'watch', durationMin: 20, after: [{ task: 'heat', waitMaxMin: 0 }], needs: { hands: 1, block: 1 } },
    { id: 'weigh', durationMin: 3, after: [], needs: HANDS },
    { id: 'dry', durationMin: 60, after: [{ task: 'weigh' }], needs: {} },
  ],
  capacity: { hands: 1, block: 1 },
  nowMin: 20,
  started: { heat: 0, dissolve: 5 },
  done: { heat: 8 },
}

test('what is overdue comes as soon as hands are free, though all would be over sooner without', () => {
  // Left alone the search would weigh first: the drying is the longest.
  expect(replan(atTheWindow).starts['watch']).toBe(28)
  const { starts, overWaited } = replan(overdueFirst(atTheWindow))
  expect(starts['watch']).toBe(25)
  expect(overWaited).toEqual([])
})
test('what it still has to wait for comes before it, and hands that are free are free now', () => {
  const session: Session = {
    ...atTheWindow,
    tasks: [
      { id: 'ice', durationMin: 10, after: [], needs: {} },
      { id: 'set up', durationMin: 3, after: [], needs: HANDS },
      {
        id: 'collect',
        durationMin: 6,
        after: [{ task: 'ice', waitMaxMin: 5 }, { task: 'set up' }],
        needs: HANDS,
      },
      { id: 'weigh', durationMin: 3, after: [], needs: HANDS },
      { id: 'dry', durationMin: 60, after: [{ task: 'weigh' }], needs: {} },
    ],
    started: { ice: 0 },
    done: { ice: 10 },
  }
  expect(replan(overdueFirst(session)).starts).toMatchObject({ 'set up': 20, collect: 23, weigh: 29 })
})
test('law: where one thing is overdue it begins at the first minute that it can, and nothing else is changed', () => {
  let overdue = 0
  const drawn = fc.record({
    lasts: fc.array(fc.integer({ min: 1, max: 15 }), { minLength: 5, maxLength: 5 }),
    waitMaxMin: fc.integer({ min: 0, max: 20 }),
    overMin: fc.integer({ min: 0, max: 20 }),
    busyForMin: fc.integer({ min: 0, max: 20 }),
  })
  fc.assert(
    fc.property(drawn, ({ lasts, waitMaxMin, overMin, busyForMin }) => {
      const [bath = 1, work = 1, collect = 1, other = 1, tail = 1] = lasts
      const session: Session = {
        tasks: [
          { id: 'bath', durationMin: bath, after: [], needs: {} },
          { id: 'work', durationMin: work + busyForMin, after: [], needs: HANDS },
          { id: 'collect', durationMin: collect, after: [{ task: 'bath', waitMaxMin }], needs: HANDS },
          { id: 'other', durationMin: other, after: [], needs: HANDS },
          { id: 'tail', durationMin: 5 * tail, after: [{ task: 'other' }], needs: {} },
        ],
        capacity: HANDS,
        nowMin: bath + overMin,
        started: { bath: 0, work: Math.max(0, bath + overMin - work) },
        done: { bath },
      }
      const first = overdueFirst(session)
      if (overMin <= waitMaxMin) {
        expect(first).toBe(session)
        return
      }
      overdue++
      const handsFreeMin = Math.max(session.nowMin, (session.started['work'] ?? 0) + work + busyForMin)
      expect(replan(softened(first).session).starts['collect']).toBe(handsFreeMin)
    }),
    { numRuns: 150 },
  )
  expect(overdue).toBeGreaterThan(20)
})
