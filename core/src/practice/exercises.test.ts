import { expect, test } from '@jest/globals'
import { ABOUT, EXERCISES, exerciseAt, FIRST_PATH } from './index'

test('every exercise has an address of its own, minutes and a rule; the first path is five of them', () => {
  expect(EXERCISES).toHaveLength(14)
  for (const name of EXERCISES) {
    expect(exerciseAt(ABOUT[name].slug)).toBe(name)
    const [least, most] = ABOUT[name].minutes
    expect(least).toBeGreaterThanOrEqual(2)
    expect(most).toBeLessThanOrEqual(6)
    expect(ABOUT[name].rule.length).toBeGreaterThan(10)
  }
  expect(new Set(EXERCISES.map((name) => ABOUT[name].slug)).size).toBe(14)
  expect(exerciseAt('nothing-of-the-sort')).toBeNull()
  expect(FIRST_PATH).toHaveLength(5)
  expect(EXERCISES.filter((name) => ABOUT[name].isForPhone)).toHaveLength(7)
})
