import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { golden } from '../../golden/contract'
import { observedRange } from '../heating/observedRange'
import { eutectic, massFractionFromMoleFraction, moleFractionFromMassFraction } from '../melting/eutectic'
import { meltingRange } from '../melting/meltingRange'
import type { Entry } from '../notebook/entry'
import { fusionOf } from '../substances/fusionOf'
import type { Compound, Solvent } from '../substances/shelf'
import { assayFromRange } from './assayFromRange'
import { crystallizationCycles, cyclesToReach, secondCrop } from './cycles'
import { dropsPerML } from './drops'
import { oilingRisk } from './oilingRisk'
import { type CrystallizationInput, planCrystallization } from './planCrystallization'
import { pointsTrouble } from './pointsTrouble'
import { rankSolvents, type SolventCandidate } from './rankSolvents'
import { rinseLossUpToG } from './rinseLoss'
import { crystallizedFraction, depositsFromC, saturationC } from './saturation'
import { solubilityAt, type SolubilityPoint } from './solubilityAt'
import { miscibilityDoubt, planSolventPair } from './solventPair'
import { leastSolventForPurity, solventTradeoff } from './solventTradeoff'
import { judgeTrial, type Trial, trialPoint } from './trial'
import { withVolumeML } from './volume'
import { runs } from '../../golden/depth'

const [benzilPlan] = golden.entries.filter(({ kind }) => kind === 'plan fixed') as Entry<'plan fixed'>[]
const { compound: benzil, impurity, solvent: ethanol, input: demo } = (benzilPlan as Entry<'plan fixed'>).body
const benzoin = impurity as Compound
const PRODUCT: SolubilityPoint[] = [
  [20, 1.9],
  [50, 8.7],
  [78, 46],
]
const IMPURITY: SolubilityPoint[] = [
  [20, 3.2],
  [78, 15],
]
const BASE: CrystallizationInput = {
  crudeG: 1.8,
  assay: 0.9,
  product: PRODUCT,
  impurity: IMPURITY,
  hotC: 78,
  coldC: 2,
  excess: 0,
  washML: 1,
}

/** Any pair of curves that rise with temperature, and a crude. */
const anyInput = fc
  .record({
    crudeG: fc.double({ min: 0.01, max: 50, noNaN: true }),
    assay: fc.double({ min: 0.05, max: 0.999, noNaN: true }),
    cold: fc.double({ min: 0.05, max: 5, noNaN: true }),
    ratio: fc.double({ min: 2, max: 80, noNaN: true }),
    impurityCold: fc.double({ min: 0.02, max: 20, noNaN: true }),
    impurityRatio: fc.double({ min: 1.1, max: 40, noNaN: true }),
    excess: fc.double({ min: 0, max: 3, noNaN: true }),
  })
  .map((one): CrystallizationInput => ({
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
    excess: one.excess,
    washML: 0,
  }))

describe('the trade-off of volume', () => {
  test('starts at the least volume and ends where asked', () => {
    const plans = solventTradeoff(BASE, { fromML: 0, toML: 20, steps: 5 })
    expect(plans).toHaveLength(5)
    expect(plans[0]?.hotML).toBeCloseTo((100 * 1.62) / 46, 9)
    expect(plans[4]?.hotML).toBeCloseTo(20, 9)
    expect(plans[1]).toEqual(planCrystallization(withVolumeML(BASE, plans[1]?.hotML ?? 0)))
    expect(() => solventTradeoff(BASE, { fromML: 0, toML: 2, steps: 5 })).toThrow('does not all dissolve')
    expect(() => solventTradeoff(BASE, { fromML: 0, toML: 20, steps: 1 })).toThrow('two volumes')
  })
  test('recovery never rises; impurity in the crystals never rises once all is dissolved; mass is kept', () => {
    fc.assert(
      fc.property(anyInput, (input) => {
        const least = planCrystallization({ ...input, excess: 0 }).minimumHotML
        const plans = solventTradeoff(input, { fromML: 0, toML: 6 * least, steps: 20 })
        plans.slice(1).forEach((plan, i) => {
          const before = plans[i] as typeof plan
          expect(plan.recoveryPercentOfProduct).toBeLessThanOrEqual(before.recoveryPercentOfProduct + 1e-9)
          if (before.gritG === 0)
            expect(plan.impurityInCrystalsG).toBeLessThanOrEqual(before.impurityInCrystalsG + 1e-9)
        })
        for (const plan of plans)
          expect(plan.productCrystalsG + plan.productInLiquorG).toBeCloseTo(input.crudeG * input.assay, 9)
      }),
      { numRuns: runs(60) },
    )
  })
  test('purity itself may fall with volume, when the impurity is relatively the less soluble', () => {
    const stubborn = {
      ...BASE,
      impurity: [
        [2, 0.01],
        [78, 30],
      ] as SolubilityPoint[],
    }
    const [less, more] = solventTradeoff(stubborn, { fromML: 5, toML: 60, steps: 2 })
    expect(more?.crystalMassFraction).toBeLessThan((less?.crystalMassFraction ?? 0) - 0.01)
  })
})

describe('the least volume for a purity', () => {
  test('reaches it, and a little less does not', () => {
    const found = leastSolventForPurity(BASE, 0.97)
    const ml = 'ml' in found ? found.ml : NaN
    expect(planCrystallization(withVolumeML(BASE, ml)).crystalMassFraction).toBeCloseTo(0.97, 9)
    // by hand: product 1.62 − S_p·V, impurity 0.18 − S_i·V, both cold
    const p = solubilityAt(PRODUCT, 2).gPer100ML / 100
    const i = solubilityAt(IMPURITY, 2).gPer100ML / 100
    expect(ml).toBeCloseTo((0.97 * 0.18 - 0.03 * 1.62) / (0.97 * i - 0.03 * p), 6)
  })
  test('for all of it is where the impurity just stays dissolved', () => {
    const found = leastSolventForPurity(BASE, 1)
    expect('ml' in found && found.ml).toBeCloseTo(planCrystallization(BASE).impurityStaysDissolvedML ?? 0, 6)
  })
  test('without impurity data is the least volume itself', () => {
    const { impurity: _, ...alone } = BASE
    expect(leastSolventForPurity(alone, 0.99)).toEqual({ ml: planCrystallization(BASE).minimumHotML })
  })
  test('agrees with a search over volumes, whatever the curves', () => {
    fc.assert(
      fc.property(anyInput, fc.double({ min: 0.3, max: 0.9999, noNaN: true }), (input, purity) => {
        const found = leastSolventForPurity(input, purity)
        const at = (ml: number) => planCrystallization(withVolumeML(input, ml)).crystalMassFraction
        const least = planCrystallization({ ...input, excess: 0 }).minimumHotML
        const cold = solubilityAt(input.product, 2).gPer100ML
        const emptyML = (100 * input.assay * input.crudeG) / cold
        const upTo = 'ml' in found ? found.ml : emptyML
        if ('ml' in found)
          expect(at(Math.max(least, found.ml * (1 + 1e-9)))).toBeGreaterThanOrEqual(purity - 1e-6)
        else expect(found.best).toBeLessThan(purity)
        for (let k = 0; k < 25; k++) {
          const ml = least + ((upTo - least) * k) / 25
          if (ml < upTo * (1 - 1e-6)) expect(at(ml)).toBeLessThan(purity + 1e-6)
        }
      }),
      { numRuns: runs(80) },
    )
  })
})

describe('crystallizing again', () => {
  test('each cycle takes the crystals of the one before', () => {
    const [first, second] = crystallizationCycles({ ...BASE, excess: 0.1 }, 2)
    expect(second?.input.crudeG).toBeCloseTo(first?.plan.crystalMassG ?? 0, 12)
    expect(second?.input.assay).toBeCloseTo(first?.plan.crystalMassFraction ?? 0, 12)
    expect(second?.productLeftPercent).toBeCloseTo((100 * (second?.plan.productCrystalsG ?? 0)) / 1.62, 9)
  })
  test('neither product nor impurity in hand ever rises, and mass is kept', () => {
    fc.assert(
      fc.property(anyInput, (input) => {
        const cycles = crystallizationCycles(input, 5)
        cycles.forEach(({ input: of, plan }) => {
          expect(plan.crystalMassG).toBeLessThanOrEqual(of.crudeG + 1e-9)
          expect(plan.productCrystalsG).toBeLessThanOrEqual(of.crudeG * of.assay + 1e-9)
          expect(plan.impurityInCrystalsG).toBeLessThanOrEqual(of.crudeG * (1 - of.assay) + 1e-9)
        })
        const left = cycles.map(({ productLeftPercent }) => productLeftPercent)
        expect([...left].sort((p, q) => q - p)).toEqual(left)
      }),
      { numRuns: runs(60) },
    )
  })
  test('says how many it takes, or how far it gets', () => {
    const found = cyclesToReach({ ...BASE, excess: 0.1 }, 0.99)
    const n = 'cycles' in found ? found.cycles : 0
    expect(n).toBeGreaterThan(1)
    const fractions = crystallizationCycles({ ...BASE, excess: 0.1 }, n).map(
      ({ plan }) => plan.crystalMassFraction,
    )
    expect(fractions[n - 1]).toBeGreaterThanOrEqual(0.99)
    expect(fractions[n - 2]).toBeLessThan(0.99)
    const alike = cyclesToReach(
      {
        ...BASE,
        impurity: [
          [2, 1e-4],
          [78, 40],
        ],
      },
      0.99,
    )
    expect('none' in alike && alike.best).toBeLessThan(0.99)
    expect(() => crystallizationCycles(BASE, 0)).toThrow('From 1 to 20')
  })
  test('a second crop is what the smaller volume no longer holds', () => {
    const input = withVolumeML(BASE, 11)
    const first = planCrystallization(input)
    const second = secondCrop(input, 2)
    const held = (solubilityAt(PRODUCT, 2).gPer100ML * 2) / 100
    expect(second.productCrystalsG).toBeCloseTo(first.productInLiquorG - held, 9)
    expect(second.impurityInCrystalsG).toBeCloseTo(0.18 - (solubilityAt(IMPURITY, 2).gPer100ML * 2) / 100, 9)
    expect(() => secondCrop(input, 12)).toThrow('less than the 11.0 mL')
    expect(() => secondCrop(input, 0.05)).toThrow('below the least hot volume')
  })
})

describe('where crystals begin', () => {
  test('is the inverse of the solubility', () => {
    fc.assert(
      fc.property(fc.double({ min: -20, max: 120, noNaN: true }), (c) => {
        expect(saturationC(PRODUCT, solubilityAt(PRODUCT, c).gPer100ML)).toBeCloseTo(c, 6)
      }),
    )
    expect(() =>
      saturationC(
        [
          [20, 5],
          [80, 2],
        ],
        3,
      ),
    ).toThrow('does not rise')
    expect(() => saturationC(PRODUCT, 0)).toThrow('cannot be')
  })
  test('and from there the fraction crystallized only grows as it cools', () => {
    const starts = depositsFromC(demo)
    expect(crystallizedFraction(demo, starts + 0.01)).toBe(0)
    const fractions = [50, 40, 30, 20, 10, 2].map((c) => crystallizedFraction(demo, c))
    expect([...fractions].sort((p, q) => p - q)).toEqual(fractions)
    expect(fractions.at(-1)).toBeCloseTo(0.9559, 3)
  })
})

describe('oiling', () => {
  const risk = (change: Partial<Parameters<typeof oilingRisk>[0]>) =>
    oilingRisk({ saturationC: 51, meltingPointC: 95, boilingPointC: 78, ...change })
  test.each([
    [{}, 'low', '44 °C higher'],
    [{ crudeOnsetC: 84 }, 'low', 'crude was seen to melt from 84'],
    [{ crudeOnsetC: 58 }, 'some', 'only 7 °C below'],
    [{ crudeOnsetC: 50 }, 'high', 'could separate as an oil first'],
    [{ eutecticC: 48 }, 'high', 'with its impurity it can be liquid from 48'],
    [{ boilingPointC: 111 }, 'some', 'above the melting point'],
    [{ boilingPointC: null }, 'low', '44 °C higher'],
  ] as const)('%j: %s', (change, level, message) => {
    expect(risk(change)).toMatchObject({ level, because: expect.stringContaining(message) })
  })
})

describe('ranking solvents', () => {
  const candidate = (
    change: Partial<Solvent>,
    product: SolubilityPoint[],
    impurityPoints: SolubilityPoint[] = [],
  ): SolventCandidate => ({
    solvent: { ...ethanol, id: change.name ?? ethanol.id, ...change },
    product,
    impurity: impurityPoints,
  })
  const solute = { compound: benzil, impurity: benzoin, crudeG: 1.8, assay: 0.9 }
  const good = candidate({ name: 'good' }, PRODUCT, IMPURITY)
  const leaky = candidate({ name: 'leaky' }, [
    [2, 20],
    [78, 46],
  ])
  const frozen = candidate({ name: 'frozen', freezingPointC: 16, boilingPointC: 118 }, PRODUCT, IMPURITY)
  const blank = candidate({ name: 'blank' }, [])
  const ranked = rankSolvents(solute, [blank, frozen, leaky, good])
  test('puts the useful first and the unknown last, unscored', () => {
    expect(ranked.map(({ solvent }) => solvent.name)).toEqual(['good', 'frozen', 'leaky', 'blank'])
    expect(ranked[3]).toMatchObject({
      score: null,
      plan: null,
      sentence: expect.stringContaining('Not known'),
    })
  })
  test('scores by the geometric mean of what is known, each part said', () => {
    const [first] = ranked
    const scores = (first?.parts ?? []).flatMap(({ score }) => (score === null ? [] : [score]))
    expect(first?.score).toBeCloseTo(Math.exp(scores.reduce((s, x) => s + Math.log(x), 0) / scores.length), 9)
    expect(first?.parts.map(({ part }) => part)).toEqual([
      'recovery',
      'purity',
      'volume',
      'oiling',
      'freezing',
      'drying',
      'certainty',
    ])
    expect(ranked[2]?.parts.find(({ part }) => part === 'purity')).toMatchObject({ score: null })
    expect(ranked[1]?.parts.find(({ part }) => part === 'freezing')?.sentence).toContain(
      'cool water, not ice',
    )
  })
  test('a figure of low confidence, or one point alone, never leads where a sure one does as well', () => {
    const points: SolubilityPoint[] = [
      [20, 2],
      [78, 40],
    ]
    const order = (confidence: 'low' | 'high' | null) => {
      const sure = { ...candidate({ id: 'sure' }, points, []), confidence: 'high' as const }
      const other = { ...candidate({ id: 'other' }, points, []), confidence }
      return rankSolvents({ ...solute, assay: 0.9, crudeG: 2 }, [other, sure])[0]?.solvent.id
    }
    expect([order('low'), order('high'), order(null)]).toEqual(['sure', 'other', 'other'])
    const single = { ...candidate({ id: 'single' }, points.slice(1), []), confidence: 'high' as const }
    const [ranked] = rankSolvents({ ...solute, assay: 0.9, crudeG: 2 }, [single])
    expect(ranked?.parts.find(({ part }) => part === 'certainty')).toMatchObject({
      score: 0.25,
      sentence: 'From one point, extended with the fusion enthalpy.',
    })
  })
  test('every score lies between 0 and 1, and hazards have no say in it', () => {
    fc.assert(
      fc.property(anyInput, fc.double({ min: 30, max: 200, noNaN: true }), (input, boilingPointC) => {
        const one = candidate({ boilingPointC }, [...input.product], [...(input.impurity ?? [])])
        const poison = { ...one, solvent: { ...one.solvent, hazards: ['H300', 'H350'] } }
        const [scored] = rankSolvents({ ...solute, assay: input.assay, crudeG: input.crudeG }, [one])
        const [harmful] = rankSolvents({ ...solute, assay: input.assay, crudeG: input.crudeG }, [poison])
        expect(harmful?.score).toBe(scored?.score)
        for (const score of [scored?.score ?? 0, ...(scored?.parts.map((part) => part.score ?? 0) ?? [])]) {
          expect(score).toBeGreaterThanOrEqual(0)
          expect(score).toBeLessThanOrEqual(1)
        }
      }),
      { numRuns: runs(60) },
    )
  })
  test('dissolving less cold never lowers a score', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: 20, noNaN: true }),
        fc.double({ min: 0.05, max: 1, noNaN: true }),
        (cold, share) => {
          const scoreAt = (at2: number) =>
            rankSolvents(solute, [
              candidate({}, [
                [2, at2],
                [78, 46],
              ]),
            ])[0]?.parts.find((p) => p.part === 'recovery')?.score ?? 0
          expect(scoreAt(cold * share)).toBeGreaterThanOrEqual(scoreAt(cold) - 1e-12)
        },
      ),
    )
  })
  test('one point alone is an estimate, and labelled', () => {
    const [one] = rankSolvents(solute, [candidate({}, [[20, 1.9]])])
    expect(one?.sentence).toContain('Estimated from one point')
    expect(one?.plan?.coldBasis).toBe('single point')
  })
})

describe('a pair of solvents', () => {
  const pair = {
    crudeG: 1,
    assay: 1,
    good: [
      [20, 10],
      [70, 40],
    ] as SolubilityPoint[],
    poor: [
      [20, 0.05],
      [70, 0.3],
    ] as SolubilityPoint[],
    hotC: 70,
    coldC: 20,
    excess: 0.1,
    washML: 0,
  }
  test('is just saturated where the second solvent clouds it, and more comes back than from the first alone', () => {
    const planned = planSolventPair(pair)
    expect(planned.goodML).toBeCloseTo(2.75, 9)
    const f = planned.goodML / (planned.goodML + planned.poorML)
    const mixed = 40 ** f * 0.3 ** (1 - f)
    expect((mixed * (planned.goodML + planned.poorML)) / 100).toBeCloseTo(1, 6)
    const alone = planCrystallization({ ...pair, product: pair.good })
    expect(planned.plan.recoveryPercentOfProduct).toBeGreaterThan(alone.recoveryPercentOfProduct + 1)
    expect(planned.plan.hotML).toBeCloseTo(planned.goodML + planned.poorML, 6)
    const cold = 10 ** f * 0.05 ** (1 - f)
    expect(planned.plan.productInLiquorG).toBeCloseTo((cold * planned.plan.hotML) / 100, 9)
  })
  test('the wrong way round, or of two that dissolve alike, is named', () => {
    expect(() => planSolventPair({ ...pair, good: pair.poor, poor: pair.good })).toThrow(
      'Were the two swapped',
    )
    expect(() =>
      planSolventPair({
        ...pair,
        poor: [
          [20, 9],
          [70, 39],
        ],
      }),
    ).toThrow('would not make the solution cloudy')
  })
  test('that does not mix is told apart', () => {
    const of = (change: Partial<Solvent>) => ({ ...ethanol, ...change })
    const water = of({ id: 'water', name: 'water', group: 'water' })
    const hexane = of({ id: 'hexane', name: 'hexane', group: 'alkane', waterMiscible: 'no' })
    expect(miscibilityDoubt(water, hexane)).toBe('Water and hexane do not mix.')
    expect(miscibilityDoubt(water, of({ id: 'ether', name: 'ether', waterMiscible: 'partial' }))).toContain(
      'two layers',
    )
    expect(miscibilityDoubt(hexane, of({ id: 'methanol', name: 'methanol' }))).toContain(
      'only in part when cold',
    )
    expect(miscibilityDoubt(water, ethanol)).toBeNull()
    expect(miscibilityDoubt(ethanol, ethanol)).toContain('same solvent twice')
  })
})

describe('the fraction a crude’s range speaks for', () => {
  const [a, b] = [fusionOf(benzil), fusionOf(benzoin)]
  const reading = {
    rateCPerMin: 1,
    fillMm: 2,
    grain: 'fine' as const,
    calibration: 'none' as const,
    readingErrorC: 0.3,
  }
  const seen = (assay: number) =>
    observedRange(
      meltingRange(a, b, moleFractionFromMassFraction(assay, a.molarMassGPerMol, b.molarMassGPerMol)),
      {
        rateCPerMin: 1,
        sampleLagMin: 0.2,
        probeLagMin: 0,
        meltMin: 0.5,
      },
    )
  test('is found again from the range it would show, inside its interval', () => {
    for (const assay of [0.8, 0.9, 0.97]) {
      const found = assayFromRange(a, b, seen(assay), reading)
      expect(found?.assay).toBeCloseTo(assay, 6)
      expect(found?.low).toBeLessThan(assay)
      expect(found?.high).toBeGreaterThan(assay)
      expect(found?.doubt).toBeNull()
    }
  })
  test('has no answer below the eutectic, and is whole above the melting point', () => {
    const below = eutectic(a, b).temperatureC - 3
    expect(assayFromRange(a, b, { onsetC: below - 5, clearC: below }, reading)).toBeNull()
    expect(assayFromRange(a, b, { onsetC: 95, clearC: 97 }, reading)).toMatchObject({ assay: 1, high: 1 })
  })
  test('an onset that does not fit is doubted', () => {
    expect(assayFromRange(a, b, { ...seen(0.9), onsetC: 60 }, reading)?.doubt).toContain('another impurity')
  })
  test('mass and mole fractions undo each other', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1, noNaN: true }), (x) => {
        expect(
          moleFractionFromMassFraction(massFractionFromMoleFraction(x, 210.23, 88.1), 210.23, 88.1),
        ).toBeCloseTo(x, 12)
      }),
    )
  })
})

describe('points that look wrong', () => {
  test.each<[string, SolubilityPoint[], string | null]>([
    ['a good curve', PRODUCT, null],
    [
      'g per L among g per 100 mL',
      [
        [20, 1.9],
        [50, 87],
        [78, 46],
      ],
      'Was it g per L? Then it is 8.7',
    ],
    [
      'the others in g per L',
      [
        [20, 19],
        [50, 8.7],
        [78, 460],
      ],
      'a tenth of what its neighbours',
    ],
    [
      'two with a unit mixed up',
      [
        [20, 1.9],
        [40, 46],
      ],
      'unusually steep',
    ],
    [
      'a curve that falls',
      [
        [20, 5],
        [50, 4],
        [78, 3.9],
      ],
      'Less dissolves at 50 °C',
    ],
    [
      'more solid than liquid',
      [
        [20, 5],
        [78, 4600],
      ],
      'more solid than liquid',
    ],
    [
      'above boiling',
      [
        [20, 5],
        [95, 46],
      ],
      'above where ethanol 95% boils',
    ],
    ['one point', [[20, 5]], null],
  ])('%s', (_, points, words) => {
    const found = pointsTrouble(points, ethanol)
    if (words === null) expect(found).toEqual([])
    else expect(found.join(' ')).toContain(words)
  })
  test('below where the solvent freezes', () => {
    expect(pointsTrouble([[2, 1]], { ...ethanol, name: 'cyclohexane', freezingPointC: 6.5 })[0]).toContain(
      'below where cyclohexane freezes',
    )
  })
})

describe('a trial in a test tube', () => {
  const tube: Trial = {
    sampleMg: 50,
    solventML: 0.5,
    cold: 'does not dissolve',
    hot: 'all dissolves',
    cooled: 'many crystals',
  }
  test.each<[Partial<Trial>, string, string]>([
    [{}, 'good', 'a suitable solvent'],
    [{ cold: 'some dissolves' }, 'good', 'expect to lose that'],
    [{ cold: 'all dissolves' }, 'unsuitable', 'no crystals would form'],
    [{ hot: 'does not dissolve' }, 'unsuitable', 'poorer solvent of a pair'],
    [{ hot: 'some dissolves' }, 'possible', 'Add more solvent'],
    [{ cooled: 'few crystals' }, 'possible', 'much stays dissolved when cold'],
    [{ cooled: 'an oil' }, 'unsuitable', 'boils lower'],
    [{ cooled: 'nothing' }, 'possible', 'Scratch, seed or chill'],
    [{ cooled: null }, 'not finished', 'Now cool it'],
    [{ hot: null, cooled: null }, 'not finished', 'Tick what you see'],
  ])('%j: %s', (change, fit, sentence) => {
    expect(judgeTrial({ ...tube, ...change })).toMatchObject({
      fit,
      sentence: expect.stringContaining(sentence),
    })
  })
  test('gives a first point when all dissolved hot', () => {
    expect(trialPoint(tube, 78)).toEqual([78, 10])
    expect(trialPoint({ ...tube, hot: 'some dissolves' }, 78)).toBeNull()
    expect(() => trialPoint({ ...tube, solventML: 0 }, 78)).toThrow('some solvent')
  })
})

test('a rinse costs at most what it can hold, and never more than there is', () => {
  const plan = { washLossUpToG: 0.0065, productCrystalsG: 1.5 }
  expect(rinseLossUpToG({ washML: 1 }, plan, 2)).toBeCloseTo(0.013, 12)
  expect(rinseLossUpToG({ washML: 1 }, plan, 1000)).toBe(1.5)
  expect(rinseLossUpToG({ washML: 0 }, plan, 5)).toBe(0)
})

test('drops a mL are counted, and what no pipette gives is named', () => {
  expect(dropsPerML(27, 1)).toBe(27)
  expect(() => dropsPerML(30, 0.03)).toThrow('do not fit a pipette')
  expect(() => dropsPerML(0, 1)).toThrow('Count some drops')
})
