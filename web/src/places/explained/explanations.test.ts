import { describe, expect, test } from '@jest/globals'
import { readFileSync } from 'node:fs'
import { retentionFactor } from '@ivory-crystal/core/chromatography'
import { DEFAULT_HOUSE_RULES } from '@ivory-crystal/core/conventions'
import {
  detectMelt,
  dialForRate,
  meltMin,
  observedRange,
  plateauC,
  rateCPerMin,
  zeroRateRange,
  compositionFromRange,
} from '@ivory-crystal/core/heating'
import {
  type Candidate,
  mixedVerdict,
  type MixtureRun,
  nextMixture,
  rankCandidates,
} from '@ivory-crystal/core/identity'
import { judgeRange } from '@ivory-crystal/core/judging'
import { eutectic, phasePoint } from '@ivory-crystal/core/melting'
import type { PlanFixed } from '@ivory-crystal/core/notebook'
import { determinations } from '@ivory-crystal/core/repeats'
import { planTubeRuns } from '@ivory-crystal/core/scheduling'
import {
  assayFromRange,
  crystallizedFraction,
  depositsFromC,
  planCrystallization,
  planSolventPair,
  solubilityAt,
  withVolumeML,
} from '@ivory-crystal/core/solubility'
import { type Compound, fusionOf } from '@ivory-crystal/core/substances'
import { atTheEvent, correctReading, emergentStemCorrectionC } from '@ivory-crystal/core/thermometer'
import {
  massClosure,
  netMass,
  percentRecovery,
  percentYield,
  theoreticalYieldG,
} from '@ivory-crystal/core/weighing'
import { golden } from '../../../../core/golden/contract'
import { BASE, IN_PLACE, range } from '../../../../core/golden/reading'
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
    expect(example('plan')).toContain(`${productCrystalsG.toFixed(2)} g can crystallize`)
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
        fillMm: 2,
        grain: 'fine',
        calibration: 'none',
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
  test('fitBlockModel and planDial', () => {
    const model = { ambientC: 22, gain: 19, exponent: 1.22, timeConstantMin: 8.5 }
    expect(example('fitBlockModel')).toContain(`ends at ${plateauC(model, 4).toFixed(1)} °C`)
    expect(example('fitBlockModel')).toContain(`= ${rateCPerMin(model, 4, 60).toFixed(2)} °C/min`)
    expect(example('fitBlockModel')).toContain(`needs setting ${dialForRate(model, 95, 1.5).toFixed(2)}.`)
    const wanted = dialForRate(model, 79, 2)
    expect(example('planDial')).toContain(`a setting of ${wanted.toFixed(2)}`)
    expect(Math.floor(wanted / 0.25) * 0.25).toBe(3)
  })
  test('compareSchools', () => {
    const read = observedRange(
      { onsetC: 94, clearC: 95 },
      { rateCPerMin: 5, sampleLagMin: 0.3, probeLagMin: 0.1, meltMin: meltMin({ fillMm: 2, grain: 'fine' }) },
    )
    expect(example('compareSchools')).toContain(`reads ${read.onsetC.toFixed(1)} °C`)
    expect(example('compareSchools')).toContain(`clears at ${read.clearC.toFixed(1)} °C`)
  })
  test('planTubeRuns', () => {
    const tube = (id: string, expectedLowC: number, expectedHighC: number) => ({
      id,
      expectedLowC,
      expectedHighC,
      leadC: 15,
      tailC: 5,
    })
    const { runs, totalMin } = planTubeRuns({
      apparatus: {
        slots: 3,
        ambientC: 22,
        blockC: 22,
        fastCPerMin: 10,
        slowCPerMin: 1.5,
        coolTimeConstantMin: 12,
        loadMin: 2,
      },
      tubes: [
        tube('crude', 86, 92),
        tube('product', 94, 95),
        tube('authentic', 94.5, 95.5),
        tube('salt', 186, 189),
      ],
      keepTogether: [],
    })
    expect(example('planTubeRuns')).toContain(
      `${(Math.round(totalMin * 10) / 10).toFixed(1)} min in two runs`,
    )
    expect(runs[0]).toEqual(['crude', 'product', 'authentic'])
  })
  test('correctReading and emergentStemCorrectionC', () => {
    const { correctionC } = correctReading(
      [
        [0.4, 0],
        [79.1, 80.2],
      ],
      45,
    )
    expect(example('correctReading')).toContain(`= ${correctionC.toFixed(2)} °C`)
    const stem = emergentStemCorrectionC({ readingC: 150, exposedC: 90, stemC: 32 })
    expect(example('emergentStemCorrectionC')).toContain(`= ${stem.toFixed(2)} °C`)
  })
  test('atTheEvent, detectMelt and zeroRateRange', () => {
    expect(example('atTheEvent')).toContain(`was ${atTheEvent(95.4, 12, 1.5).toFixed(1)} °C`)
    const even = Array.from({ length: 401 }, (_, i) => ({
      temperatureC: 85 + i / 20,
      transmission: Math.min(1, Math.max(0, (85 + i / 20 - 92) / 2)),
    }))
    const { onsetC, clearC } = detectMelt(even)
    expect(example('detectMelt')).toContain(
      `5 % at ${onsetC.toFixed(1)} °C and 95 % at ${clearC.toFixed(1)} °C`,
    )
    const zero = zeroRateRange([
      { rateCPerMin: 1, onsetC: 94.2, clearC: 95.4 },
      { rateCPerMin: 2, onsetC: 94.4, clearC: 96.1 },
    ])
    expect(example('zeroRateRange')).toContain(`extrapolate to ${zero.onsetC.toFixed(1)} °C`)
    expect(example('zeroRateRange')).toContain(`to ${zero.clearC.toFixed(1)} °C.`)
  })
})

describe('the worked examples of what it means are the core’s own numbers', () => {
  const benzil = { meltingPointC: 96, enthalpyKJPerMol: 23.5, molarMassGPerMol: 210.23 }
  const benzoin = { meltingPointC: 137.5, enthalpyKJPerMol: 23.2, molarMassGPerMol: 212.24 }
  const { candidates } = JSON.parse(
    readFileSync(new URL('../../../../core/vectors/identity.json', import.meta.url), 'utf8'),
  ) as { candidates: Candidate[] }
  const unknown = { onsetC: 93.6, clearC: 94.8 }
  const naphthol = candidates.find(({ id }) => id === '1-naphthol') as Candidate
  const whole = (p: number) => (100 * p).toFixed(0)

  test('judgeRange', () => {
    const fast = judgeRange({ ...BASE, reading: range(92, 97.5), rateCPerMin: 5 }, DEFAULT_HOUSE_RULES)
    const owns = (owner: string, end: 'onset' | 'width') => {
      const { leastC = NaN, mostC = NaN } = fast.budget.find((row) => row.owner === owner)?.endC[end] ?? {}
      return [leastC.toFixed(1), mostC.toFixed(1)]
    }
    const sentence = example('judgeRange')
    expect(sentence).toContain(`heating explains ${owns('heating', 'onset').join(' to ')}`)
    expect(sentence).toContain(`melting through ${owns('melting time', 'width').join(' to ')} and`)
    expect(sentence).toContain(`reading ${owns('reading', 'width')[1]}.`)
    const [least, most] = owns('sample', 'width')
    expect(sentence).toContain(`At least ${least} and at most ${most} come from the sample`)
    expect(fast.actions[0]?.code).toBe('repeat slower')
    const bounds = judgeRange(
      { ...BASE, reading: range(84.6, 91.2), thermometer: IN_PLACE },
      DEFAULT_HOUSE_RULES,
    ).impurity?.map((fraction) => (100 * fraction).toFixed(1))
    expect(sentence).toContain(`holds ${bounds?.join(' to ')} mol %`)
  })
  test('phase-map', () => {
    const meet = eutectic(benzil, benzoin)
    expect(example('phase-map')).toContain(
      `meet at ${meet.temperatureC.toFixed(1)} °C and ${whole(1 - meet.moleFractionA)} mol %`,
    )
    const at = phasePoint(benzil, benzoin, 0.9, 85)
    expect(example('phase-map')).toContain(
      `${whole(at.liquidFraction)} % liquid at 85 °C, and clears at ${at.range.clearC.toFixed(1)} °C`,
    )
    const found = compositionFromRange(benzil, benzoin, { onsetC: 78.4, clearC: 91.6 }, 0.25)
    const percent = (x = NaN) => (100 * (1 - x)).toFixed(1)
    expect(example('phase-map')).toContain(
      `${percent(found?.moleFractionA)} mol %, between ${percent(found?.high)} and ${percent(found?.low)}`,
    )
  })
  test('rankCandidates and nextMixture', () => {
    const chance = (mixtures: MixtureRun[], id: string) =>
      rankCandidates({ unknown, candidates, mixtures }).find((one) => one.id === id)?.probability ?? NaN
    const ids = ['1-naphthol', 'methyl 4-nitrobenzoate', 'triphenylmethane', 'glutaric acid']
    const [p, q, r, s] = ids.map((id) => whole(chance([], id)))
    expect(example('rankCandidates')).toContain(`${p}, ${q}, ${r} and ${s} %`)
    const mixed = [{ reference: naphthol, onsetC: 58, clearC: 76 }]
    expect(example('rankCandidates')).toContain(`${(100 * chance(mixed, '1-naphthol')).toFixed(1)} %`)
    expect(example('rankCandidates')).toContain(
      `rises to ${whole(chance(mixed, 'methyl 4-nitrobenzoate'))} %`,
    )
    for (const { reference, bits } of nextMixture({
      unknown,
      candidates,
      mixtures: [],
      references: candidates,
    }))
      expect(example('nextMixture')).toContain(`${reference} ${bits.toFixed(2)}`)
  })
  test('mixedVerdict, retentionFactor and determinations', () => {
    const because = mixedVerdict(
      {
        unknown,
        reference: { onsetC: 94.6, clearC: 95.6 },
        mixture: { onsetC: 58, clearC: 76 },
        sameRun: true,
      },
      DEFAULT_HOUSE_RULES,
    ).because
    for (const figure of ['35.6 °C lower', '16.8 °C broader']) {
      expect(because).toContain(figure)
      expect(example('mixedVerdict')).toContain(figure)
    }
    const { rf, standardUncertainty } = retentionFactor(21, 50)
    expect(example('retentionFactor')).toContain(`${rf.toFixed(2)} ± ${(2 * standardUncertainty).toFixed(3)}`)
    const values = [94.8, 97.2, 95.0, 94.9]
    expect(determinations(values, 0.5).outliers).toEqual([1])
    expect(example('determinations')).toContain(
      `the mean stays ${determinations(values, 0.5).mean.toFixed(1)}`,
    )
  })
})
