import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { DEFAULT_HOUSE_RULES } from '../conventions/schools'
import { meltMin, observedRange, zeroRateRange } from './observedRange'
import { planRamp, type RampInput } from './planRamp'
import { rateOf } from './rateOf'
import { isTooFast, minutesToWindow } from './watching'

const apparatus = {
  ambientC: 22,
  blockC: 22,
  heatCPerMin: 20,
  coolTimeConstantMin: 9,
  rates: [0.5, 1, 2, 5],
  maxC: 300,
}
const input: RampInput = { apparatus, conventions: DEFAULT_HOUSE_RULES, expectedLowC: 94, expectedHighC: 96 }

describe('planRamp', () => {
  test('preheats to 15 below, ramps at 1 to 8 above, and adds the minutes up', () => {
    const plan = planRamp(input)
    expect(
      plan.segments.map(({ kind, fromC, toC, rateCPerMin }) => ({ kind, fromC, toC, rateCPerMin })),
    ).toEqual([
      { kind: 'preheat', fromC: 22, toC: 79, rateCPerMin: 20 },
      { kind: 'ramp', fromC: 79, toC: 104, rateCPerMin: 1 },
    ])
    expect(plan.totalMin).toBeCloseTo(57 / 20 + 25, 9)
    expect(plan.watchFromC).toBe(89)
    expect(plan.watchFromMin).toBeCloseTo(57 / 20 + 10, 9)
    expect(plan.warnings).toEqual([])
  })
  test('an impure sample pulls the start down and the watch forward', () => {
    const plan = planRamp({ ...input, firstLiquidFromC: 75 })
    expect(plan.startC).toBe(70)
    expect(plan.watchFromC).toBe(70)
    expect(plan.warnings.join()).toContain('may show liquid from 75 °C')
  })
  test('a hot block cools first, for as long as Newton says', () => {
    const plan = planRamp({ ...input, apparatus: { ...apparatus, blockC: 150 } })
    expect(plan.segments[0]?.kind).toBe('cool')
    expect(plan.segments[0]?.minutes).toBeCloseTo(9 * Math.log(128 / 57), 9)
    expect(plan.warnings.join()).toContain('Let it cool for about 7 min')
  })
  test('near the room it starts just above it and says so', () => {
    const plan = planRamp({ ...input, expectedLowC: 32, expectedHighC: 34 })
    expect(plan.startC).toBe(24)
    expect(plan.warnings.join()).toContain('watch from the moment the tubes go in')
  })
  test('no rate within house rules: the nearest, and a warning', () => {
    const plan = planRamp({ ...input, apparatus: { ...apparatus, rates: [5, 10] } })
    expect(plan.rateCPerMin).toBe(5)
    expect(plan.warnings.join()).toContain('the nearest this instrument has is 5')
  })
  test('a scale that ends too soon is said', () => {
    expect(planRamp({ ...input, apparatus: { ...apparatus, maxC: 100 } }).warnings.join()).toContain(
      'ends at 100 °C',
    )
    expect(() => planRamp({ ...input, expectedLowC: 400, expectedHighC: 402 })).toThrow(
      'above what this instrument reaches',
    )
  })
  test('a range that runs backwards is refused', () => {
    expect(() => planRamp({ ...input, expectedLowC: 97 })).toThrow('runs backwards')
  })
  test('segments join up and time is their sum, whatever the sample', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 30, max: 250, noNaN: true }),
        fc.double({ min: 0, max: 30, noNaN: true }),
        fc.double({ min: 22, max: 290, noNaN: true }),
        (low, width, blockC) => {
          const plan = planRamp({
            ...input,
            apparatus: { ...apparatus, blockC },
            expectedLowC: low,
            expectedHighC: low + width,
          })
          plan.segments.slice(1).forEach((segment, i) => expect(segment.fromC).toBe(plan.segments[i]?.toC))
          expect(plan.totalMin).toBeCloseTo(
            plan.segments.reduce((sum, s) => sum + s.minutes, 0),
            9,
          )
          expect(plan.watchFromMin).toBeLessThanOrEqual(plan.totalMin)
          expect(plan.segments.every((s) => s.minutes >= 0)).toBe(true)
        },
      ),
    )
  })
})

describe('what heating does to a range', () => {
  const terms = { rateCPerMin: 2, sampleLagMin: 0.3, probeLagMin: 0.1, meltMin: 0.5 }
  test('both ends shift, the top more', () => {
    const seen = observedRange({ onsetC: 94, clearC: 95 }, terms)
    expect(seen.onsetC).toBeCloseTo(94.4, 9)
    expect(seen.clearC).toBeCloseTo(96.4, 9)
  })
  test('a thick thermometer behind the sample reads early', () => {
    expect(observedRange({ onsetC: 94, clearC: 95 }, { ...terms, probeLagMin: 0.5 }).onsetC).toBeCloseTo(
      93.6,
      9,
    )
  })
  test('it never narrows a range, and nothing happens at rate zero', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 20, noNaN: true }),
        fc.double({ min: 0, max: 10, noNaN: true }),
        (rateCPerMin, width) => {
          const seen = observedRange({ onsetC: 90, clearC: 90 + width }, { ...terms, rateCPerMin })
          expect(seen.clearC - seen.onsetC).toBeGreaterThanOrEqual(width - 1e-9)
        },
      ),
    )
    expect(observedRange({ onsetC: 94, clearC: 95 }, { ...terms, rateCPerMin: 0 })).toEqual({
      onsetC: 94,
      clearC: 95,
    })
  })
  test('melting time by fill and grain', () => {
    expect(meltMin({ fillMm: 1.5, grain: 'fine' })).toBe(0.5)
    expect(meltMin({ fillMm: 3, grain: 'fine' })).toBeCloseTo(0.62, 12)
    expect(meltMin({ fillMm: 2, grain: 'coarse' })).toBeCloseTo(0.8, 12)
    expect(() => meltMin({ fillMm: 0, grain: 'fine' })).toThrow('nothing in it')
  })
  test('looking back to zero rate undoes observedRange', () => {
    const runs = [1, 2, 5].map((rateCPerMin) => ({
      rateCPerMin,
      ...observedRange({ onsetC: 94, clearC: 95 }, { ...terms, rateCPerMin }),
    }))
    expect(zeroRateRange(runs).onsetC).toBeCloseTo(94, 9)
    expect(zeroRateRange(runs).clearC).toBeCloseTo(95, 9)
    expect(() => zeroRateRange(runs.slice(0, 1))).toThrow('two different rates')
  })
})

test('while it is watched: minutes to the window, and too fast', () => {
  const plan = { watchFromC: 89, rateCPerMin: 2 }
  expect([minutesToWindow(plan, 84), minutesToWindow(plan, 95)]).toEqual([2.5, 0])
  const { meltRate } = DEFAULT_HOUSE_RULES
  expect([1, 2.1, 2.3].map((rate) => isTooFast(rate, meltRate))).toEqual([false, false, true])
})

describe('live rate', () => {
  const ramp = Array.from({ length: 61 }, (_, s) => [s / 60, 90 + (1.4 * s) / 60] as const)
  test('is the slope', () => {
    expect(rateOf(ramp)).toBeCloseTo(1.4, 9)
  })
  test('one bad sample does not move it', () => {
    expect(rateOf(ramp.map(([m, t], i) => [m, i === 55 ? 20 : t] as const))).toBeCloseTo(1.4, 1)
  })
  test('only the last minute counts', () => {
    const bent = [...Array.from({ length: 60 }, (_, s) => [s / 60 - 1, 50] as const), ...ramp]
    expect(rateOf(bent)).toBeCloseTo(1.4, 9)
  })
  test('too few samples give no rate', () => {
    expect(rateOf([])).toBeNull()
    expect(
      rateOf([
        [0, 90],
        [0.5, 91],
      ]),
    ).toBeNull()
  })
})
