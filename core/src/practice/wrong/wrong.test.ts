import { describe, expect, test } from '@jest/globals'
import { LEVELS, SEEDS, expectFalling } from '../../../golden/learners'
import { type Accused, MISTAKES, SCENES, scoreWrong, wrongExercise } from '../index'

describe('what is wrong here', () => {
  /** What is done wrong at real benches, and where it can be seen here. */
  const COMMON: Readonly<Record<string, readonly string[]>> = {
    'masses and vessels': [
      'loaded-lighter',
      'slipped-digit',
      'decimal-comma',
      'made-up-digits',
      'two-digits',
      'damp-weighed',
      'stone-weighed',
      'other-empty',
      'bar-weighed',
      'heavier-when-dried',
      'residue-of-nothing',
    ],
    'dissolving and heat': [
      'dry-on-the-plate',
      'stone-late',
      'chasing-grit',
      'all-at-once',
      'open-evaporation',
      'cold-hot-funnel',
      'wrong-bottle',
      'neighbours-flame',
    ],
    'cooling and collecting': [
      'oil-cooled-on',
      'frozen-solvent',
      'stopper-hot',
      'seeded-with-impurity',
      'no-seed',
      'much-rinse',
      'liquor-away',
      'no-partner',
    ],
    tubes: [
      'too-full',
      'big-crystals',
      'no-labels',
      'wet-packed',
      'open-end-down',
      'other-vial',
      'side-by-side',
    ],
    melting: [
      'still-hot',
      'scale-ends',
      'dial-max',
      'too-fast',
      'stopped-below',
      'shrink-onset',
      'one-number',
      'ends-exchanged',
      'looking-up',
      'ten-off',
      'fahrenheit',
      'late-crude',
    ],
    'what it is taken to mean': [
      'unchecked-low',
      'sharp-and-low',
      'same-range',
      'residue-all-impurity',
      'on-all-the-crude',
      'over-a-hundred',
      'line-in-the-eluent',
    ],
    planning: [
      'other-literature',
      'part-for-percent',
      'hot-and-cold-swapped',
      'impurity-is-product',
      'night-period',
    ],
  }
  test('every common mistake can be seen in some scene', () => {
    const ids = MISTAKES.map(({ id }) => id)
    const common = Object.values(COMMON).flat()
    expect(new Set(common).size).toBe(58)
    expect(common.filter((id) => !ids.includes(id))).toEqual([])
  })
  test('each mistake once, several in each scene, with enough that is right beside them', () => {
    const made = new Set<string>()
    for (let seed = 1; seed <= 400; seed++)
      for (const { mistake } of wrongExercise(seed, 3).lines) if (mistake) made.add(mistake.id)
    // None is hidden by the draw.
    expect(MISTAKES.filter(({ id }) => !made.has(id)).length).toBeLessThan(MISTAKES.length / 20)
    for (const level of LEVELS)
      for (let seed = 1; seed <= 60; seed++) {
        const { lines } = wrongExercise(seed, level)
        expect(new Set(lines.map(({ text }) => text)).size).toBe(lines.length)
        expect(lines.length).toBeGreaterThanOrEqual(5)
      }
    for (const of of [
      ({ id }: (typeof MISTAKES)[number]) => id,
      ({ seen }: (typeof MISTAKES)[number]) => seen,
    ])
      expect(new Set(MISTAKES.map(of)).size).toBe(MISTAKES.length)
    for (const scene of SCENES)
      expect(MISTAKES.filter((one) => one.scene === scene).length).toBeGreaterThanOrEqual(4)
  })
  test('found for the right reason is best; found, missed and accusing all are worth less', () => {
    for (const level of LEVELS)
      for (const seed of SEEDS) {
        const exercise = wrongExercise(seed, level)
        const planted = exercise.lines.filter(({ mistake }) => mistake)
        const accuse = (lines: typeof exercise.lines, rightly: boolean) =>
          new Map(
            lines.map(({ id, mistake, reasons }): [string, Accused] => [
              id,
              {
                because: rightly
                  ? (mistake?.because ?? null)
                  : (reasons.find((one) => one !== mistake?.because) ?? null),
                instead: rightly ? (mistake?.instead ?? null) : null,
              },
            ]),
          )
        for (const { mistake, reasons, remedies } of planted) {
          expect(reasons).toContain(mistake?.because)
          expect(remedies).toContain(mistake?.instead)
        }
        const perfect = scoreWrong(exercise, accuse(planted, true))
        expect(perfect).toMatchObject({ isGood: true, share: 1 })
        expectFalling([
          perfect.share,
          scoreWrong(exercise, accuse(planted, false)).share,
          ...(planted.length > 0 ? [scoreWrong(exercise, new Map()).share] : []),
        ])
        expect(scoreWrong(exercise, accuse(exercise.lines, true)).isGood).toBe(false)
      }
  })
})
