import { describe, expect, test } from '@jest/globals'
import { SEEDS } from '../../../golden/learners'
import { bestOrder, inOrder, orderExercise, scoreOrder } from '../index'

describe('out on time', () => {
  test('the best order comes to its end as planned, and the recipe’s order later', () => {
    for (const level of [1, 2] as const)
      for (const seed of SEEDS) {
        const exercise = orderExercise(seed, level)
        const best = bestOrder(exercise)
        expect(inOrder(exercise, best.order).endMin).toBe(best.plan.makespanMin)
        expect(scoreOrder(exercise, best.order, best)).toMatchObject({ isGood: true, share: 1 })
        const recipe = scoreOrder(exercise, exercise.handed, best)
        expect(recipe.isGood).toBe(false)
        expect(recipe.share).toBeLessThan(1)
        expect(recipe.sentence).toContain('minutes later than necessary')
      }
  })
  test('whatever the order, nothing is held by two at once and nothing begins before what it follows', () => {
    const exercise = orderExercise(4, 2)
    const { tasks, capacity } = exercise.session
    const { starts, movedBack, endMin } = inOrder(exercise, [...exercise.handed].reverse())
    expect(movedBack.length).toBeGreaterThan(0)
    for (const task of tasks)
      for (const { task: before } of task.after) {
        const other = tasks.find(({ id }) => id === before)
        expect(starts[task.id]).toBeGreaterThanOrEqual((starts[before] ?? 0) + (other?.durationMin ?? 0))
      }
    for (let minute = 0; minute < endMin; minute++)
      for (const [what, most] of Object.entries(capacity)) {
        const held = tasks
          .filter(
            ({ id, durationMin }) => minute >= (starts[id] ?? 0) && minute < (starts[id] ?? 0) + durationMin,
          )
          .reduce((sum, { needs }) => sum + (needs[what] ?? 0), 0)
        expect(held).toBeLessThanOrEqual(most)
      }
  })
})
