import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { DEFAULT_HOUSE_RULES } from '../conventions/schools'
import { observedRange } from '../heating/observedRange'
import { meltingRange } from '../melting/meltingRange'
import type { NextStep } from './judgement'
import type { RangeEvidence } from './evidence'
import { judgeRange } from './judgeRange'
import type { FindingCode, Judgement, Verdict } from './judgement'
import { judgeNoRange } from './noRange'
import { BASE, BENZOIN, IN_PLACE, range, WET } from '../../golden/reading'

const judge = (change: Partial<RangeEvidence>) => judgeRange({ ...BASE, ...change }, DEFAULT_HOUSE_RULES)
const codes = (change: Partial<RangeEvidence>) => judge(change).findings.map(({ code }) => code)
const steps = (change: Partial<RangeEvidence>) => judge(change).actions.map(({ code }) => code)
const plate = (spots: number, sameHeight: boolean | null) => ({
  spots,
  sameHeight,
  isPoor: false,
  sentence: 'so it ran',
})
const mixed = (verdict: 'same' | 'different' | 'repeat') => ({ verdict, because: 'so it melted' })
const sentenceOf = (judged: Judgement) =>
  [
    ...judged.findings.map(({ headline, sentence }) => `${headline}: ${sentence}`),
    ...judged.budget.map(({ owner, sentence }) => `${owner}: ${sentence}`),
    ...judged.actions.map(({ sentence }) => sentence),
  ].join('\n')

/** Situation, change to the ordinary case, verdict, a finding it must hold, first step. */
const SITUATIONS: [string, Partial<RangeEvidence>, Verdict, FindingCode, NextStep][] = [
  ['sharp and on the literature', {}, 'consistent with pure', 'sharp', 'sign'],
  [
    'sharp, a little low, within house rules',
    { reading: range(93, 94.2) },
    'consistent with pure',
    'agrees-with-literature',
    'sign',
  ],
  ['low and broad', { reading: range(84.6, 91.2) }, 'impure', 'broad', 'recrystallize'],
  [
    'low, broad and perhaps wet',
    { reading: range(84.6, 91.2), dried: WET },
    'cannot tell',
    'low',
    'dry and repeat',
  ],
  [
    'a little wide, nearly there',
    { reading: range(92.4, 95.2) },
    'nearly pure',
    'a-little-wide',
    'recrystallize',
  ],
  ['a little wide and clearly low', { reading: range(88, 91) }, 'impure', 'low', 'recrystallize'],
  ['sharp but low', { reading: range(90, 91) }, 'cannot tell', 'low', 'mixed melt'],
  [
    'sharp and far too low, thermometer checked',
    { reading: range(82, 83), thermometer: IN_PLACE },
    'not this compound',
    'low',
    'find out what it is',
  ],
  [
    'sharp and far too high, thermometer checked',
    { reading: range(120, 121), thermometer: IN_PLACE },
    'not this compound',
    'high',
    'find out what it is',
  ],
  [
    'broad, its top past the literature, too fast',
    { reading: range(94, 108), rateCPerMin: 10 },
    'cannot tell',
    'high',
    'repeat slower',
  ],
  [
    'broad, its top past the literature, too full',
    { reading: range(94.5, 101), fillMm: 8, grain: 'coarse' },
    'cannot tell',
    'high',
    'repeat with less, finer',
  ],
  [
    'fast, and as wide as fast heating makes it',
    { reading: range(95, 98), rateCPerMin: 5 },
    'cannot tell',
    'too-fast-to-tell',
    'repeat slower',
  ],
  ['decomposes', { signs: [{ sign: 'decomposes', atC: 93 }] }, 'cannot tell', 'decomposes', 'mixed melt'],
  [
    'solid that never melts',
    { signs: [{ sign: 'solid that never melts', atC: null }] },
    'impure',
    'residual-solid',
    'hot filter',
  ],
  [
    'as the authentic sample, though both read low',
    { reading: range(91.4, 92.5), authentic: range(91.6, 92.8) },
    'consistent with pure',
    'authentic-off',
    'sign',
  ],
  [
    'as the authentic sample, both far from where a checked thermometer should have them',
    { reading: range(86, 87), authentic: range(86.1, 87.2), thermometer: IN_PLACE },
    'consistent with pure',
    'authentic-off',
    'check the thermometer',
  ],
  [
    'sharp and in place, so fast that it may truly lie lower',
    { reading: range(94.4, 95.4), rateCPerMin: 10 },
    'cannot tell',
    'agrees-with-literature',
    'repeat slower',
  ],
  [
    'a hydrate, sharp and far below the anhydrous solid',
    { reading: range(71, 72), thermometer: IN_PLACE, behaviour: 'hydrate' },
    'cannot tell',
    'hydrate',
    'dry and repeat',
  ],
  [
    'lower and wider than the authentic sample',
    { reading: range(89, 93), authentic: range(94.2, 95.3) },
    'impure',
    'differs-from-authentic',
    'recrystallize',
  ],
  ['broad on the literature', { reading: range(93.2, 97.6) }, 'cannot tell', 'broad', 'repeat as it was'],
  [
    'coarse grain, too full, and a little wide',
    { reading: range(94, 96.6), fillMm: 5, grain: 'coarse' },
    'cannot tell',
    'too-fast-to-tell',
    'repeat with less, finer',
  ],
  [
    'sharp and low where product and companion melt together',
    { reading: range(77.6, 79), thermometer: IN_PLACE, impurity: BENZOIN },
    'impure',
    'possible-eutectic',
    'mixed melt',
  ],
  [
    'sharp and low, the mixed melt unchanged: the thermometer',
    { reading: range(90, 91), mixed: mixed('same') },
    'consistent with pure',
    'mixed-same',
    'sign',
  ],
  [
    'on the literature, the mixed melt lower and broader',
    { mixed: mixed('different') },
    'not this compound',
    'mixed-different',
    'find out what it is',
  ],
  [
    'sharp and low, the mixed melt unclear',
    { reading: range(90, 91), mixed: mixed('repeat') },
    'cannot tell',
    'mixed-unclear',
    'grind again and repeat the mixture',
  ],
  [
    'on the literature, two spots on the plate',
    { plate: plate(2, true) },
    'nearly pure',
    'plate-more-spots',
    'recrystallize',
  ],
  [
    'on the literature, another height on the plate',
    { plate: plate(1, false) },
    'cannot tell',
    'plate-differs',
    'mixed melt',
  ],
  ['on the literature, one spot', { plate: plate(1, true) }, 'consistent with pure', 'plate-agrees', 'sign'],
  [
    'a plate whose spots ran with the front changes nothing',
    { plate: { ...plate(1, null), isPoor: true } },
    'consistent with pure',
    'plate-poor',
    'sign',
  ],
  [
    'tubes that scatter',
    { repeats: [{ ...range(92.4, 93.6), rateCPerMin: 1 }] },
    'cannot tell',
    'repeats-scatter',
    'repeat as it was',
  ],
  [
    'tubes that agree',
    { repeats: [{ ...range(94.4, 95.6), rateCPerMin: 1 }] },
    'consistent with pure',
    'repeats-agree',
    'sign',
  ],
  [
    'two rates, looked back to none',
    { reading: range(94.2, 95.4), repeats: [{ ...range(94.4, 96.1), rateCPerMin: 2 }] },
    'consistent with pure',
    'zero-rate',
    'sign',
  ],
  [
    'better than its crude',
    { crude: range(84.6, 91.2) },
    'consistent with pure',
    'better-than-crude',
    'sign',
  ],
  ['an unknown, sharp', { literature: null, fusion: null }, 'cannot tell', 'no-literature', 'mixed melt'],
  [
    'an unknown, wide',
    { literature: null, fusion: null, reading: range(90, 97) },
    'impure',
    'no-literature',
    'recrystallize',
  ],
  [
    'bubbles where its solvent boils, however long the air',
    {
      reading: range(88, 93),
      dried: { how: 'minutes of air', minutes: 90, solventBoilsC: 78 },
      signs: [{ sign: 'bubbles', atC: 79 }],
    },
    'cannot tell',
    'boiled-out',
    'dry and repeat',
  ],
  [
    'another crystal form was seen on the way',
    { reading: range(88, 89), thermometer: IN_PLACE, signs: [{ sign: 'changes form', atC: 80 }] },
    'cannot tell',
    'other-forms',
    'mixed melt',
  ],
]

describe('situations', () => {
  test.each(SITUATIONS)('%s', (_, change, verdict, finding, step) => {
    const judged = judge(change)
    expect(judged.verdict).toBe(verdict)
    expect(judged.findings.map(({ code }) => code)).toContain(finding)
    expect(judged.actions[0]?.code).toBe(step)
  })
  test('what is said has a headline, a sentence and no hole', () => {
    for (const [, change] of SITUATIONS) {
      const judged = judge(change)
      expect(sentenceOf(judged)).not.toMatch(/NaN|undefined|null|Infinity|\[object|-0\.0/)
      for (const { headline, sentence } of judged.findings) expect(`${headline}${sentence}`).toMatch(/\S+/)
    }
  })
})

describe('what was said once and must not be said again', () => {
  test('a width that only subtraction made small is not sharp', () => {
    const fast = { reading: range(92, 102), rateCPerMin: 10 }
    expect(codes(fast)).not.toContain('sharp')
    expect(sentenceOf(judge(fast))).toContain('too fast to judge its width')
    expect(judge(fast).verdict).toBe('cannot tell')
  })
  test('5.5 °C at 5 °C/min of 5 mm of coarse crystals is not signed', () => {
    const one = { reading: range(92, 97.5), rateCPerMin: 5, fillMm: 5, grain: 'coarse' as const }
    expect([judge(one).verdict, steps(one)[0]]).toEqual(['cannot tell', 'repeat slower'])
  })
  test('not dried, sharp and 3 °C low: drying is spoken of first', () => {
    const one = { reading: range(91, 92.2), dried: WET, thermometer: IN_PLACE }
    expect(steps(one)[0]).toBe('dry and repeat')
    expect(sentenceOf(judge(one))).toContain('thermometer, reading and solvent left may explain all of it')
  })
  test('ten minutes of air are enough for ether and not for water', () => {
    const air = (solventBoilsC: number) =>
      steps({ reading: range(84.6, 91.2), dried: { how: 'minutes of air', minutes: 10, solventBoilsC } })[0]
    expect([air(35), air(100)]).toEqual(['recrystallize', 'dry and repeat'])
  })
  test('4.5 °C below the authentic sample is not consistent with pure', () => {
    expect(judge({ reading: range(90, 91), authentic: range(94.5, 95.5) }).verdict).toBe('not this compound')
  })
  test('both 10 °C low is said, and the thermometer is to be checked', () => {
    const both = { reading: range(84, 85), authentic: range(84.1, 85.2) }
    expect(codes(both)).toContain('authentic-off')
    expect(steps(both)).toContain('check the thermometer')
  })
  test('an authentic sample as far off as a checked thermometer may be is not called wrong, and the rest follows', () => {
    const near = { authentic: range(91.9, 93), reading: range(91.8, 93), thermometer: IN_PLACE } as const
    const far = { ...near, authentic: range(86, 87), reading: range(86.1, 87) } as const
    expect(sentenceOf(judge(near))).toMatch(
      /which heating, the checked thermometer and reading together can explain/,
    )
    expect(steps(near)[0]).toBe('sign')
    expect(sentenceOf(judge(far))).toMatch(/either the check or the authentic sample is wrong/)
    expect(steps(far)[0]).toBe('check the thermometer')
  })
  test('a decomposition point apart from the literature’s is neither the thermometer nor the sample', () => {
    const decomposing = { behaviour: 'decomposes', authentic: range(89, 91), thermometer: IN_PLACE } as const
    expect(codes({ ...decomposing, reading: range(89.2, 91.1) })).not.toContain('authentic-off')
  })
  test('read in place at 10 °C/min, a range may truly lie lower, and it is said by how much', () => {
    const heated = (rateCPerMin: number) => judge({ reading: range(94.4, 95.4), rateCPerMin })
    expect(sentenceOf(heated(10))).toMatch(
      /both ends lie in 94\.0 to 96\.0 °C; at this heating rate it could have begun up to 5\.0 °C lower/,
    )
    expect(sentenceOf(heated(1))).not.toMatch(/may have begun/)
    // High in a wide literature range there is room below.
    const roomy = judge({ reading: range(94.4, 95.4), rateCPerMin: 3, literature: { lowC: 91, highC: 96 } })
    expect(roomy.verdict).toBe('consistent with pure')
    expect(sentenceOf(roomy)).not.toMatch(/may have begun/)
  })
  test('another solvent for another crystal form is not “what the last one did not part”', () => {
    const form = judge({ reading: range(84, 85), thermometer: IN_PLACE, behaviour: 'other forms' })
    const { sentence } = form.actions.find(({ code }) => code === 'recrystallize from another solvent') ?? {}
    expect(sentence).toMatch(/could give another crystal form/)
  })
  test('an hour’s recrystallizing is not advised where a slower tube would tell', () => {
    const fast = { reading: range(91, 96), rateCPerMin: 4 }
    expect(steps(fast)).toEqual(['repeat slower', 'melt beside authentic'])
  })
  test('the thermometer is not offered for what it cannot own', () => {
    const high = judge({ reading: range(98.4, 99.4), thermometer: IN_PLACE })
    expect(sentenceOf(high)).toContain('may explain at most')
    expect(sentenceOf(high)).not.toContain('thermometer reads high')
  })
  test('no bound on the impurity of another compound, or of a thermometer nobody checked', () => {
    expect(judge({ reading: range(70, 71), thermometer: IN_PLACE }).impurity).toBeNull()
    expect(judge({ reading: range(90, 91), authentic: range(94.5, 95.5) }).impurity).toBeNull()
    expect(judge({}).impurity).toBeNull()
    expect(judge({ thermometer: IN_PLACE }).impurity).not.toBeNull()
  })
  test('another crystal form is not called another compound', () => {
    const form = { reading: range(88, 89), thermometer: IN_PLACE, behaviour: 'other forms' as const }
    expect(judge(form).verdict).toBe('cannot tell')
  })
  test('crude and product alike: another solvent, and nothing was gained', () => {
    const alike = { reading: range(84.8, 91), crude: range(84.6, 91.2) }
    expect(steps(alike)[0]).toBe('recrystallize from another solvent')
    expect(codes({ reading: range(85.1, 91.2), crude: range(84.6, 91.2) })).toContain('no-better-than-crude')
  })
})

describe('the evidence reaches the budget', () => {
  const row = (owner: string, change: Partial<RangeEvidence>) =>
    judge(change).budget.find((one) => one.owner === owner)
  test('a rate only planned is taken from 0.6 to 1.5 times', () => {
    expect(row('heating', { rateCPerMin: 2 })?.endC.onset).toEqual({ leastC: 0.2, mostC: 1 })
    expect(row('heating', { rateCPerMin: 2, rateMeasured: false })?.endC.onset).toEqual({
      leastC: 0.1,
      mostC: 1.5,
    })
  })
  test('a thermometer by how it was checked, and no better beyond its last standard', () => {
    const off = (thermometer: RangeEvidence['thermometer']) =>
      row('thermometer', { thermometer })?.endC.onset.mostC
    expect(off(IN_PLACE)).toBe(0.4)
    expect(off({ ...IN_PLACE, state: 'checked at another rate' })).toBe(0.5)
    expect(off({ ...IN_PLACE, errorC: null })).toBe(1)
    expect(off({ ...IN_PLACE, extrapolated: true })).toBe(1.5)
    expect(off({ state: 'never checked', errorC: null, extrapolated: false })).toBe(1.5)
    expect(row('thermometer', { reading: range(198, 200) })?.endC.clear.mostC).toBe(2.5)
  })
  test('heating and thermometer explain nothing beside an authentic sample; it is charged in the width', () => {
    const besides = { authentic: range(94, 95) }
    expect(row('heating', besides)?.endC.clear).toEqual({ leastC: 0, mostC: 0 })
    expect(row('thermometer', besides)?.sentence).toContain('nothing')
    expect(row('melting time', besides)?.endC.width).toEqual({ leastC: 1, mostC: 1 })
  })
  test('a coarse scale widens what a reading may be off', () => {
    expect(row('reading', { resolutionC: 1 })?.endC.onset.mostC).toBe(1.1)
    expect(row('reading', {})?.endC.onset.mostC).toBe(0.7)
  })
  test('an onset seen late is charged, how much is open', () => {
    const late = row('late', { watchedFromBelowOnsetC: 1.5 })
    expect(late?.isOpenEnded).toBe(true)
    expect(late?.sentence).toContain('1.5 °C below the onset')
    expect(row('late', {})).toBeUndefined()
  })
  test('looked back from several rates, the line’s own error is carried', () => {
    const two = { repeats: [{ ...range(94.4, 96.1), rateCPerMin: 2 }] }
    // σ·√(1/2 + 1.5²/0.5) = 2.24 σ, and half a division.
    expect(row('reading', two)?.endC.onset.mostC).toBe(1.4)
    expect(row('heating', two)?.endC.onset).toEqual({ leastC: 0, mostC: 0 })
    expect(row('reading', { repeats: [{ ...range(94.3, 95.5), rateCPerMin: 1 }] })?.endC.onset.mostC).toBe(
      0.5,
    )
  })
  test('tubes heated alike that scatter are not smoothed over by one at another rate', () => {
    const scattered = {
      repeats: [
        { ...range(90.4, 91.6), rateCPerMin: 1 },
        { ...range(94.4, 96.1), rateCPerMin: 2 },
      ],
    }
    expect(codes(scattered)).toContain('repeats-scatter')
    expect(judge(scattered).verdict).toBe('cannot tell')
  })
  test('tubes not made alike are said, and scatter nothing', () => {
    expect(codes({ setAside: 2 })).toContain('set-aside')
    expect(judge({ setAside: 2 }).verdict).toBe('consistent with pure')
    expect(sentenceOf(judge({ setAside: 1 }))).toContain('1 earlier tube not counted: it was packed')
  })
  test('every step names the rows it would remove, and treatments the sample’s', () => {
    const [first] = judge({ reading: range(92, 97), rateCPerMin: 5 }).actions
    expect(first?.removes).toEqual(['heating', 'melting time', 'late'])
    expect(judge({ reading: range(84.6, 91.2) }).actions[0]?.removes).toEqual(['sample'])
  })
})

describe('how much impurity', () => {
  const benzil = BASE.fusion?.enthalpyKJPerMol ?? NaN
  const dissolved = (endC: number, pureC: number) =>
    1 - Math.exp(((-1000 * benzil) / 8.314462618) * (1 / (endC + 273.15) - 1 / (pureC + 273.15)))
  test('is bounded by both ends with what others may own taken off or left', () => {
    const bounds = judge({ reading: range(84.6, 91.2), thermometer: IN_PLACE }).impurity
    // Off: melting 0.3 to 0.8, none for heating checked in place; thermometer 0.4 and reading 0.7 in squares.
    const error = Math.hypot(0.4, 0.7)
    expect(bounds?.[0]).toBeCloseTo(dissolved(91.2 - 0.3 + error, 94), 9)
    expect(bounds?.[1]).toBeCloseTo(dissolved(91.2 - 0.8 - error, 96), 9)
  })
  test('is said with its conditions, and grows as the range falls', () => {
    const most = (onsetC: number, clearC: number) =>
      judge({ reading: range(onsetC, clearC), thermometer: IN_PLACE }).impurity?.[1] ?? NaN
    expect(most(88, 92)).toBeGreaterThan(most(92, 94.5))
    expect(sentenceOf(judge({ thermometer: IN_PLACE }))).toContain(
      'if it dissolves in the melt and is the smaller part',
    )
  })
  test('is not known without an enthalpy', () => {
    expect(judge({ fusion: null, thermometer: IN_PLACE }).impurity).toBeNull()
  })
})

describe('what to do next', () => {
  test('near a eutectic the mixed melt says what each outcome would mean', () => {
    const [first] = judge({
      reading: range(77.6, 79),
      thermometer: IN_PLACE,
      impurity: BENZOIN,
    }).actions
    expect(first?.sentence).toContain('clears higher and broader')
  })
  test('what was done is not asked for again', () => {
    expect(steps({})).toContain('mixed melt')
    expect(steps({ mixed: mixed('same') })).not.toContain('mixed melt')
    expect(steps({})).toContain('thin-layer plate')
    expect(steps({ plate: plate(1, true) })).not.toContain('thin-layer plate')
  })
  test('what a signature leaves open is told', () => {
    expect(judge({}).notChecked).toEqual(['which compound it is (no mixed melt)', 'the thermometer'])
    expect(judge({ mixed: mixed('same'), thermometer: IN_PLACE }).notChecked).toEqual([])
    expect(judge({ rateMeasured: false, mixed: mixed('same'), thermometer: IN_PLACE }).notChecked).toEqual([
      'the rate',
    ])
  })
})

describe('a tube without a range', () => {
  const none = (change: Partial<Parameters<typeof judgeNoRange>[0]>) =>
    judgeNoRange(
      {
        reason: 'not melted at the stop temperature',
        startC: 80,
        stopC: 101,
        literature: { lowC: 94, highC: 96 },
        behaviour: 'melts',
        ...change,
      },
      DEFAULT_HOUSE_RULES,
    )
  test.each([
    [{}, '5.0 °C above literature', 'melt beside authentic'],
    [{ stopC: 140 }, '44.0 °C above literature', 'melt beside authentic'],
    [{ stopC: 97 }, 'too low to say anything', 'repeat as it was'],
    [{ reason: 'it melted as it went in' as const }, 'liquid at 80.0 °C, 14.0 °C below', 'repeat slower'],
    [{ reason: 'it melted as it went in' as const, startC: 97 }, 'too hot to see', 'repeat slower'],
    [{ reason: 'decomposed before it melted' as const }, 'does not measure purity', 'new tube, put in late'],
    [{ reason: 'the onset was missed' as const }, 'its range is not known', 'repeat as it was'],
    [
      { reason: 'the clear point was missed' as const, behaviour: 'sublimes' as const },
      'seal the new tube',
      'repeat as it was',
    ],
    [
      { reason: 'the tube broke or came out' as const, literature: null },
      'its range is not known',
      'repeat as it was',
    ],
  ])('%j: %s', (change, sentence, step) => {
    const judged = none(change)
    expect(judged.verdict).toBe('cannot tell')
    expect(judged.findings[0]?.sentence).toContain(sentence)
    expect(judged.actions[0]?.code).toBe(step)
  })
  test('solid far above the literature: what it is, and what does not dissolve with it, are asked', () => {
    expect(none({ stopC: 140 }).actions.map(({ code }) => code)).toEqual([
      'melt beside authentic',
      'check the thermometer',
      'find out what it is',
      'hot filter',
    ])
  })
})

describe('far below, and sharp', () => {
  const far = { reading: range(54.4, 55.6), dried: WET }
  test('solvent owns ten degrees of it at most, and whether it is the right compound is asked', () => {
    const text = sentenceOf(judge(far))
    expect(text).toContain('this one is sharp: at most 10 °C of it')
    expect(text).not.toContain('nothing for certain')
    expect(text).toContain('Is it the compound named in the prep')
    // Inside what thermometer and solvent may do nobody asks that.
    expect(sentenceOf(judge({ reading: range(91, 92) }))).not.toContain(
      'Is it the compound named in the prep',
    )
  })
  test('liquid below the eutectic of the pair is none of the pair alone', () => {
    const eutecticC = 78.4
    expect(codes({ reading: range(eutecticC - 8, 91), impurity: BENZOIN })).toContain('below-eutectic')
    expect(codes({ reading: range(eutecticC + 0.2, 91), impurity: BENZOIN })).not.toContain('below-eutectic')
    expect(codes({ reading: range(eutecticC - 8, 91) })).not.toContain('below-eutectic')
  })
})

describe('a later tube that was solid where this one had melted', () => {
  test('counts: nothing is told of the sample before a new tube', () => {
    const judged = judge({ laterSolidAtC: 110 })
    expect(judged.verdict).toBe('cannot tell')
    expect(judged.actions[0]?.code).toBe('repeat as it was')
    expect(sentenceOf(judged)).toContain(
      'A later tube solid at 110.0 °C: this one was all liquid 14.6 °C below that',
    )
  })
  test('stopped just above, it says nothing', () => {
    expect(codes({ laterSolidAtC: 96 })).not.toContain('later-solid')
    expect(judge({ laterSolidAtC: 96 }).verdict).toBe('consistent with pure')
  })
})

test.each([
  [{ reading: range(96, 95) }, 'were the two marks swapped'],
  [{ literature: { lowC: 97, highC: 96 } }, 'runs backwards'],
  [{ rateCPerMin: -1 }, 'above zero'],
  [{ rateCPerMin: 0 }, 'above zero'],
  [{ rateCPerMin: NaN }, 'above zero'],
  [{ fillMm: 0 }, 'nothing in it'],
  [{ reading: { onsetC: NaN, clearC: 95 } }, 'onset'],
])('%j is refused', (change, sentence) => {
  expect(() => judge(change)).toThrow(sentence)
})

describe('mixtures of product and companion', () => {
  /** A range as 1 °C/min and 2 mm of fine powder show it, of a product with so much benzoin in it. */
  const seen = (impurity: number) =>
    observedRange(
      meltingRange(
        { meltingPointC: 96, enthalpyKJPerMol: 23.5, molarMassGPerMol: 210.23 },
        BENZOIN.fusion,
        1 - impurity,
      ),
      { rateCPerMin: 1, sampleLagMin: 0.2, probeLagMin: 0, meltMin: 0.5 },
    )
  test('more impurity never makes a better verdict', () => {
    const rank: Verdict[] = ['consistent with pure', 'nearly pure', 'impure']
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 0.25, noNaN: true }),
        fc.double({ min: 0, max: 0.25, noNaN: true }),
        (p, q) => {
          const [less, more] = [Math.min(p, q), Math.max(p, q)].map((x) =>
            rank.indexOf(judge({ reading: seen(x), thermometer: IN_PLACE }).verdict),
          )
          // Near the eutectic a mixture is sharp again: that is “cannot tell”, and no rank.
          if (less === -1 || more === -1) return
          expect(more).toBeGreaterThanOrEqual(less ?? 0)
        },
      ),
    )
  })
  test('the impurity that is there lies within what is said of it', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 0.2, noNaN: true }), (x) => {
        const bounds = judge({
          reading: seen(x),
          thermometer: IN_PLACE,
          literature: { lowC: 96, highC: 96 },
        }).impurity
        if (!bounds) return
        expect(bounds[0]).toBeLessThanOrEqual(x)
        expect(bounds[1]).toBeGreaterThanOrEqual(x)
      }),
    )
  })
})
