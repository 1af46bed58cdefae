import { describe, expect, test } from '@jest/globals'
import { golden } from '../../golden/contract'
import type { Bodies, Entry, Kind, RawEntry } from '../index'
import { KINDS, sentenceOf, upcast } from '../index'
import { refusalOf } from '../schemas'

const [home] = golden.entries as [RawEntry]
const ID = home.id
const lineOf = (kind: string, body: unknown, v = KINDS[kind as Kind].version): RawEntry => ({
  ...home,
  kind,
  body,
  v,
})
const reading = (text: string) => ({ text, value: Number(text) })

describe('what each new kind takes, and says', () => {
  const good: [Kind, Bodies[Kind], string][] = [
    ['portion seen', { portion: ID, effect: 'no change' }, 'After that portion: no change.'],
    ['solvent removed', { volume: reading('2.5') }, 'Boiled away 2.5 mL.'],
    [
      'pipette counted',
      { drops: 24, volume: reading('1.00') },
      'Counted 24 drops into 1.00 mL with this pipette.',
    ],
    ['temperature read', { temperature: reading('-3.5') }, 'The solution was at -3.5 °C.'],
    [
      'rescue tried',
      { station: 'crystallize', rescue: 'oil', remedy: 'cool-slower', helped: 'helped' },
      'An oil instead of crystals: tried “Cool slower: insulate the flask, seed it or scratch when it just clouds.” It helped.',
    ],
    [
      'balanced',
      { step: 'balance-partner', tube: reading('7.41'), partner: reading('7.38') },
      'Balanced the centrifuge: tube 7.41 g, partner 7.38 g.',
    ],
    [
      'liquor discarded',
      { waste: 'halogen-free organic waste', yieldKnown: false },
      'Discarded the mother liquor (halogen-free organic waste), before the yield was known.',
    ],
    [
      'reaction named',
      {
        limiting: { name: 'benzoin', molarMassGPerMol: 212.248 },
        limitingMass: reading('2.004'),
        productPerLimiting: 1,
      },
      'Made from 2.004 g of benzoin (212.25 g/mol), the limiting reagent.',
    ],
    [
      'trial seen',
      {
        solvent: 'water',
        solventName: 'water',
        sampleMg: 40,
        solventML: 0.5,
        cold: 'does not dissolve',
        hot: null,
        cooled: null,
      },
      'Trial of 40 mg in 0.5 mL of water: cold does not dissolve, hot not looked at, cooled not looked at.',
    ],
    ['explained', { text: 'A rim stayed behind.' }, 'In own words: A rim stayed behind.'],
    [
      'solvent added',
      { volume: reading('0.21'), drops: { count: 5, perML: 24 }, use: 'second', hot: false },
      'Added 5 drops (0.21 mL) of the second solvent, cold.',
    ],
    [
      'solvent added',
      { volume: reading('1.0'), drops: null, use: 'rinse', hot: false },
      'Rinsed with 1.0 mL, ice-cold.',
    ],
    [
      'weighed',
      { method: 'tared', net: reading('0.182'), readabilityG: 0.001, from: 'simulated balance' },
      'Weighed 0.182 g, tared (simulated balance).',
    ],
    ['timer started', { timer: 'spin', minutes: 3 }, 'Started 3 min of spinning.'],
    ['sample named', { prep: null, role: 'grit', label: 'Grit' }, 'Named the sample “Grit”.'],
  ]
  test.each(good)('%s', (kind, body, sentence) => {
    const line = lineOf(kind, body)
    expect(refusalOf(line)).toBeNull()
    expect(sentenceOf(line as Entry as never)).toBe(sentence)
  })

  const bad: [Kind, unknown, string][] = [
    ['portion seen', { portion: ID, effect: 'exploded' }, 'must be one of'],
    ['portion seen', { portion: 'that one', effect: 'no change' }, 'portion'],
    ['solvent removed', { volume: reading('0') }, 'cannot have boiled away'],
    ['solvent removed', { volume: { text: '2.5', value: 2 } }, 'of a reading differ'],
    ['pipette counted', { drops: 24.5, volume: reading('1') }, 'must be an integer'],
    ['temperature read', { temperature: reading('451') }, 'A solution at 451 °C cannot be'],
    [
      'rescue tried',
      { station: 'dissolve', rescue: 'oil', remedy: 'warm', helped: 'perhaps' },
      'must be one of',
    ],
    ['balanced', { step: 'x', tube: reading('7') }, 'partner'],
    ['liquor discarded', { waste: '', yieldKnown: true }, 'not allowed to be empty'],
    [
      'reaction named',
      {
        limiting: { name: 'benzoin', molarMassGPerMol: 212 },
        limitingMass: reading('0'),
        productPerLimiting: 1,
      },
      'more than nothing',
    ],
    [
      'reaction named',
      {
        limiting: { name: 'benzoin', molarMassGPerMol: -1 },
        limitingMass: reading('1'),
        productPerLimiting: 1,
      },
      'must be a positive number',
    ],
    [
      'trial seen',
      {
        solvent: 'water',
        solventName: 'water',
        sampleMg: 0,
        solventML: 1,
        cold: null,
        hot: null,
        cooled: null,
      },
      'must be a positive number',
    ],
    ['explained', { text: '   ' }, 'leading or trailing whitespace'],
    [
      'solvent added',
      { volume: reading('1'), drops: { count: 5, perML: 900 }, use: 'dissolve', hot: true },
      '200',
    ],
    ['solvent added', { volume: reading('1'), drops: null, use: 'drink', hot: true }, 'must be one of'],
    ['weighed', { method: 'tared', net: reading('1'), readabilityG: 0.001, from: 'guess' }, 'must be one of'],
    ['timer started', { timer: 'tea', minutes: 3 }, 'must be one of'],
  ]
  test.each(bad)('%s refuses %j', (kind, body, said) => {
    expect(refusalOf(lineOf(kind, body))).toContain(said)
  })
})

describe('bodies of the first version', () => {
  test('are taken as they were, and read with what has come since', () => {
    const cases: [Kind, object, object][] = [
      ['solvent added', { volume: reading('1.0'), use: 'dilute' }, { drops: null, hot: true }],
      ['solvent added', { volume: reading('1.0'), use: 'rinse' }, { drops: null, hot: false }],
      ['weighed', { method: 'tared', net: reading('1.0'), readabilityG: 0.1 }, { from: 'typed' }],
      ['timer started', { timer: 'ice', minutes: 10 }, { timer: 'ice' }],
      ['sample named', { prep: null, role: 'residue', label: 'R' }, { role: 'residue' }],
    ]
    for (const [kind, body, now] of cases) {
      const old = lineOf(kind, body, 1)
      expect(refusalOf(old)).toBeNull()
      expect(upcast(old)).toMatchObject({ v: 2, body: { ...body, ...now } })
    }
  })
  test('do not know what came later', () => {
    expect(refusalOf(lineOf('timer started', { timer: 'spin', minutes: 3 }, 1))).toContain('must be one of')
    expect(refusalOf(lineOf('sample named', { prep: null, role: 'grit', label: 'g' }, 1))).toContain(
      'must be one of',
    )
    expect(refusalOf(lineOf('solvent added', { volume: reading('1'), use: 'second' }, 1))).toContain(
      'must be one of',
    )
  })
  test('that cannot be read are kept and not thrown at anyone', () => {
    expect(upcast(lineOf('plan fixed', { nothing: 'in it' }, 1))).toBeNull()
  })
})
