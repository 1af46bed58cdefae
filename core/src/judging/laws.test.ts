import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { DEFAULT_HOUSE_RULES } from '../conventions/schools'
import { type RangeEvidence, SIGNS } from './evidence'
import { judgeRange } from './judgeRange'
import { NEXT_STEPS } from './judgement'

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
    signs: fc
      .subarray([...SIGNS], { maxLength: 2 })
      .map((seen) => seen.map((sign) => ({ sign, atC: sign === 'bubbles' ? 78 : null }))),
    extrapolated: fc.boolean(),
    behaviour: fc.constantFrom(
      'melts' as const,
      'decomposes' as const,
      'hydrate' as const,
      'other forms' as const,
    ),
    mixed: fc
      .constantFrom(null, 'same' as const, 'different' as const, 'repeat' as const)
      .map((verdict) => verdict && { verdict, because: 'so it melted' }),
    plate: fc
      .constantFrom(
        null,
        { spots: 1, sameHeight: true },
        { spots: 2, sameHeight: null },
        { spots: 1, sameHeight: false },
      )
      .map((plate) => plate && { ...plate, isPoor: false, sentence: 'so it ran' }),
  })
  .map(({ onsetC, widthC, state, errorC, extrapolated, how, minutes, solventBoilsC, ...rest }) => ({
    ...rest,
    reading: { onsetC, clearC: onsetC + widthC },
    resolutionC: 0.1,
    thermometer: { state, errorC, extrapolated },
    dried: { how, minutes, solventBoilsC },
    literature: LITERATURE,
    fusion: null,
    crude: null,
    authentic: null,
    repeats: [],
    setAside: 0,
    impurity: null,
  }))

const isTold = (one: RangeEvidence) => judgeRange(one, rules).verdict !== 'cannot tell'
/** What is made worse of a reading never makes it more certain. */
function worse(what: (one: RangeEvidence) => RangeEvidence): void {
  fc.assert(
    fc.property(evidence, (one) => {
      if (isTold(what(one))) expect({ one, isTold: isTold(one) }).toEqual({ one, isTold: true })
    }),
    { numRuns: 800, seed: 3 },
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
        // A plate that contradicts both is a new doubt, and no fault of the authentic sample.
        fc.pre(isTold(one) && one.plate?.sameHeight !== false)
        const onsetC = one.reading.onsetC + above
        expect(isTold({ ...one, authentic: { onsetC, clearC: onsetC + 1 } })).toBe(true)
      }),
      { numRuns: 800, seed: 4 },
    )
  })
  test('there is always something to do next, and signing never comes first where it cannot be told', () => {
    fc.assert(
      fc.property(evidence, (one) => {
        const { verdict, actions } = judgeRange(one, rules)
        const next = actions.map(({ code }) => code)
        expect(NEXT_STEPS).toContain(next[0])
        expect(new Set(next).size).toBe(next.length)
        if (verdict !== 'consistent with pure') expect(next[0]).not.toBe('sign')
      }),
      { numRuns: 800, seed: 5 },
    )
  })
  test('a thermometer known less well never does', () => {
    worse((one) => ({ ...one, thermometer: { ...one.thermometer, extrapolated: true } }))
    worse((one) => ({ ...one, thermometer: { state: 'never checked', errorC: null, extrapolated: false } }))
  })
  test('the least of all rows is never more than what was read, and the most never less', () => {
    fc.assert(
      fc.property(evidence, fc.option(fc.double({ min: 90, max: 130, noNaN: true })), (one, besideC) => {
        const authentic = besideC === null ? null : { onsetC: besideC, clearC: besideC + 1 }
        const { budget, measured } = judgeRange({ ...one, authentic }, rules)
        const read = {
          onset: measured?.distanceC?.onset ?? 0,
          clear: measured?.distanceC?.clear ?? 0,
          width: measured?.widthC ?? 0,
        }
        for (const end of ['onset', 'clear', 'width'] as const) {
          const sum = (bound: 'leastC' | 'mostC') =>
            budget.reduce((total, { endC }) => total + endC[end][bound], 0)
          expect(sum('leastC')).toBeLessThanOrEqual(read[end] + 1e-9)
          expect(sum('mostC')).toBeGreaterThanOrEqual(read[end] - 1e-9)
          for (const { endC } of budget) expect(endC[end].leastC).toBeLessThanOrEqual(endC[end].mostC)
        }
      }),
      { numRuns: 800, seed: 6 },
    )
  })
  test('a width that heating might own is never called sharp or treated', () => {
    fc.assert(
      fc.property(evidence, (one) => {
        const { findings, actions } = judgeRange(one, rules)
        const codes = findings.map(({ code }) => code)
        if (!codes.includes('too-fast-to-tell')) return
        expect(codes).not.toContain('sharp')
        const outright = one.mixed?.verdict === 'different' || codes.includes('residual-solid')
        if (!outright) expect(actions[0]?.code).not.toMatch(/^recrystallize/)
      }),
      { numRuns: 800, seed: 7 },
    )
  })
})
