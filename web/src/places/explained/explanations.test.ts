import { describe, expect, test } from '@jest/globals'
import {
  assayFromRange,
  crystallizedFraction,
  fusionOf,
  massClosure,
  netMass,
  percentRecovery,
  percentYield,
  planCrystallization,
  planSolventPair,
  solubilityAt,
  theoreticalYieldG,
  withVolumeML,
  depositsFromC,
  eutectic,
  type Compound,
  type PlanFixed,
} from '@ivory-crystal/core'
import { golden } from '../../../../core/golden/contract'
import { EXPLANATIONS } from './explanations'

const example = (id: string) => EXPLANATIONS.find((one) => one.id === id)?.example ?? ''
const [plan] = golden.entries.flatMap(({ kind, body }) => (kind === 'plan fixed' ? [body as PlanFixed] : []))
const { input, compound, impurity } = plan as PlanFixed
const POINTS = [
  [20, 1.9],
  [50, 8.7],
  [78, 46],
] as const

describe('what a student reads is what the core computes', () => {
  test('each explanation has its equation, its example and its limits, and an address of its own', () => {
    expect(new Set(EXPLANATIONS.map(({ id }) => id)).size).toBe(EXPLANATIONS.length)
    for (const { equation, text, example: worked, limits } of EXPLANATIONS) {
      expect(equation.length).toBeGreaterThan(0)
      expect(text.join(' ').length).toBeGreaterThan(60)
      expect(worked).toMatch(/\d/)
      expect(limits.length).toBeGreaterThan(20)
    }
  })
  test('solubility', () => {
    expect(example('solubility')).toContain(solubilityAt(POINTS, 35).gPer100ML.toFixed(2))
    expect(example('solubility')).toContain((1.9 + (8.7 - 1.9) / 2).toFixed(2))
  })
  test('plan', () => {
    const { minimumHotML, productInLiquorG, productCrystalsG } = planCrystallization(input)
    expect(example('plan')).toContain(`= ${minimumHotML.toFixed(1)} mL`)
    expect(example('plan')).toContain(`${solubilityAt(POINTS, 2).gPer100ML.toFixed(2)} · 11.0 / 100`)
    expect(example('plan')).toContain(`${productInLiquorG.toFixed(2)} g stays`)
    expect(example('plan')).toContain(`${productCrystalsG.toFixed(2)} g can come back`)
  })
  test('ranking', () => {
    expect(example('ranking')).toContain(`= ${Math.cbrt(0.9 * 0.8 * 0.1).toFixed(2)}`)
  })
  test('oiling', () => {
    expect(example('oiling')).toContain(`near ${depositsFromC(input).toFixed(0)} °C`)
    const line = eutectic(fusionOf(compound), fusionOf(impurity as Compound)).temperatureC
    expect(example('oiling')).toContain(`near ${line.toFixed(0)} °C`)
  })
  test('pair', () => {
    expect(example('pair')).toContain((40 ** 0.75 * 0.3 ** 0.25).toFixed(1))
    const planned = planSolventPair({
      crudeG: 1,
      assay: 1,
      good: [
        [70, 40],
        [20, 10],
      ],
      poor: [
        [70, 0.3],
        [20, 0.05],
      ],
      hotC: 70,
      coldC: 20,
      excess: 0.1,
      washML: 0,
    })
    const f = planned.goodVolumeFraction
    expect(solubilityAt(planned.input.product, 70).gPer100ML).toBeCloseTo(40 ** f * 0.3 ** (1 - f), 6)
  })
  test('assay', () => {
    const found = assayFromRange(
      fusionOf(compound),
      fusionOf(impurity as Compound),
      { onsetC: 78.6, clearC: 92.3 },
      {
        rateCPerMin: 1,
        packing: { fillMm: 2, grain: 'fine' },
        readingErrorC: 0.3,
      },
    )
    expect(example('assay')).toContain(`about ${(100 * (found?.assay ?? 0)).toFixed(0)} % by mass`)
    expect(example('assay')).toContain('91.6 °C after correction')
  })
  test('cycles and cooling', () => {
    expect(example('cycles')).toContain(`${(100 * 0.95 ** 3).toFixed(0)} %`)
    const cooled = crystallizedFraction(withVolumeML({ ...input, crudeG: 1.8 }, 11), 20)
    expect(example('cooling')).toContain(`${(100 * cooled).toFixed(0)} %`)
  })
  test('recovery, yield and account', () => {
    const mass = (netG: number, readabilityG: number) => netMass({ method: 'tared', netG, readabilityG })
    const recovery = percentRecovery(mass(1.3914, 0.0001), mass(1.804, 0.001))
    expect(example('recovery')).toContain(
      `${recovery.value.toFixed(2)} ± ${(2 * recovery.standardUncertainty).toFixed(2)} %`,
    )
    const theory = theoreticalYieldG({
      limitingG: 2.004,
      limitingMolarMass: 212.25,
      productMolarMass: 210.23,
      productPerLimiting: 1,
    })
    expect(example('yield')).toContain(`${theory.toFixed(3)} g`)
    expect(example('yield')).toContain(`${percentYield(1.3914, theory).toFixed(1)} %`)
    const closure = massClosure({ crudeG: 1.804, accountedG: [1.3914, 0.2567] })
    expect(example('account')).toContain(`${closure.percent.toFixed(1)} %`)
    expect(example('account')).toContain(`${closure.missingG.toFixed(3)} g`)
  })
})
