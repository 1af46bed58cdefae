import { describe, expect, test } from '@jest/globals'
import {
  planCrystallization,
  type Compound,
  type Shelf,
  type SolubilityRow,
  type Solvent,
} from '@ivory-crystal/core'
import { outcomeOf, shelfPoints, solventsFor, typedPoints, type Draft } from './draft'

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
  volumeML: '',
  product: BENZIL,
  impurityPoints: BENZOIN,
}
const outcome = (change: Partial<Draft>) => outcomeOf({ ...DRAFT, ...change }, 1.804)

describe('a plan as it is typed', () => {
  test('is planned at the proposed volume when none is typed', () => {
    const planned = outcome({})
    expect(planned.ok && planned.value.proposedML).toBe(11)
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
    ['one point alone', { product: BENZIL.slice(0, 1) }, null, 'Add a second point'],
    [
      'a solubility of nothing',
      { product: [{ temperature: '20', solubility: '0' }] },
      null,
      'cannot be used',
    ],
    ['cold above hot', { coldC: '90' }, null, 'were the two swapped'],
  ])('%s is answered at its field', (_, change, field, sentence) => {
    const planned = outcome(change)
    expect(planned.ok ? null : planned.field).toBe(field)
    expect(planned.ok ? '' : planned.sentence).toContain(sentence)
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
})
