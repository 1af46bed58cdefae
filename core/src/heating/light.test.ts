import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { DEFAULT_HOUSE_RULES } from '../conventions/schools'
import { advance, createBlock } from '../simulator/block'
import { DETECTING_BLOCK } from '../instruments/characters'
import { createTube } from '../simulator/tube'
import { compareSchools } from './compareSchools'
import { detectMelt, type LightSample } from './detectMelt'
import { wideningByFillC } from './observedRange'

/** Light that rises evenly between two temperatures, with a little scatter. */
const rising = (fromC: number, toC: number, scatter = 0): LightSample[] =>
  Array.from({ length: 301 }, (_, i) => {
    const temperatureC = 85 + i / 20
    const share = Math.min(1, Math.max(0, (temperatureC - fromC) / (toC - fromC)))
    return { temperatureC, transmission: 0.1 + 0.8 * share + scatter * Math.sin(12.9898 * i) }
  })

describe('a melt off its light', () => {
  test('the ends lie where the share of the rise passes 5 and 95 %', () => {
    const found = detectMelt(rising(92, 94))
    expect(found.onsetC).toBeCloseTo(92.1, 6)
    expect(found.clearC).toBeCloseTo(93.9, 6)
    const wider = detectMelt(rising(92, 94), { onsetAt: 0.25, clearAt: 0.75 })
    expect(wider.onsetC).toBeCloseTo(92.5, 6)
    expect(wider.clearC).toBeCloseTo(93.5, 6)
  })
  test('does not care for the scale of the light, and little for its scatter', () => {
    const scaled = rising(92, 94).map((one) => ({ ...one, transmission: 1000 * one.transmission + 40 }))
    expect(detectMelt(scaled).onsetC).toBeCloseTo(92.1, 6)
    fc.assert(
      fc.property(
        fc.double({ min: 88, max: 92, noNaN: true }),
        fc.double({ min: 0.5, max: 4, noNaN: true }),
        (fromC, width) => {
          const { onsetC, clearC } = detectMelt(rising(fromC, fromC + width, 0.01))
          expect(Math.abs(onsetC - (fromC + 0.05 * width))).toBeLessThan(0.2)
          expect(Math.abs(clearC - (fromC + 0.95 * width))).toBeLessThan(0.2)
          expect(onsetC).toBeLessThanOrEqual(clearC)
        },
      ),
    )
  })
  test('a trace with no melt in it, or too short, is refused in a sentence', () => {
    const level = rising(200, 201, 0.01)
    expect(() => detectMelt(level)).toThrow('nothing melted, or')
    expect(() => detectMelt(rising(92, 94).reverse())).toThrow('nothing melted, or')
    expect(() => detectMelt(rising(92, 94).slice(0, 10))).toThrow('10 readings is too short')
    expect(() => detectMelt(rising(92, 94), { onsetAt: 0.9, clearAt: 0.2 })).toThrow('must lie below')
  })
  test('the simulated block’s own light gives the melting point of what is in it', () => {
    const benzil = { meltingPointC: 95, enthalpyKJPerMol: 23.5, molarMassGPerMol: 210.23 }
    const tube = createTube(
      { a: benzil, b: null, moleFractionA: 1 },
      { fillMm: 2, grain: 'fine' },
      { sampleLagMin: DETECTING_BLOCK.sampleLagMin, seed: 4 },
    )
    const cold = createBlock(DETECTING_BLOCK, 4, { tubes: [tube], blockC: 85 })
    const hot = advance(cold, [{ kind: 'preheat', toC: 85 }], 240).state
    const { readings } = advance(
      hot,
      [{ kind: 'tubes in' }, { kind: 'ramp', toC: 102, rateCPerMin: 1 }],
      1000,
    )
    const trace = readings
      .filter(({ atS }) => atS > 300)
      .map(({ probe, light }) => ({ temperatureC: probe.value, transmission: light?.[0] ?? NaN }))
    const { onsetC, clearC } = detectMelt(trace)
    // The probe reads 0.15 high and ahead of the sample; the fill takes half a minute to melt through.
    expect(Math.abs(onsetC - 95.3)).toBeLessThan(0.5)
    expect(clearC - onsetC).toBeLessThan(1)
  })
})

test('a filling widens the range by what it takes longer to melt through, at the rate', () => {
  // 8 mm: 0.12 min for each of six more, at 2 °C/min.
  expect(wideningByFillC({ fillMm: 8, grain: 'fine' }, 2, 2)).toBeCloseTo(1.44, 9)
  expect(wideningByFillC({ fillMm: 2, grain: 'coarse' }, 2, 1)).toBeCloseTo(0.3, 9)
  expect(wideningByFillC({ fillMm: 2, grain: 'fine' }, 4, 1)).toBeLessThan(0)
})

describe('what a school costs', () => {
  const apparatus = {
    ambientC: 22,
    blockC: 22,
    heatCPerMin: 20,
    coolTimeConstantMin: 9,
    rates: [0.5, 1, 2, 5],
    maxC: 300,
  }
  const close = { ...DEFAULT_HOUSE_RULES, name: 'close', startBelowC: 5 }
  const quick = { ...close, name: 'quick', meltRate: { min: 5, target: 5, max: 5 } }
  const cold = { ...close, name: 'cold', tubeIn: 'cold' as const }
  const packing = { fillMm: 2, grain: 'fine' as const }
  test('a close start misses an impure onset, and the tube melts as it goes in', () => {
    const [wide, near, fast, fromCold] = compareSchools(
      { low: 94, high: 96, firstLiquidFromC: 82, packing },
      apparatus,
      [DEFAULT_HOUSE_RULES, close, quick, cold],
    )
    expect(wide).toMatchObject({ onsetBelowStart: false, meltsOnBeingPutIn: false })
    expect(near).toMatchObject({ school: 'close', onsetBelowStart: true, meltsOnBeingPutIn: true })
    expect(fromCold).toMatchObject({ onsetBelowStart: true, meltsOnBeingPutIn: false })
    expect(near?.minutes).toBeLessThan(wide?.minutes ?? 0)
    // By hand at 5 °C/min: both ends 5·(0.3 − 0.1) later, the top 5·0.5 more.
    expect(fast?.predicted.onsetC).toBeCloseTo(83, 9)
    expect(fast?.predicted.clearC).toBeCloseTo(99.5, 9)
    expect(fast?.wideningC).toBeCloseTo(2.5, 9)
  })
  test('an instrument’s own lags are used where they are known', () => {
    const lags = { sampleLagMin: 0.3, probeLagMin: 0.5 }
    const [comparison] = compareSchools({ low: 94, high: 96, packing }, { ...apparatus, lags }, [quick])
    expect(comparison?.predicted.onsetC).toBeCloseTo(93, 9)
  })
})
