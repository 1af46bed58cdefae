import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { DEFAULT_HOUSE_RULES } from '../conventions/schools'
import { type RangeEvidence, SIGNS } from './evidence'
import { judgeRange } from './judgeRange'
import { isShownDry } from './contributions'
import { NEXT_STEPS } from './judgement'
import { runs } from '../../golden/depth'

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
    { numRuns: runs(800), seed: 3 },
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
      { numRuns: runs(800), seed: 4 },
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
      { numRuns: runs(800), seed: 5 },
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
      { numRuns: runs(800), seed: 6 },
    )
  })
  test('a width that heating might own is never called sharp or treated', () => {
    fc.assert(
      fc.property(evidence, (one) => {
        const { findings, actions } = judgeRange(one, rules)
        const codes = findings.map(({ code }) => code)
        if (!codes.includes('too-fast-to-tell')) return
        expect(codes).not.toContain('sharp')
        // Far below it decomposes, and one compound by mixture: no heating lowers that.
        const lower = codes.includes('decomposes') && one.mixed?.verdict === 'same'
        const outright = one.mixed?.verdict === 'different' || codes.includes('residual-solid') || lower
        if (!outright) expect(actions[0]?.code).not.toMatch(/^recrystallize/)
      }),
      { numRuns: runs(800), seed: 7 },
    )
  })
  const BAD = ['consistent with pure', 'nearly pure', 'impure', 'not this compound']
  test('another tube never makes a product purer than the best measured of them alone', () => {
    const repeat = fc.record({
      onsetC: fc.double({ min: 110, max: 123, noNaN: true }),
      widthC: fc.double({ min: 0, max: 6, noNaN: true }),
      rateCPerMin: fc.constantFrom(0.5, 1, 2, 5),
    })
    fc.assert(
      fc.property(evidence, fc.array(repeat, { minLength: 1, maxLength: 3 }), (one, more) => {
        const repeats = more.map(({ onsetC, widthC, rateCPerMin }) => ({
          onsetC,
          clearC: onsetC + widthC,
          rateCPerMin,
        }))
        const tubes = [{ ...one.reading, rateCPerMin: one.rateCPerMin }, ...repeats]
        const slowest = Math.min(...tubes.map(({ rateCPerMin }) => rateCPerMin))
        const counted = tubes.filter(
          ({ rateCPerMin }) => rateCPerMin <= Math.max(slowest, rules.meltRate.max),
        )
        const alone = counted.map(({ onsetC, clearC, rateCPerMin }) =>
          judgeRange({ ...one, reading: { onsetC, clearC }, rateCPerMin, repeats: [] }, rules),
        )
        const ranks = alone.map(({ verdict }) => BAD.indexOf(verdict)).filter((bad) => bad >= 0)
        const together = judgeRange({ ...one, repeats }, rules).verdict
        fc.pre(ranks.length === alone.length && together !== 'cannot tell')
        expect(BAD.indexOf(together)).toBeGreaterThanOrEqual(Math.min(...ranks))
      }),
      { numRuns: runs(1500), seed: 8 },
    )
  })
  test('an onset that falls as the rate rises is scatter, and never looked back to a higher one', () => {
    const slow: RangeEvidence = {
      ...(fc.sample(evidence, { numRuns: 1, seed: 1 })[0] as RangeEvidence),
      reading: { onsetC: 118.6, clearC: 121.2 },
      rateCPerMin: 1,
      rateMeasured: true,
      fillMm: 2,
      grain: 'fine',
      behaviour: 'melts',
      signs: [],
      mixed: null,
      plate: null,
      watchedFromBelowOnsetC: 15,
      dried: { how: 'constant mass', minutes: null, solventBoilsC: 78 },
      thermometer: { state: 'checked at another rate', errorC: 0.2, extrapolated: false },
    }
    const worseAndFaster = { onsetC: 117.8, clearC: 121.4, rateCPerMin: 2 }
    const alone = judgeRange(slow, rules)
    const both = judgeRange({ ...slow, repeats: [worseAndFaster] }, rules)
    expect([alone.verdict, both.verdict]).toEqual(['nearly pure', 'nearly pure'])
    expect(both.findings.map(({ code }) => code)).not.toContain('zero-rate')
  })
  test('no impurity of more than half, none of a hydrate, none while solvent is open', () => {
    fc.assert(
      fc.property(evidence, (one) => {
        const fusion = { meltingPointC: 122, enthalpyKJPerMol: 18, molarMassGPerMol: 122, estimated: false }
        const { impurity, budget } = judgeRange({ ...one, fusion }, rules)
        if (impurity === null) return
        expect(impurity[1]).toBeLessThanOrEqual(0.5)
        expect(one.behaviour).not.toBe('hydrate')
        expect(budget.find(({ owner }) => owner === 'solvent')?.isOpenEnded).toBe(false)
      }),
      { numRuns: runs(3000), seed: 9 },
    )
  })
  test('an end inside the literature lies low only by what heating and melting certainly raised it', () => {
    fc.assert(
      fc.property(evidence, (one) => {
        const { budget, measured } = judgeRange(one, rules)
        const sample = budget.find(({ owner }) => owner === 'sample')
        for (const end of ['onset', 'clear'] as const) {
          const atC = end === 'onset' ? one.reading.onsetC : one.reading.clearC
          const insideByC = atC - LITERATURE.lowC
          if (measured?.distanceC?.[end] !== 0 || insideByC <= 0) continue
          const raised = budget
            .filter(({ owner }) => owner !== 'sample')
            .reduce((sum, { endC }) => sum + endC[end].leastC, 0)
          if ((sample?.endC[end].mostC ?? 0) < 0) expect(insideByC).toBeLessThan(raised + 1e-9)
        }
      }),
      { numRuns: runs(2000), seed: 10 },
    )
  })
  test('“nearly pure” never stands beside “broad” of one tube, and what is dried is said to be checked only then', () => {
    fc.assert(
      fc.property(evidence, (one) => {
        const { verdict, findings, notChecked } = judgeRange(one, rules)
        const against = findings.some(({ code }) => /^plate|^mixed/.test(code))
        if (verdict === 'nearly pure' && !against)
          expect(findings.map(({ code }) => code)).not.toContain('broad')
        if (!isShownDry(one)) expect(notChecked).toContain('that it is dry')
      }),
      { numRuns: runs(2000), seed: 11 },
    )
  })
  test('a compound that decomposes is signed once a mixed melt leaves it as it is', () => {
    fc.assert(
      fc.property(evidence, (one) => {
        fc.pre(one.signs.every(({ sign }) => sign !== 'solid that never melts'))
        const { verdict, actions } = judgeRange(
          { ...one, behaviour: 'decomposes', mixed: { verdict: 'same', because: 'it did' } },
          rules,
        )
        const isFarLow = one.literature !== null && one.literature.lowC - one.reading.onsetC > 6
        expect([verdict, actions[0]?.code]).toEqual(
          isFarLow ? ['impure', 'recrystallize'] : ['consistent with pure', 'sign'],
        )
      }),
      { numRuns: runs(300), seed: 12 },
    )
  })
})
