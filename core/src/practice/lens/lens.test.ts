import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { DEFAULT_HOUSE_RULES } from '../../conventions/schools'
import { advance } from '../../simulator/block'
import type { BlockReading } from '../../instruments/reading'
import {
  LENS_EXERCISES,
  type LensExercise,
  type Level,
  markWithinC,
  type MeltExercise,
  meltExercise,
  scoreMarks,
  startMelt,
  truthAfter,
  type TubeTruth,
} from '../index'
import { referenceCompound } from '../../../golden/reference'

const compounds = [
  '1-naphthol',
  'methyl-4-nitrobenzoate',
  'triphenylmethane',
  'glutaric-acid',
  'benzil',
  'benzoin',
].map(referenceCompound)
const rules = DEFAULT_HOUSE_RULES
const set = (exercise: LensExercise, seed: number, level: Level = 1) =>
  meltExercise(exercise, compounds, seed, level)

/** A whole run: every reading, and what the tubes had come to with each. */
function wholeRun(exercise: MeltExercise): {
  readonly readings: readonly BlockReading[]
  readonly truth: readonly TubeTruth[]
} {
  let state = startMelt(exercise)
  let truth: readonly TubeTruth[] = []
  const readings: BlockReading[] = []
  for (let minute = 0; minute < 120 && !isOver(truth, exercise.tubes.length); minute++) {
    const next = advance(state, [], 60)
    state = next.state
    for (const reading of next.readings) {
      readings.push(reading)
      truth = truthAfter(truth, reading, rules.onsetRule)
    }
  }
  return { readings, truth }
}
const isOver = (truth: readonly TubeTruth[], count: number) =>
  truth.length === count && truth.every(({ allC }) => allC !== null)

describe('the exercises at the lens', () => {
  test('the same seed is the same tubes, another seed others', () => {
    expect(set('three at once', 7)).toEqual(set('three at once', 7))
    expect(set('three at once', 8)).not.toEqual(set('three at once', 7))
    const once = wholeRun(set('see it melt', 3)).readings.slice(0, 100)
    expect(wholeRun(set('see it melt', 3)).readings.slice(0, 100)).toEqual(once)
  })
  test('each begins before anything is to be seen, and every tube comes to its end', () => {
    for (const exercise of LENS_EXERCISES)
      for (const seed of [1, 2]) {
        const { readings, truth } = wholeRun(set(exercise, seed))
        expect(readings[0]?.tubes.map(({ look }) => look)).toEqual(
          set(exercise, seed).tubes.map(() => 'powder'),
        )
        for (const { firstC, allC } of truth) {
          expect(firstC).not.toBeNull()
          expect(allC).toBeGreaterThanOrEqual(firstC ?? Infinity)
        }
      }
  })
  test.each(['shrinking is not melting', 'two numbers'] as const)(
    'law: of “%s” every tube is dry powder first, and shrinks for 1 to 3 °C before anything is wet',
    (exercise) => {
      for (let seed = 1; seed <= 200; seed++) {
        const made = set(exercise, seed, ((seed % 3) + 1) as Level)
        let [state, shrankC, isWet] = [startMelt(made), null as number | null, false]
        for (let s = 0; !isWet; s++) {
          const { state: next, readings } = advance(state, [], 1)
          state = next
          const [tube] = readings[0]?.tubes ?? []
          const atC = readings[0]?.probe.value ?? NaN
          if (s === 0) expect([seed, tube?.look]).toEqual([seed, 'powder'])
          if (tube?.look === 'shrunk') shrankC ??= atC
          isWet = tube?.look !== 'powder' && tube?.look !== 'shrunk'
          // The probe reads to a tenth, and lags a little less than the powder does.
          if (isWet) expect(atC - (shrankC ?? Infinity)).toBeGreaterThanOrEqual(0.8)
          if (isWet) expect(atC - (shrankC ?? -Infinity)).toBeLessThanOrEqual(3.2)
        }
      }
    },
    // Four hundred tubes, second by second: on a busy machine that takes a while.
  )
  test('a pure one is sharp, slush is wide, and a crude starts early', () => {
    const width = (exercise: LensExercise) => {
      const [tube] = wholeRun(set(exercise, 5)).truth
      return (tube?.allC ?? NaN) - (tube?.firstC ?? NaN)
    }
    expect(width('see it melt')).toBeLessThan(2)
    expect(width('two numbers')).toBeGreaterThan(3)
    expect(width('it starts early')).toBeGreaterThan(width('see it melt') + 3)
  })
  test('the three at once are told apart, and each shrinks dry before it is wet', () => {
    const { truth } = wholeRun(set('three at once', 11))
    expect(truth).toHaveLength(3)
    for (const { shrankC, firstC } of truth) if (shrankC !== null) expect(shrankC).toBeLessThan(firstC ?? 0)
  })
})

describe('marks against what the tubes did', () => {
  const truth: readonly TubeTruth[] = [{ shrankC: 91.8, sweatedC: 92.9, firstC: 93.4, allC: 94.6 }]
  const sentenceOf = (firstC: number | null, allC: number | null) =>
    scoreMarks([{ firstC, allC }], truth, rules, 1).tubes[0]?.sentence
  test('the sentence that helps most is about what was taken for liquid', () => {
    expect(sentenceOf(91.9, 94.6)).toBe(
      'You marked the shrinking: the powder pulled away from the wall at 91.8 °C, still dry. Liquid came 1.5 °C later. Wait until it is wet.',
    )
    expect(sentenceOf(92.9, 94.6)).toContain('You marked a sheen')
    expect(sentenceOf(90, 94.6)).toBe('Nothing had happened yet at 90.0 °C: liquid came 3.4 °C later.')
    expect(sentenceOf(94.4, 94.6)).toContain('1.0 °C before you marked it')
    expect(sentenceOf(93.4, 94)).toContain('still a crystal')
    expect(sentenceOf(93.4, 95.6)).toContain('All was liquid 1.0 °C before')
    expect(sentenceOf(93.5, null)).toContain('the last crystal melted at 94.6')
    expect(sentenceOf(null, 94.6)).toContain('Without it there is no range')
    expect(sentenceOf(null, null)).toContain('You marked nothing')
    expect(sentenceOf(93.5, 94.5)).toBe('Both ends are as close as an eye can see.')
  })
  test('scripted learners come in order: perfect, late, early, impatient, asleep', () => {
    for (const exercise of LENS_EXERCISES) {
      const put = set(exercise, 21)
      const { truth: was } = wholeRun(put)
      const marked = (by: (tube: TubeTruth) => { firstC: number | null; allC: number | null }) =>
        scoreMarks(was.map(by), was, rules, put.rateCPerMin)
      const perfect = marked(({ firstC, allC }) => ({ firstC, allC }))
      const late = marked(({ firstC, allC }) => ({ firstC: (firstC ?? 0) + 0.8, allC: (allC ?? 0) + 0.8 }))
      const early = marked(({ firstC, allC }) => ({ firstC: (firstC ?? 0) - 1.4, allC: (allC ?? 0) - 1.4 }))
      const impatient = marked(({ firstC }) => ({ firstC: (firstC ?? 0) - 3, allC: null }))
      const asleep = marked(() => ({ firstC: null, allC: null }))
      expect(perfect).toMatchObject({ isGood: true, share: 1 })
      const shares = [perfect, late, early, impatient, asleep].map(({ share }) => share)
      expect([...shares].sort((p, q) => q - p)).toEqual(shares)
      expect(late.isGood).toBe(false)
      expect(asleep.share).toBe(0)
    }
  })
  test('nearer is never worth less', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 6, noNaN: true }),
        fc.double({ min: 0, max: 6, noNaN: true }),
        (p, q) => {
          const share = (off: number) =>
            scoreMarks([{ firstC: 93.4 + off, allC: 94.6 }], truth, rules, 1).share
          const [near, far] = [Math.min(p, q), Math.max(p, q)]
          expect(share(near)).toBeGreaterThanOrEqual(share(far))
        },
      ),
    )
    expect(markWithinC(rules, 2)).toBeCloseTo(rules.readingErrorC + 0.1, 9)
  })
})
