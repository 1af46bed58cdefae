import { describe, expect, test } from '@jest/globals'
import { LEVELS, SEEDS } from '../../../golden/learners'
import { scoreSolvent, solventExercise } from '../index'

describe('choose the solvent', () => {
  test('the steep curve ranks first, and what ranks last is worth least', () => {
    for (const level of LEVELS)
      for (const seed of SEEDS) {
        const exercise = solventExercise(seed, level)
        const letters = exercise.ranked.map(({ letter }) => letter)
        expect([...letters].sort()).toEqual(exercise.solvents.map(({ letter }) => letter))
        const best = scoreSolvent(exercise, letters[0] ?? '')
        const worst = scoreSolvent(exercise, letters.at(-1) ?? '')
        expect(best).toMatchObject({ isGood: true, share: 1 })
        expect(worst.isGood).toBe(false)
        expect(worst.sentence).toContain(`What holds ${letters.at(-1) ?? ''} back`)
      }
  })
})
