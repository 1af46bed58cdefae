import { describe, expect, test } from '@jest/globals'
import { DEFAULT_HOUSE_RULES } from '../conventions/schools'
import type { PlanFixed } from '../notebook/kinds/plan-fixed/kind'
import type { Procedure } from '../procedures/procedure'
import { PROCEDURES } from '../procedures/shipped'
import type { Compound, SolubilityRow, Solvent } from '../substances/shelf'
import { planCrystallization } from '../solubility/planCrystallization'
import type { Shelf } from '../wire'
import {
  candidatesOf,
  type Draft,
  ruleFields,
  rulesOf,
  shelfPoints,
  solventsFor,
  typedPoints,
  withSolvent,
} from './draft'
import { outcomeOf } from './planDraft'
import type { Grounds } from './draft'
import { golden } from '../../golden/contract'

const BENZIL = [
  { temperature: '20', solubility: '1.9' },
  { temperature: '50', solubility: '8.7' },
  { temperature: '78', solubility: '46' },
]
const BENZOIN = [
  { temperature: '20', solubility: '3.2' },
  { temperature: '78', solubility: '15' },
]
const DRAFT: Draft = {
  assayPercent: '90',
  impurity: 'benzoin',
  solvent: 'ethanol-95',
  hotC: '78',
  coldC: '2',
  washML: '1.0',
  keptBackMg: '0',
  inCharge: '',
  volumeML: '',
  product: BENZIL,
  impurityPoints: BENZOIN,
  second: '',
  secondPoints: [],
  amount: 'least hot solvent',
  inserts: [],
  procedure: '',
  dryRule: 'minutes of air',
  dryMin: '10',
  toleranceG: '0.002',
  stones: 'in the solvent only',
}
const [plan] = golden.entries.flatMap(({ kind, body }) => (kind === 'plan fixed' ? [body as PlanFixed] : []))
const { compound, solvent: ethanol } = plan as PlanFixed
const water: Solvent = {
  ...ethanol,
  id: 'water',
  name: 'water',
  group: 'water',
  boilingPointC: 100,
  freezingPointC: 0,
  hazards: [],
}
const cyclohexane: Solvent = {
  ...ethanol,
  id: 'cyclohexane',
  name: 'cyclohexane',
  group: 'alkane',
  waterMiscible: 'no',
  freezingPointC: 6.5,
  boilingPointC: 80.7,
}
const GROUNDS = {
  crudeG: 1.804,
  compound,
  shelf: { solvents: [ethanol, water, cyclohexane], procedures: [], solubilities: [] },
  closed: [],
}
const outcome = (change: Partial<Draft>, grounds: Partial<Grounds> = {}) =>
  outcomeOf({ ...DRAFT, ...change }, { ...GROUNDS, ...grounds })

describe('a plan as it is typed', () => {
  test('is planned at the proposed volume when none is typed', () => {
    const planned = outcome({})
    expect(planned.ok && planned.value.proposed).toEqual({
      ml: 11,
      because: 'keeps the impurity dissolved',
    })
    expect(planned.ok && planned.value.plan.hotML).toBeCloseTo(11, 9)
    expect(planned.ok && planned.value.plan).toEqual(planned.ok && planCrystallization(planned.value.input))
  })
  test('takes the volume that is typed', () => {
    const planned = outcome({ volumeML: '7.5' })
    expect(planned.ok && planned.value.plan.hotML).toBeCloseTo(7.5, 9)
    expect(planned.ok && planned.value.plan.impurityInCrystalsG).toBeGreaterThan(0)
  })
  test('without points of the impurity says that it is assumed to stay dissolved', () => {
    const planned = outcome({ impurityPoints: [] })
    expect(planned.ok && planned.value.plan.impurityAssumedDissolved).toBe(true)
  })
  test('passes over rows that are still empty', () => {
    const planned = outcome({ product: [...BENZIL, { temperature: '', solubility: ' ' }] })
    expect(planned.ok && planned.value.input.product).toHaveLength(3)
  })
  test.each<[string, Partial<Draft>, keyof Draft | null, string]>([
    ['an empty fraction', { assayPercent: '' }, 'assayPercent', 'still empty'],
    ['a fraction over 100', { assayPercent: '120' }, 'assayPercent', 'up to 100 %'],
    ['a fraction of nothing', { assayPercent: '0' }, 'assayPercent', 'above 0'],
    ['a decimal comma', { washML: '1,0' }, 'washML', 'Write the decimal with a point'],
    ['words for a temperature', { hotC: 'boiling' }, 'hotC', 'not a plain number'],
    ['a volume below the least', { volumeML: '2' }, 'volumeML', 'below the least hot volume of 3.5 mL'],
    ['words for a volume', { volumeML: 'much' }, 'volumeML', 'not a plain number'],
    [
      'half a solubility point',
      { product: [{ temperature: '20', solubility: '' }] },
      'product',
      'The solubility of a point is still empty',
    ],
    [
      'half an impurity point',
      { impurityPoints: [{ temperature: '', solubility: '3' }] },
      'impurityPoints',
      'The temperature of a solubility point is still empty',
    ],
    ['no points at all', { product: [] }, null, 'No solubility is known'],
    [
      'a solubility of nothing',
      { product: [{ temperature: '20', solubility: '0' }] },
      null,
      'cannot be used',
    ],
    ['cold above hot', { coldC: '90' }, 'coldC', 'Were the two swapped'],
    ['a fraction typed for a per cent', { assayPercent: '0.9' }, 'assayPercent', 'Was 90 % meant?'],
    ['the product as its own impurity', { impurity: 'Benzil' }, 'impurity', 'Benzil is the product itself'],
  ])('%s is answered at its field', (_, change, field, sentence) => {
    const planned = outcome(change)
    expect(planned.ok ? null : (planned.problem.field ?? null)).toBe(field)
    expect(planned.ok ? '' : planned.problem.sentence).toContain(sentence)
  })
})

describe('a plan beyond one solvent and many points', () => {
  const value = (change: Partial<Draft>, grounds: Partial<Grounds> = {}) => {
    const planned = outcome(change, grounds)
    if (!planned.ok) throw new Error(planned.problem.sentence)
    return planned.value
  }
  test('ten times the volume that is proposed is asked about, with what it costs', () => {
    const proposed = value({}).proposed.ml
    const much = value({ volumeML: String(10 * proposed) }).remarks.join(' ')
    expect(much).toMatch(
      /mL is 10 times what is proposed .* g more stays in the mother liquor\. Is there a digit too many\?/,
    )
    expect(value({ volumeML: String(1.5 * proposed) }).remarks.join(' ')).not.toContain('A digit too many')
  })
  test('one point alone is continued with the fusion enthalpy', () => {
    const { plan: planned } = value({ product: BENZIL.slice(0, 1) })
    expect(planned.coldBasis).toBe('single point')
    expect(planned.productCrystalsG).toBeGreaterThan(0)
  })
  test('a second solvent makes a pair, and the procedure one for pairs', () => {
    const poor = [
      { temperature: '20', solubility: '0.002' },
      { temperature: '78', solubility: '0.05' },
    ]
    const pair = { second: 'water', hotC: '73', impurity: '', impurityPoints: [] }
    const planned = value({ ...pair, secondPoints: poor })
    expect(planned.procedure.id).toBe('solvent-pair')
    // A pair has a share of both, and more of the first than just dissolves it (34.86 g per 100 mL at 73 °C).
    const { goodML = 0, poorML = 0 } = planned.pair ?? {}
    expect(goodML / (goodML + poorML)).toBeGreaterThan(0.1)
    expect(goodML / (goodML + poorML)).toBeLessThan(0.9)
    expect(goodML).toBeGreaterThan(1.3 * ((100 * 1.804 * 0.9) / 34.86))
    expect(planned.plan.hotML / planned.input.crudeG).toBeGreaterThan(3)
    expect(planned.plan.hotML).toBeCloseTo((planned.pair?.goodML ?? 0) + (planned.pair?.poorML ?? 0), 6)
    expect(outcome({ ...pair, secondPoints: [] })).toMatchObject({
      ok: false,
      problem: { field: 'secondPoints' },
    })
    expect(outcome({ ...pair, secondPoints: BENZIL })).toMatchObject({
      ok: false,
      problem: {
        field: 'second',
        sentence: expect.stringContaining('swapped'),
      },
    })
  })
  test('one point of the impurity is no hindrance: it is taken to stay dissolved, and that is said', () => {
    const planned = value({ impurity: 'benzoin', impurityPoints: [{ temperature: '25', solubility: '1.2' }] })
    expect(planned.plan.impurityAssumedDissolved).toBe(true)
    expect(planned.remarks.join(' ')).toContain('One solubility of benzoin does not show how it changes')
  })
  test('two are used 5 °C under where the lower one boils, and what to do is said', () => {
    expect(outcome({ second: 'water', hotC: '78' })).toMatchObject({
      ok: false,
      problem: {
        field: 'hotC',
        sentence: expect.stringMatching(
          /Ethanol 95% boils at 78.2 °C.*at 73 °C or below, or choose a second solvent/,
        ),
      },
    })
  })
  test('two that do not mix are remarked on', () => {
    const poor = [{ temperature: '20', solubility: '0.01' }]
    expect(
      value({ solvent: 'cyclohexane', second: 'water', hotC: '75', secondPoints: poor }).remarks.join(' '),
    ).toContain('do not mix')
  })
  test('the procedure asked for is taken when it can be, and the proposed one otherwise', () => {
    expect(value({}).procedure.id).toBe('small-funnel')
    expect(value({ procedure: 'large-funnel' }).procedure.id).toBe('large-funnel')
    expect(value({ procedure: 'evaporation' }).procedure.id).toBe('small-funnel')
    const glass = value({ procedure: 'evaporation', solvent: 'water' })
    expect([glass.procedure.id, glass.plan.recoveryPercentOfProduct]).toEqual(['evaporation', 100])
    const house = { ...(PROCEDURES[1] as Procedure), id: 'ours', copiedFrom: 'small-funnel' }
    expect(value({ procedure: 'ours' }, { shelf: { ...GROUNDS.shelf, procedures: [house] } }).procedure).toBe(
      house,
    )
  })
  test.each<[string, Partial<Draft>, string]>([
    [
      'a unit mixed up',
      { product: [BENZIL[0], { temperature: '50', solubility: '87' }, BENZIL[2]] as typeof BENZIL },
      'Then it is 8.7',
    ],
    [
      'ice that freezes the solvent',
      { solvent: 'cyclohexane' },
      'the whole flask could turn solid. Cool it in water of 12 °C',
    ],
    ['hotter than boiling', { hotC: '95' }, 'it cannot get that hot'],
  ])('%s is remarked on', (_, change, sentence) => {
    expect(value(change).remarks.join(' ')).toContain(sentence)
  })
  test('a volume that fits no flask is not planned, and says what to do', () => {
    expect(outcome({ assayPercent: '90', volumeML: '' }, { crudeG: 400 })).toMatchObject({
      ok: false,
      problem: {
        field: 'volumeML',
        sentence: expect.stringMatching(/fits no common flask.*Divide the crude/),
      },
    })
  })
})

describe('house rules of one plan', () => {
  const rules = (change: Partial<Draft>) => rulesOf({ ...DRAFT, ...change }, DEFAULT_HOUSE_RULES)
  test('are the lab’s while nothing is changed, and named when something is', () => {
    expect(rules({})).toEqual(DEFAULT_HOUSE_RULES)
    expect(ruleFields(DEFAULT_HOUSE_RULES)).toMatchObject({ dryRule: 'minutes of air', dryMin: '10' })
    expect(rules({ dryRule: 'constant mass', stones: 'in both flasks' })).toMatchObject({
      name: 'Slow through the range, changed for this prep',
      drying: { atLeastMin: 10, constantMassToleranceG: 0.002 },
      boilingStones: 'in both flasks',
    })
  })
  test.each<[Partial<Draft>, string]>([
    [{ dryMin: 'long' }, 'not a plain number'],
    [{ dryMin: '-5' }, 'runs from 0'],
    [{ dryRule: 'constant mass', toleranceG: '0' }, 'above 0 g'],
    [{ dryRule: 'constant mass', toleranceG: '' }, 'still empty'],
  ])('%j is answered', (change, message) => {
    expect(rules(change)).toContain(message)
  })
})

describe('what the shelf offers', () => {
  const row = (compound: string, solvent: string, temperatureC: number): SolubilityRow => ({
    compound,
    solvent,
    temperatureC,
    gPer100ML: temperatureC / 10,
    confidence: 'high',
    source: 'test',
  })
  const solvent = (id: string) => ({ id, name: id }) as Solvent
  const shelf = {
    solvents: [solvent('water'), solvent('ethanol-95'), solvent('toluene')],
    solubilities: [row('benzil', 'toluene', 50), row('benzil', 'toluene', 20), row('urea', 'water', 20)],
  } as unknown as Shelf
  test('solvents with points for the compound come first, the others keep their order', () => {
    const offered = solventsFor(shelf, { id: 'benzil' } as Compound)
    expect(offered.map((one) => [one.solvent.id, one.known])).toEqual([
      ['toluene', true],
      ['water', false],
      ['ethanol-95', false],
    ])
  })
  test('points come by temperature, as text that can be typed over', () => {
    expect(typedPoints(shelfPoints(shelf, 'benzil', 'toluene'))).toEqual([
      { temperature: '20', solubility: '2' },
      { temperature: '50', solubility: '5' },
    ])
    expect(shelfPoints(shelf, 'benzil', 'water')).toEqual([])
  })
  test('every solvent is a candidate, those without points too', () => {
    const candidates = candidatesOf(shelf, { id: 'benzil' } as Compound, null)
    expect(candidates.map((one) => one.product.length)).toEqual([0, 0, 2])
  })
  test('another solvent brings its own points and temperatures, and forgets the volume', () => {
    const full = { ...shelf, solvents: [{ ...ethanol, id: 'toluene', boilingPointC: 110.6 }] }
    expect(withSolvent(full, { ...compound, id: 'benzil' }, null, 'toluene')).toMatchObject({
      solvent: 'toluene',
      hotC: '84',
      volumeML: '',
      product: [
        { temperature: '20', solubility: '2' },
        { temperature: '50', solubility: '5' },
      ],
    })
  })
})
