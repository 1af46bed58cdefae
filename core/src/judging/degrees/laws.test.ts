import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { DEFAULT_HOUSE_RULES } from '../../conventions/schools'
import { type RangeEvidence, SIGNS } from './evidence'
import { judgeDegrees, NEXT_STEPS } from './judgeDegrees'

const rules = DEFAULT_HOUSE_RULES
const LITERATURE = { lowC: 120, highC: 122 }

/** A reading of anything, anyhow. */
const evidence: fc.Arbitrary<RangeEvidence> = fc
  .record({
    onsetC: fc.double({ min: 95, max: 130, noNaN: true }),
    widthC: fc.double({ min: 0, max: 15, noNaN: true }),
    rateCPerMin: fc.constantFrom(0.5, 1, 2, 5, 10),
    rateMeasured: fc.boolean(),
    fillMm: fc.constantFrom(1, 2, 3, 5, 8),
    grain: fc.constantFrom('fine' as const, 'coarse' as const),
    watchedFromBelowOnsetC: fc.constantFrom(null, 1, 10, 40),
    state: fc.constantFrom(
      'never checked' as const,
      'checked in place at this rate' as const,
      'checked at another rate' as const,
    ),
    errorC: fc.constantFrom(null, 0.2, 0.5, 1.5),
    how: fc.constantFrom('constant mass' as const, 'minutes of air' as const, 'not' as const),
    minutes: fc.constantFrom(5, 60),
    solventBoilsC: fc.constantFrom(null, 35, 78, 100),
    signs: fc.subarray([...SIGNS], { maxLength: 2 }),
    behaviour: fc.constantFrom(
      'melts' as const,
      'decomposes' as const,
      'hydrate' as const,
      'other forms' as const,
    ),
    mixed: fc.constantFrom(null, 'same' as const, 'different' as const, 'repeat' as const),
    plate: fc.constantFrom(null, { spots: 1, sameHeight: true }, { spots: 2, sameHeight: null }),
  })
  .map(({ onsetC, widthC, state, errorC, how, minutes, solventBoilsC, ...rest }) => ({
    ...rest,
    reading: { onsetC, clearC: onsetC + widthC },
    resolutionC: 0.1,
    thermometer: { state, errorC },
    dried: { how, minutes, solventBoilsC },
    literature: LITERATURE,
    fusion: null,
    crude: null,
    authentic: null,
    repeats: [],
    impurity: null,
  }))

const isTold = (one: RangeEvidence) => judgeDegrees(one, rules).verdict !== 'cannot tell'
/** What is made worse of a reading never makes it more certain. */
function worse(what: (one: RangeEvidence) => RangeEvidence): void {
  fc.assert(
    fc.property(evidence, (one) => {
      if (isTold(what(one))) expect({ one, isTold: isTold(one) }).toEqual({ one, isTold: true })
    }),
    { numRuns: 2000, seed: 3 },
  )
}

describe('laws of judging', () => {
  test('a faster rate never makes a verdict more certain', () => {
    worse((one) => ({ ...one, rateCPerMin: 2 * one.rateCPerMin }))
  })
  test('a rate nobody measured never does', () => {
    worse((one) => ({ ...one, rateMeasured: false }))
  })
  test('a fuller or coarser tube never does', () => {
    worse((one) => ({ ...one, fillMm: one.fillMm + 3 }))
    worse((one) => ({ ...one, grain: 'coarse' }))
  })
  test('drying that shows less never does', () => {
    worse((one) => ({ ...one, dried: { how: 'not', minutes: null, solventBoilsC: 100 } }))
  })
  test('an authentic sample in the same run never makes it less certain', () => {
    fc.assert(
      fc.property(evidence, fc.double({ min: -4, max: 8, noNaN: true }), (one, above) => {
        fc.pre(isTold(one))
        const onsetC = one.reading.onsetC + above
        expect(isTold({ ...one, authentic: { onsetC, clearC: onsetC + 1 } })).toBe(true)
      }),
      { numRuns: 2000, seed: 4 },
    )
  })
  test('there is always something to do next, and signing never comes first where it cannot be told', () => {
    fc.assert(
      fc.property(evidence, (one) => {
        const { verdict, next } = judgeDegrees(one, rules)
        expect(NEXT_STEPS).toContain(next[0])
        expect(new Set(next).size).toBe(next.length)
        if (verdict !== 'consistent with pure') expect(next[0]).not.toBe('sign')
      }),
      { numRuns: 2000, seed: 5 },
    )
  })
  test('what only the sample can own is never more than what was read', () => {
    fc.assert(
      fc.property(evidence, (one) => {
        const { sampleWidth, sampleLowering } = judgeDegrees(one, rules)
        const lowC = LITERATURE.lowC - one.reading.onsetC
        expect(sampleWidth.leastC).toBeLessThanOrEqual(sampleWidth.mostC)
        expect(sampleLowering.leastC).toBeLessThanOrEqual(lowC + 0.5 * one.rateCPerMin)
        expect(sampleLowering.mostC).toBeGreaterThanOrEqual(lowC)
      }),
      { numRuns: 1000, seed: 6 },
    )
  })
})
