import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import {
  ACTION_CODES,
  DEFAULT_HOUSE_RULES,
  FINDING_CODES,
  type JudgeInput,
  judgeRange,
  meltingRange,
  observedRange,
} from '../index'

const BASE: JudgeInput = {
  corrected: { onsetC: 94.2, clearC: 95.4 },
  literature: { lowC: 94, highC: 96 },
  fusion: { meltingPointC: 96, enthalpyKJPerMol: 23.5, molarMassGPerMol: 210.23 },
  rateCPerMin: 1,
  fillMm: 2,
  grain: 'fine',
  calibration: 'none',
  dried: true,
}
const judge = (change: Partial<JudgeInput>) => judgeRange({ ...BASE, ...change }, DEFAULT_HOUSE_RULES)
const codes = (change: Partial<JudgeInput>) => judge(change).findings.map((finding) => finding.code)

const BENZOIN = {
  name: 'benzoin',
  fusion: { meltingPointC: 137.5, enthalpyKJPerMol: 23.2, molarMassGPerMol: 212.24 },
}

/** Situation, change to the ordinary case, verdict, a finding it must hold, first action. */
const SITUATIONS: [string, Partial<JudgeInput>, string, string, string][] = [
  ['sharp and on the literature', {}, 'consistent with pure', 'sharp', 'sign'],
  [
    'sharp, a little low, within house rules',
    { corrected: { onsetC: 93, clearC: 94.2 } },
    'consistent with pure',
    'agrees-with-literature',
    'sign',
  ],
  [
    'low and broad',
    { corrected: { onsetC: 84.6, clearC: 91.2 } },
    'impure',
    'low-and-broad',
    'recrystallize',
  ],
  [
    'low, broad and damp',
    { corrected: { onsetC: 84.6, clearC: 91.2 }, dried: false },
    'impure',
    'damp-possible',
    'dry-and-repeat',
  ],
  [
    'a little wide, nearly there',
    { corrected: { onsetC: 92.4, clearC: 95.2 } },
    'nearly pure',
    'a-little-wide',
    'recrystallize',
  ],
  [
    'a little wide and clearly low',
    { corrected: { onsetC: 88, clearC: 91 } },
    'impure',
    'a-little-wide',
    'recrystallize',
  ],
  [
    'sharp but low, thermometer unknown',
    { corrected: { onsetC: 90, clearC: 91 } },
    'cannot tell',
    'sharp-but-low',
    'mixed-melt',
  ],
  [
    'sharp but far too low, thermometer known',
    { corrected: { onsetC: 82, clearC: 83 }, calibration: 'in place' },
    'not this compound',
    'sharp-but-low',
    'mixed-melt',
  ],
  [
    'sharp but far too high, thermometer known',
    { corrected: { onsetC: 120, clearC: 121 }, calibration: 'in place' },
    'not this compound',
    'high',
    'mixed-melt',
  ],
  [
    'broad, top past the literature, too fast',
    { corrected: { onsetC: 94, clearC: 108 }, rateCPerMin: 10 },
    'cannot tell',
    'top-passes-literature',
    'repeat-slower',
  ],
  [
    'broad, top past the literature, too full',
    { corrected: { onsetC: 94.5, clearC: 101 }, fillMm: 8, grain: 'coarse' },
    'cannot tell',
    'fill-explains',
    'repeat-with-less',
  ],
  [
    'fast, but no wider than fast heating makes it',
    { corrected: { onsetC: 95, clearC: 98 }, rateCPerMin: 5 },
    'consistent with pure',
    'rate-explains',
    'sign',
  ],
  ['decomposes', { decomposed: true }, 'cannot tell', 'decomposes', 'new-tube-fast-start'],
  ['solid that never melts', { residualSolid: true }, 'impure', 'residual-solid', 'hot-filter'],
  [
    'agrees with authentic though both read low',
    { corrected: { onsetC: 91.4, clearC: 92.5 }, authenticSameRun: { onsetC: 91.6, clearC: 92.8 } },
    'consistent with pure',
    'agrees-with-authentic',
    'sign',
  ],
  [
    'differs from authentic',
    { corrected: { onsetC: 89, clearC: 93 }, authenticSameRun: { onsetC: 94.2, clearC: 95.3 } },
    'impure',
    'differs-from-authentic',
    'recrystallize',
  ],
  [
    'broad on the literature, for no reason given',
    { corrected: { onsetC: 93.2, clearC: 97.6 } },
    'cannot tell',
    'broad',
    'melt-beside-authentic',
  ],
  [
    'slightly low through fast heating',
    { corrected: { onsetC: 94.1, clearC: 97.2 }, rateCPerMin: 4, calibration: 'at another rate' },
    'consistent with pure',
    'rate-explains',
    'sign',
  ],
  [
    'a wide tube of coarse grain',
    { corrected: { onsetC: 94, clearC: 96.6 }, fillMm: 5, grain: 'coarse' },
    'consistent with pure',
    'fill-explains',
    'sign',
  ],
  [
    'sharp and low at the eutectic of product and impurity',
    { corrected: { onsetC: 77.6, clearC: 79.0 }, calibration: 'in place', impurity: BENZOIN },
    'cannot tell',
    'possible-eutectic',
    'mixed-melt',
  ],
  [
    'sharp and low, and the mixed melt is unchanged: the thermometer',
    { corrected: { onsetC: 90, clearC: 91 }, mixed: { verdict: 'same', because: 'unchanged' } },
    'consistent with pure',
    'mixed-same',
    'sign',
  ],
  [
    'on the literature, but lower and broader with the authentic sample',
    { mixed: { verdict: 'different', because: 'lower and broader' } },
    'not this compound',
    'mixed-different',
    'sign',
  ],
  [
    'sharp and low, the mixed melt unclear',
    { corrected: { onsetC: 90, clearC: 91 }, mixed: { verdict: 'repeat', because: 'lower but sharp' } },
    'cannot tell',
    'mixed-unclear',
    'repeat-mixed-melt',
  ],
  [
    'on the literature, a second spot on the plate',
    { plate: { spots: 2, agrees: true, isPoor: false, sentence: 'two spots' } },
    'nearly pure',
    'plate-more-spots',
    'recrystallize',
  ],
  [
    'on the literature, the plate disagrees',
    { plate: { spots: 1, agrees: false, isPoor: false, sentence: 'another height' } },
    'cannot tell',
    'plate-differs',
    'mixed-melt',
  ],
  [
    'on the literature, the plate agrees',
    { plate: { spots: 1, agrees: true, isPoor: false, sentence: 'one height' } },
    'consistent with pure',
    'plate-agrees',
    'sign',
  ],
  [
    'a plate whose spots ran with the front changes nothing',
    { plate: { spots: 1, agrees: null, isPoor: true, sentence: 'at the front' } },
    'consistent with pure',
    'plate-poor',
    'sign',
  ],
  [
    'low by less than the calibration is good for',
    { corrected: { onsetC: 93, clearC: 94.2 }, calibration: 'in place', thermometerErrorC: 0.6 },
    'consistent with pure',
    'thermometer-explains',
    'sign',
  ],
  [
    'low and broad, the impurity known: how much',
    { corrected: { onsetC: 84.6, clearC: 91.2 }, impurity: BENZOIN },
    'impure',
    'impurity-estimate',
    'recrystallize',
  ],
  [
    'repeats that do not agree',
    { repeats: { count: 3, spreadC: 1.8 } },
    'consistent with pure',
    'repeats-scatter',
    'sign',
  ],
  [
    'high beside a calibrated thermometer, a little',
    { corrected: { onsetC: 97.6, clearC: 98.6 }, calibration: 'in place' },
    'cannot tell',
    'high',
    'mixed-melt',
  ],
  [
    'decomposes, and the mixed melt said another compound',
    { decomposed: true, mixed: { verdict: 'different', because: 'lower and broader' } },
    'not this compound',
    'decomposes',
    'new-tube-fast-start',
  ],
  [
    'better than its crude',
    { crude: { onsetC: 84.6, clearC: 91.2 } },
    'consistent with pure',
    'better-than-crude',
    'sign',
  ],
]

describe('situations', () => {
  test.each(SITUATIONS)('%s', (_, change, verdict, finding, action) => {
    const judged = judge(change)
    expect(judged.verdict).toBe(verdict)
    expect(judged.findings.map((one) => one.code)).toContain(finding)
    expect(judged.actions[0]?.code).toBe(action)
  })
  test('every finding that is said is one of the contract’s, with a headline and a sentence', () => {
    for (const [, change] of SITUATIONS)
      for (const finding of judge(change).findings) {
        expect(FINDING_CODES).toContain(finding.code)
        expect(finding.headline).toMatch(/\S/)
        expect(finding.sentence).toMatch(/\S/)
        expect(finding.sentence).not.toMatch(/NaN|undefined|\[object/)
        for (const value of Object.values(finding.numbers)) expect(Number.isFinite(value)).toBe(true)
      }
  })
})

describe('what to do next', () => {
  test('what tells most comes first, and of two that tell as much the one that takes less time', () => {
    const { actions } = judge({ corrected: { onsetC: 90, clearC: 91 }, rateCPerMin: 5 })
    expect(actions[0]?.code).toBe('mixed-melt')
    expect(actions.map(({ code }) => code).indexOf('calibrate')).toBeGreaterThan(
      actions.map(({ code }) => code).indexOf('melt-beside-authentic'),
    )
  })
  test('near a eutectic the mixed melt says what each outcome would mean', () => {
    const [first] = judge({
      corrected: { onsetC: 77.6, clearC: 79.0 },
      calibration: 'in place',
      impurity: BENZOIN,
    }).actions
    expect(first?.sentence).toContain('clears higher and broader')
  })
  test('a mixed melt that has answered is not asked for again', () => {
    const codesOf = (change: Partial<JudgeInput>) => judge(change).actions.map(({ code }) => code)
    expect(codesOf({})).toContain('mixed-melt')
    expect(codesOf({ mixed: { verdict: 'same', because: '' } })).not.toContain('mixed-melt')
    expect(codesOf({ plate: { spots: 1, agrees: true, isPoor: false, sentence: '' } })).not.toContain('plate')
  })
})

describe('how much impurity', () => {
  const estimate = (onsetC: number, clearC: number) =>
    judge({ corrected: { onsetC, clearC }, impurity: BENZOIN }).findings.find(
      ({ code }) => code === 'impurity-estimate',
    )
  test('is read off the liquidus with the heating taken off, inside its interval', () => {
    const found = estimate(79, 91.2)
    // clear 91.2 − 0.5 − 0.2 = 90.5 against 96 °C and 23.5 kJ/mol
    const exact = 100 * (1 - Math.exp((-23500 / 8.314462618) * (1 / 363.65 - 1 / 369.15)))
    expect(found?.numbers['molPercent']).toBeCloseTo(exact, 6)
    expect(found?.numbers['lowMolPercent']).toBeLessThan(exact)
    expect(found?.numbers['highMolPercent']).toBeGreaterThan(exact)
    expect(found?.sentence).toContain('The onset fits')
  })
  test('an onset that does not fit says that something else is in it', () => {
    expect(estimate(70, 91.2)?.sentence).toContain('another impurity')
  })
})

describe('what is charged', () => {
  test('the rate once: a calibration in place already holds it', () => {
    expect(codes({})).toContain('rate-explains')
    expect(codes({ calibration: 'in place' })).not.toContain('rate-explains')
  })
  test('an unknown thermometer is said, and not beside an authentic sample', () => {
    expect(codes({})).toContain('calibration-missing')
    expect(codes({ authenticSameRun: { onsetC: 94, clearC: 95.2 } })).not.toContain('calibration-missing')
  })
  test('the bound on impurity comes from the lower end and grows as the range falls', () => {
    const bound = (onsetC: number, clearC: number) =>
      judge({ corrected: { onsetC, clearC } }).findings.find((one) => one.code === 'impurity-at-most')
        ?.numbers['molPercent'] ?? NaN
    // slow clear 95.4 − 0.5 − 0.2 = 94.7, two errors lower 94.1; against 96 °C and 23.5 kJ/mol
    const kelvins = 1 / (94.1 + 273.15) - 1 / (96 + 273.15)
    expect(bound(94.2, 95.4)).toBeCloseTo(100 * (1 - Math.exp((-23500 / 8.314462618) * kelvins)), 6)
    expect(bound(90, 93)).toBeGreaterThan(bound(93, 94.5))
  })
  test('no enthalpy, no bound', () => {
    expect(codes({ fusion: undefined })).not.toContain('impurity-at-most')
  })
  test('a range over its own rule by a binary fraction is still sharp', () => {
    expect(judge({ corrected: { onsetC: 93.4, clearC: 93.4 + 2.0000000001 } }).findings[0]?.code).toBe(
      'sharp',
    )
  })
})

test.each([
  [{ corrected: { onsetC: 96, clearC: 95 } }, 'were the two marks swapped'],
  [{ literature: { lowC: 97, highC: 96 } }, 'runs backwards'],
  [{ rateCPerMin: -1 }, 'cannot be below zero'],
  [{ fillMm: 0 }, 'nothing in it'],
])('%j is refused', (change, said) => {
  expect(() => judge(change)).toThrow(said)
})

describe('laws of judging', () => {
  const product = { meltingPointC: 96, enthalpyKJPerMol: 23.5, molarMassGPerMol: 210.23 }
  /** A range as 1 °C/min and 2 mm of fine powder show it, of a product with so much benzoin in it. */
  const seen = (impurity: number) =>
    observedRange(meltingRange(product, BENZOIN.fusion, 1 - impurity), {
      rateCPerMin: 1,
      sampleLagMin: 0.2,
      probeLagMin: 0,
      meltMin: 0.5,
    })
  const range = fc
    .tuple(fc.double({ min: 40, max: 140, noNaN: true }), fc.double({ min: 0, max: 30, noNaN: true }))
    .map(([onsetC, width]) => ({ onsetC, clearC: onsetC + width }))

  test('more impurity never makes a better verdict', () => {
    const rank = ['consistent with pure', 'nearly pure', 'impure']
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 0.25, noNaN: true }),
        fc.double({ min: 0, max: 0.25, noNaN: true }),
        (p, q) => {
          const [less, more] = [Math.min(p, q), Math.max(p, q)].map((x) =>
            rank.indexOf(judge({ corrected: seen(x), impurity: BENZOIN }).verdict),
          )
          // Near the eutectic a mixture is sharp again: that is “cannot tell”, and no rank.
          if (less === -1 || more === -1) return
          expect(more).toBeGreaterThanOrEqual(less ?? 0)
        },
      ),
    )
  })
  test('a pure product is consistent with pure at any rate, fill and grain that are known', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 5, noNaN: true }),
        fc.double({ min: 1, max: 6, noNaN: true }),
        fc.constantFrom('fine' as const, 'coarse' as const),
        (rateCPerMin, fillMm, grain) => {
          const meltMin = (0.5 + 0.12 * Math.max(0, fillMm - 2)) * (grain === 'coarse' ? 1.6 : 1)
          const corrected = observedRange(
            { onsetC: 95, clearC: 95.8 },
            { rateCPerMin, sampleLagMin: 0.2, probeLagMin: 0, meltMin },
          )
          expect(judge({ corrected, rateCPerMin, fillMm, grain }).verdict).toBe('consistent with pure')
        },
      ),
    )
  })
  test('there is always a verdict, at least one finding and something to do, in the contract’s words', () => {
    fc.assert(
      fc.property(
        range,
        fc.option(range, { nil: undefined }),
        fc.double({ min: 0.1, max: 20, noNaN: true }),
        fc.boolean(),
        (corrected, authenticSameRun, rateCPerMin, dried) => {
          const judged = judge({ corrected, authenticSameRun, rateCPerMin, dried, impurity: BENZOIN })
          expect(judged.findings.length).toBeGreaterThan(0)
          expect(judged.actions.length).toBeGreaterThan(0)
          for (const { code } of judged.findings) expect(FINDING_CODES).toContain(code)
          for (const { code } of judged.actions) expect(ACTION_CODES).toContain(code)
          expect(new Set(judged.actions.map(({ code }) => code)).size).toBe(judged.actions.length)
        },
      ),
    )
  })
  test('no range by itself says “this compound”: the mixed melt stays on the list until it was made', () => {
    fc.assert(
      fc.property(range, (corrected) => {
        const { verdict, actions } = judge({ corrected })
        if (verdict !== 'consistent with pure') return
        expect(actions.map(({ code }) => code)).toContain('mixed-melt')
      }),
    )
  })
})
