import { describe, expect, test } from '@jest/globals'
import { LEVELS, SEEDS, expectFalling, shelf } from '../../../golden/learners'
import { forUnknowns, mixtureExercise, mixtureRun, plannersRuns, rankedAfter, scoreMixture } from '../index'

describe('which mixture', () => {
  const unknowns = forUnknowns(shelf)
  test('six that melt alike, the planner names the right one, and more runs, a guess or a wrong name are worth less', () => {
    let guesses = 0
    for (const level of LEVELS)
      for (const seed of SEEDS) {
        const exercise = mixtureExercise(unknowns, seed, level)
        if (!exercise) throw new Error('Six should be found.')
        expect(exercise.candidates).toHaveLength(6)
        const planner = plannersRuns(exercise)
        expect(rankedAfter(exercise, planner)[0]?.id).toBe(exercise.answer)
        const all = exercise.candidates.map(({ id }) => mixtureRun(exercise, id))
        const wrong = exercise.candidates.find(({ id }) => id !== exercise.answer)?.id ?? ''
        expect(scoreMixture(exercise, planner, exercise.answer, planner).isGood).toBe(true)
        // A name that no mixture has shown is a guess, however right.
        const guessed = scoreMixture(exercise, [], exercise.answer, planner)
        const sure = rankedAfter(exercise, []).find(({ id }) => id === exercise.answer)?.probability ?? 0
        expect(guessed.isGood).toBe(sure >= 0.8)
        expect(scoreMixture(exercise, [], wrong, planner).compared.every(({ isRight }) => !isRight)).toBe(
          true,
        )
        guesses += guessed.isGood ? 0 : 1
        expectFalling([
          scoreMixture(exercise, planner, exercise.answer, planner).share,
          scoreMixture(exercise, all, exercise.answer, planner).share,
          scoreMixture(exercise, all, wrong, planner).share,
        ])
      }
    expect(guesses).toBeGreaterThan(10)
    expect(mixtureExercise(unknowns.slice(0, 3), 1, 1)).toBeNull()
  })
  test('with itself nothing is lowered; the same pair is the same range', () => {
    const exercise = mixtureExercise(unknowns, 2, 3)
    if (!exercise) throw new Error('Six should be found.')
    expect(Math.abs(mixtureRun(exercise, exercise.answer).clearC - exercise.unknown.clearC)).toBeLessThan(2)
    expect(mixtureRun(exercise, exercise.answer)).toEqual(mixtureRun(exercise, exercise.answer))
    expect(() => mixtureRun(exercise, 'sand')).toThrow('not on the list')
  })
})
