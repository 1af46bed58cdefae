import { readFileSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { flaskForML } from './glassware'
import {
  type CrystallizationInput,
  type CrystallizationPlan,
  planCrystallization,
} from './planCrystallization'
import { solubilityAt, type SolubilityPoint } from './solubilityAt'

interface Vectors {
  cases: { input: CrystallizationInput; curve: [number, number][]; output: Record<string, number> }[]
  singlePoint: { points: SolubilityPoint[]; enthalpyKJPerMol: number; curve: [number, number][] }
}
const vectors = JSON.parse(
  readFileSync(new URL('../../vectors/solubility.json', import.meta.url), 'utf8'),
) as Vectors

describe('solubility', () => {
  test.each(vectors.cases)('follows the curve of case %#', ({ input, curve }) => {
    for (const [t, s] of curve) expect(solubilityAt(input.product, t).gPer100ML / s).toBeCloseTo(1, 9)
  })
  test('one point is continued with the fusion enthalpy, and says so', () => {
    const { points, enthalpyKJPerMol, curve } = vectors.singlePoint
    for (const [t, s] of curve) {
      const at = solubilityAt(points, t, enthalpyKJPerMol)
      expect(at.gPer100ML / s).toBeCloseTo(1, 9)
      expect(at.basis).toBe('single point')
    }
    expect(() => solubilityAt(points, 50)).toThrow('Add a second point')
  })
  test('says what lies beyond the points', () => {
    const points: SolubilityPoint[] = [
      [78, 46],
      [20, 1.9],
    ]
    expect(solubilityAt(points, 50).basis).toBe('between points')
    expect(solubilityAt(points, 2).basis).toBe('beyond points')
    expect(solubilityAt(points, 20)).toEqual({ gPer100ML: expect.closeTo(1.9, 9), basis: 'between points' })
  })
  test.each([
    [[], 'No solubility is known'],
    [[[20, 0]], 'cannot be used'],
    [
      [
        [20, 1],
        [20, 2],
      ],
      'two solubilities at 20 °C',
    ],
    [[[-300, 1]], 'below absolute zero'],
  ] as [SolubilityPoint[], string][])('%j: %s', (points, sentence) => {
    expect(() => solubilityAt(points, 20, 20)).toThrow(sentence)
  })
})

describe('the crystallization plan', () => {
  test.each(vectors.cases)('agrees with vector %#', ({ input, output }) => {
    const plan = planCrystallization(input) as unknown as Record<string, number>
    for (const [name, expected] of Object.entries(output))
      expect([name, plan[name]]).toEqual([name, expect.closeTo(expected, 9)])
  })

  const inputs = fc.record({
    crudeG: fc.double({ min: 0.01, max: 50, noNaN: true }),
    assay: fc.double({ min: 0.05, max: 1, noNaN: true }),
    cold: fc.double({ min: 0.05, max: 5, noNaN: true }),
    ratio: fc.double({ min: 2, max: 80, noNaN: true }),
    impurityCold: fc.double({ min: 0.05, max: 20, noNaN: true }),
    impurityRatio: fc.double({ min: 1, max: 40, noNaN: true }),
    excess: fc.double({ min: 0, max: 6, noNaN: true }),
    more: fc.double({ min: 0, max: 3, noNaN: true }),
  })
  const planned = (
    one: typeof inputs extends fc.Arbitrary<infer T> ? T : never,
    excess: number,
  ): CrystallizationPlan =>
    planCrystallization({
      crudeG: one.crudeG,
      assay: one.assay,
      product: [
        [2, one.cold],
        [78, one.cold * one.ratio],
      ],
      impurity: [
        [2, one.impurityCold],
        [78, one.impurityCold * one.impurityRatio],
      ],
      hotC: 78,
      coldC: 2,
      excess,
      washML: 1,
    })

  test('neither product recovered nor impurity in the crystals rises with the volume once all is dissolved', () => {
    fc.assert(
      fc.property(inputs, (one) => {
        const less = planned(one, one.excess)
        const more = planned(one, one.excess + one.more)
        expect(more.productCrystalsG).toBeLessThanOrEqual(less.productCrystalsG + 1e-9)
        if (less.gritG === 0)
          expect(more.impurityInCrystalsG).toBeLessThanOrEqual(less.impurityInCrystalsG + 1e-9)
      }),
    )
  })
  test('mass is conserved and nothing is negative', () => {
    fc.assert(
      fc.property(inputs, (one) => {
        const plan = planned(one, one.excess)
        const productG = one.assay * one.crudeG
        expect(plan.productCrystalsG + plan.productInLiquorG).toBeCloseTo(productG, 9)
        expect(plan.impurityInCrystalsG + plan.gritG).toBeLessThanOrEqual(one.crudeG - productG + 1e-9)
        for (const g of [plan.gritG, plan.productCrystalsG, plan.impurityInCrystalsG])
          expect(g).toBeGreaterThanOrEqual(0)
      }),
    )
  })
  test('at the volume where the impurity just stays dissolved, none is in the crystals', () => {
    const [first] = vectors.cases
    const input = first?.input as CrystallizationInput
    const { impurityStaysDissolvedML, minimumHotML } = planCrystallization(input)
    const at = (ml: number) =>
      planCrystallization({ ...input, excess: ml / minimumHotML - 1 }).impurityInCrystalsG
    expect(impurityStaysDissolvedML).toBeCloseTo(10.39, 1)
    expect(at(impurityStaysDissolvedML as number)).toBeCloseTo(0, 9)
    expect(at((impurityStaysDissolvedML as number) - 0.5)).toBeGreaterThan(0.005)
  })
  test('an unknown impurity is taken to stay dissolved, and that is said', () => {
    const plan = planCrystallization(vectors.cases[1]?.input as CrystallizationInput)
    expect(plan.impurityAssumedDissolved).toBe(true)
    expect(plan.impurityStaysDissolvedML).toBeNull()
  })
  test.each([
    [{ crudeG: 0 }, 'must be above zero'],
    [{ assay: 1.2 }, 'between 0 and 1'],
    [{ coldC: 80 }, '80 °C cold is not below 78 °C hot'],
    [{ excess: -0.1 }, 'below the least hot volume'],
    [{ washML: -1 }, 'cannot be below 0 mL'],
  ])('%j: %s', (change, message) => {
    expect(() =>
      planCrystallization({ ...(vectors.cases[0]?.input as CrystallizationInput), ...change }),
    ).toThrow(message)
  })
})

test('a flask is at most half full', () => {
  expect([flaskForML(3), flaskForML(5), flaskForML(11), flaskForML(12.6), flaskForML(600)]).toEqual([
    10,
    10,
    25,
    50,
    null,
  ])
})
