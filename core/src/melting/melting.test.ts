import { readFileSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { assumedImpurity, compositionFromRange } from '../heating/compositionFromRange'
import {
  compositionsFromClearPoint,
  eutectic,
  massFractionOf,
  moleFractionFromMassFraction,
  phaseDiagram,
} from './eutectic'
import {
  type Fusion,
  idealSolubility,
  impurityFromClearPoint,
  liquidusC,
  waldenFusionEnthalpy,
} from './liquidus'
import { liquidFraction, meltingRange } from './meltingRange'
import { phasePoint } from './phasePoint'

interface Pair {
  pair: string
  a: Fusion
  b: Fusion
  eutectic: { temperatureC: number; moleFractionA: number }
  halfByMass: { moleFractionA: number }
  mixtures: { moleFractionA: number; onsetC: number; clearC: number; liquid: [number, number][] }[]
  impurityFromClear: [number, number][]
}
const { pairs } = JSON.parse(
  readFileSync(new URL('../../vectors/melting.json', import.meta.url), 'utf8'),
) as { pairs: Pair[] }
const relative = (actual: number, expected: number) =>
  Math.abs(actual - expected) / Math.max(1, Math.abs(expected))

describe.each(pairs)('$pair', ({ a, b, eutectic: point, halfByMass, mixtures, impurityFromClear }) => {
  test('eutectic', () => {
    const found = eutectic(a, b)
    expect(Math.abs(found.temperatureC - point.temperatureC)).toBeLessThan(1e-8)
    expect(relative(found.moleFractionA, point.moleFractionA)).toBeLessThan(1e-6)
  })
  test('half by mass', () => {
    expect(moleFractionFromMassFraction(0.5, a.molarMassGPerMol, b.molarMassGPerMol)).toBeCloseTo(
      halfByMass.moleFractionA,
      9,
    )
  })
  test.each(mixtures)('a mole fraction of $moleFractionA', ({ moleFractionA, onsetC, clearC, liquid }) => {
    const range = meltingRange(a, b, moleFractionA)
    expect(relative(range.onsetC, onsetC)).toBeLessThan(1e-6)
    expect(relative(range.clearC, clearC)).toBeLessThan(1e-6)
    for (const [t, phi] of liquid)
      expect(relative(liquidFraction(a, b, moleFractionA, t), phi)).toBeLessThan(1e-6)
  })
  test('impurity from the clear point', () => {
    for (const [below, impurity] of impurityFromClear)
      expect(relative(impurityFromClearPoint(a, a.meltingPointC - below), impurity)).toBeLessThan(1e-6)
  })
  test('compositions from the clear point come back to it', () => {
    for (const { moleFractionA, clearC } of mixtures) {
      const found = compositionsFromClearPoint(a, b, clearC).map((one) => one.moleFractionA)
      expect(found.some((x) => Math.abs(x - moleFractionA) < 1e-6)).toBe(true)
    }
    expect(compositionsFromClearPoint(a, b, point.temperatureC - 1)).toEqual([])
  })
  test('the drawn lines start at the pure ends and meet in the eutectic', () => {
    const { branchA, branchB } = phaseDiagram(a, b, 9)
    expect(branchA[0]?.[1]).toBeCloseTo(a.meltingPointC, 9)
    expect(branchB[0]?.[1]).toBeCloseTo(b.meltingPointC, 9)
    for (const branch of [branchA, branchB]) expect(branch[8]?.[1]).toBeCloseTo(point.temperatureC, 6)
    expect(() => phaseDiagram(a, b, 1)).toThrow('at least two points')
  })
})

describe('laws of ideal melting', () => {
  const fusion = fc.record({
    meltingPointC: fc.double({ min: 0, max: 280, noNaN: true }),
    enthalpyKJPerMol: fc.double({ min: 8, max: 60, noNaN: true }),
    molarMassGPerMol: fc.double({ min: 60, max: 400, noNaN: true }),
  })
  const fraction = fc.double({ min: 0.0001, max: 0.9999, noNaN: true })

  test('liquid fraction never falls with temperature and stays in 0 to 1', () => {
    fc.assert(
      fc.property(
        fusion,
        fusion,
        fraction,
        fc.double({ min: -100, max: 300, noNaN: true }),
        fc.double({ min: 0, max: 50, noNaN: true }),
        (a, b, x, t, more) => {
          const [cool, warm] = [liquidFraction(a, b, x, t), liquidFraction(a, b, x, t + more)]
          expect(cool).toBeGreaterThanOrEqual(0)
          expect(warm).toBeLessThanOrEqual(1)
          expect(warm).toBeGreaterThanOrEqual(cool - 1e-12)
        },
      ),
    )
  })
  test('a range never inverts, begins at the eutectic or above, and an earlier eye sees an earlier onset', () => {
    fc.assert(
      fc.property(fusion, fusion, fraction, (a, b, x) => {
        const drop = meltingRange(a, b, x)
        const wet = meltingRange(a, b, x, { visibleLiquidFraction: 0.1 })
        expect(drop.onsetC).toBeLessThanOrEqual(drop.clearC + 1e-9)
        expect(drop.onsetC).toBeGreaterThanOrEqual(eutectic(a, b).temperatureC - 1e-9)
        expect(wet.onsetC).toBeLessThanOrEqual(drop.onsetC + 1e-9)
        expect(wet.clearC).toBeCloseTo(drop.clearC, 9)
      }),
    )
  })
  test('which of the two is called a does not matter', () => {
    fc.assert(
      fc.property(fusion, fusion, fraction, (a, b, x) => {
        const one = meltingRange(a, b, x)
        const other = meltingRange(b, a, 1 - x)
        expect(one.clearC).toBeCloseTo(other.clearC, 6)
        expect(one.onsetC).toBeCloseTo(other.onsetC, 6)
      }),
    )
  })
  test('liquidus and solubility undo each other', () => {
    fc.assert(
      fc.property(fusion, fraction, (a, x) => {
        expect(idealSolubility(a, liquidusC(a, x))).toBeCloseTo(x, 9)
      }),
    )
  })
})

test.each([
  [() => liquidusC({ meltingPointC: 95, enthalpyKJPerMol: 23, molarMassGPerMol: 1 }, 0), 'there is no solid'],
  [
    () => idealSolubility({ meltingPointC: 95, enthalpyKJPerMol: 0, molarMassGPerMol: 1 }, 50),
    'fusion enthalpy of 0',
  ],
  [() => moleFractionFromMassFraction(1.5, 1, 1), 'between 0 and 1'],
  [() => moleFractionFromMassFraction(0.5, 0, 1), 'above zero'],
  [() => waldenFusionEnthalpy(-400), 'below absolute zero'],
])('impossible input %#: %s', (run, sentence) => {
  expect(run).toThrow(sentence)
})

test('the share of two weighed parts', () => {
  expect(massFractionOf(0.012, 0.013)).toBeCloseTo(0.48, 12)
  for (const [p, q] of [
    [0, 1],
    [1, -1],
    [NaN, 1],
  ] as const)
    expect(() => massFractionOf(p, q)).toThrow('Both parts of a mixture have a mass')
})

test('Walden’s rule', () => {
  expect(waldenFusionEnthalpy(95)).toBeCloseTo(20.8, 2)
})

describe('reading the map', () => {
  const benzil = { meltingPointC: 96, enthalpyKJPerMol: 23.5, molarMassGPerMol: 210.23 }
  const benzoin = { meltingPointC: 137.5, enthalpyKJPerMol: 23.2, molarMassGPerMol: 212.24 }
  test('a composition comes back from the range it melts at, inside its interval', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.72, max: 0.995, noNaN: true }), (x) => {
        const found = compositionFromRange(benzil, benzoin, meltingRange(benzil, benzoin, x), 0.3)
        expect(found?.moleFractionA).toBeCloseTo(x, 9)
        expect(found?.low).toBeLessThanOrEqual(x)
        expect(found?.high).toBeGreaterThanOrEqual(x)
        expect(found?.doubt).toBeNull()
      }),
    )
  })
  test('above the melting point it is pure, below the eutectic it is not this pair', () => {
    expect(compositionFromRange(benzil, benzoin, { onsetC: 95.5, clearC: 96.4 }, 0.3)?.moleFractionA).toBe(1)
    expect(compositionFromRange(benzil, benzoin, { onsetC: 70, clearC: 75 }, 0.3)).toBeNull()
    expect(() => compositionFromRange(benzil, benzoin, { onsetC: 91, clearC: 90 }, 0.3)).toThrow('swapped')
  })
  test('an onset that does not fit is doubted', () => {
    expect(compositionFromRange(benzil, benzoin, { onsetC: 65, clearC: 91 }, 0.3)?.doubt).toContain(
      '65 °C was seen',
    )
    // Too little for its clear point, wherever in its interval that lies.
    expect(compositionFromRange(benzil, benzoin, { onsetC: 89, clearC: 90 }, 0.3)?.doubt).toContain(
      'another impurity',
    )
  })
  test('on a thermometer nobody checked a misfit is first the thermometer’s', () => {
    // Three degrees low, all of it the thermometer’s.
    const low = { onsetC: 90.9, clearC: 91.8 }
    const found = (range: { onsetC: number; clearC: number }, isUnchecked: boolean) =>
      compositionFromRange(benzil, benzoin, range, 0.3, { isUnchecked })?.doubt
    expect(found(low, true)).toContain('The thermometer was not checked')
    expect(found(low, false)).toContain('another impurity')
    // Further off than any thermometer it is the sample’s again.
    expect(found({ onsetC: 65, clearC: 91 }, true)).toContain('another impurity')
  })
  test('sharp and just below the pure compound is no misfit: its clear point cannot tell it from pure', () => {
    const found = compositionFromRange(benzil, benzoin, { onsetC: 94.3, clearC: 94.6 }, 0.3)
    expect(found?.predictedOnsetC).toBeLessThan(90.3)
    expect(found?.high).toBe(1)
    expect(found?.doubt).toBeNull()
  })
  test('each field of the map says what is in it, and how the tube looks', () => {
    const at = (x: number, t: number) => phasePoint(benzil, benzoin, x, t)
    expect(at(0.9, 70)).toMatchObject({ phases: 'all solid', look: 'powder', liquidFraction: 0 })
    expect(at(0.9, 85)).toMatchObject({ phases: 'liquid and solid a', look: 'drops' })
    expect(at(0.4, 95)).toMatchObject({ phases: 'liquid and solid b' })
    expect(at(0.9, 95)).toMatchObject({ phases: 'all liquid', look: 'clear', liquidFraction: 1 })
    expect(at(0.9, 85).massFractionA).toBeCloseTo((0.9 * 210.23) / (0.9 * 210.23 + 0.1 * 212.24), 9)
    expect([at(0.9, 85), at(0.99, 85), at(1, 85)].map((one) => one.beginsUnseen)).toEqual([
      false,
      true,
      false,
    ])
    expect(() => at(1.2, 80)).toThrow('between 0 and 1')
  })
  test('an assumed impurity melts higher by Walden’s rule and is as heavy', () => {
    const other = assumedImpurity(benzil)
    expect(other.meltingPointC).toBe(116)
    expect(other.enthalpyKJPerMol).toBeCloseTo(0.0565 * 389.15, 9)
    expect(other.molarMassGPerMol).toBe(benzil.molarMassGPerMol)
  })
})
