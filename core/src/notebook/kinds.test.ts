import * as pieces from '../schema/pieces'
import { describe, expect, test } from '@jest/globals'
import { golden } from '../../golden/contract'
import { DEFAULT_HOUSE_RULES } from '../conventions/schools'
import type { InstrumentId, RunId, SampleId } from '../ids'
import type { Entry, RawEntry } from './entry'
import { upcast } from './fold'
import { type Bodies, type Kind, KINDS } from './kinds/list'
import { sentenceOf } from './sentence'
import { refusalOf } from '../schemas'
import '../../golden/older'

const [home] = golden.entries as [RawEntry]
const ID = home.id
const lineOf = (kind: string, body: unknown, v = KINDS[kind as Kind].version): RawEntry => ({
  ...home,
  kind,
  body,
  v,
})
const RUN = '0a5a1c7e-0000-4000-8000-0000000000f1' as RunId
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
      {
        station: 'crystallize',
        rescue: 'oil',
        remedy: 'cool-slower',
        words: { rescue: 'An oil instead of crystals', remedy: 'Cool slower.' },
        helped: 'helped',
      },
      'An oil instead of crystals: tried “Cool slower.” It helped.',
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
    ['explained', { text: 'A rim stayed behind.' }, 'Explained: A rim stayed behind.'],
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
    [
      'sample named',
      { prep: null, role: 'grit', label: 'Grit', compound: null, of: [] },
      'Named the sample “Grit”.',
    ],
    [
      'rules taken',
      { conventions: DEFAULT_HOUSE_RULES },
      'House rules from now on: “Slow through the range”.',
    ],
    ['turn taken', { who: 'bench 3', slots: 2 }, 'bench 3 asked for 2 slots.'],
    [
      'turn ended',
      { turn: ID, glassCleared: true, switchedOff: false },
      'Handed over: tubes in the glass waste, left on for the next.',
    ],
    [
      'heating logged',
      {
        dial: 3,
        ambientC: 22,
        samples: [
          [0, 22],
          [1, 30.5],
        ],
        from: 'typed',
      },
      'Logged a heating at setting 3: 2 readings (typed).',
    ],
    [
      'dial learned',
      {
        model: { ambientC: 22, gain: 19, exponent: 1.2, timeConstantMin: 8.5 },
        residualC: 0.152,
        standardErrors: { gain: 0.1, exponent: 0.01, timeConstantMin: 0.05 },
        span: { leastDial: 3, mostDial: 8, leastC: 22, mostC: 240 },
        coreVersion: '1',
        restsOn: [ID],
      },
      'Learned the dial from 1 heatings, settings 3 to 8: readings lie within 0.15 °C of the fit.',
    ],
    [
      'standard read',
      {
        standard: 'Adipic acid',
        literature: { lowC: 151, highC: 154, source: 'handbook' },
        read: [reading('150.1'), reading('151.5')],
        heating: { rateCPerMin: 1, fillMm: 2, grain: 'fine' },
      },
      'Adipic acid read 150.1 to 151.5 °C against 151 to 154 °C.',
    ],
    [
      'thermometer calibrated',
      {
        method: 'straight line',
        points: [[0.4, 0]],
        errorC: null,
        heating: null,
        coreVersion: '1',
        restsOn: [ID],
      },
      'Calibrated the thermometer by 1 point, straight line.',
    ],
    [
      'tube packed',
      { sample: RUN as string as SampleId, label: 'Crude benzil', fillMm: 2, grain: 'fine', set: 'A' },
      'Packed a tube of Crude benzil: 2 mm, fine, set A.',
    ],
    ['check made', { check: 'oil-label-read' }, 'Checked before the start: oil label read.'],
    ['tube noted', { run: RUN, slot: 2, note: 'turned', atS: 12 }, 'Tube 2: turned.'],
    [
      'range given up',
      { run: RUN, slot: 2, reason: 'the onset was missed' },
      'Tube 2 has no range: the onset was missed.',
    ],
    [
      'temperature typed',
      { run: RUN, temperature: reading('95.5'), atS: 61, mark: ID },
      'Read 95.5 °C off the thermometer for that mark.',
    ],
    [
      'melt detected',
      {
        run: null,
        slot: 1,
        onsetC: 94.1,
        clearC: 95.3,
        shares: null,
        decimals: 1,
        light: [[94, 0.1]],
        rateCPerMin: 1,
      },
      'Tube 1 by its light (a file): 94.1 to 95.3 °C, ends moved by hand.',
    ],
    [
      'run command',
      { run: RUN, atS: 3, command: { kind: 'dial', setting: 4.25 } },
      'Dial or flame set to 4.25.',
    ],
    [
      'mark made',
      {
        run: RUN,
        slot: 1,
        moment: 'all liquid',
        pressedAtS: 0,
        lastSample: 0,
        lastProbe: reading('95.5'),
        from: 'instrument',
      },
      'Tube 1: all liquid at 95.5 °C, copied from the instrument.',
    ],
    [
      'run started',
      {
        run: RUN,
        instrument: 'own-block' as InstrumentId,
        feed: 'by hand',
        simulation: null,
        blockC: null,
        recorded: false,
      },
      'A run by hand began.',
    ],
    [
      'trace',
      { run: RUN, firstSample: 1, decimals: 1, probeC: [50, 51], light: [[0.1], [0.2]] },
      'Recorded 2 readings from sample 1.',
    ],
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
      {
        station: 'dissolve',
        rescue: 'oil',
        remedy: 'warm',
        words: { rescue: 'An oil', remedy: 'Warm it.' },
        helped: 'perhaps',
      },
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
      'above zero',
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
    ['turn taken', { who: ' ', slots: 1 }, 'who'],
    ['turn taken', { who: 'bench 3', slots: 0 }, 'slots'],
    [
      'heating logged',
      {
        dial: 0,
        ambientC: 22,
        samples: [
          [0, 22],
          [1, 30],
        ],
        from: 'typed',
      },
      'positive number',
    ],
    ['heating logged', { dial: 3, ambientC: 22, samples: [[0, 22]], from: 'typed' }, 'at least 2 items'],
    [
      'standard read',
      {
        standard: 'Adipic acid',
        literature: { lowC: 154, highC: 151, source: 'x' },
        read: [reading('150.1')],
        heating: null,
      },
      'highC',
    ],
    [
      'standard read',
      {
        standard: 'Adipic acid',
        literature: { lowC: 151, highC: 154, source: 'x' },
        read: [reading('151.5'), reading('150.1')],
        heating: null,
      },
      'Were the two swapped?',
    ],
    ['tube noted', { run: RUN, slot: 2, note: 'looks nice', atS: 12 }, 'must be one of'],
    ['range given up', { run: RUN, slot: 2, reason: 'tired' }, 'must be one of'],
    [
      'temperature typed',
      { run: RUN, temperature: reading('950'), atS: 61, mark: null },
      'No thermometer here reads 950',
    ],
    [
      'melt detected',
      {
        run: null,
        slot: 1,
        onsetC: 96,
        clearC: 95,
        shares: null,
        decimals: 1,
        light: [],
        rateCPerMin: 1,
      },
      'clearC',
    ],
    ['run command', { run: RUN, atS: 3, command: { kind: 'dial', setting: -1 } }, 'setting'],
    ['run command', { run: RUN, atS: 3, command: { kind: 'explode' } }, 'kind'],
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
  test.each(bad)('%s refuses %j', (kind, body, sentence) => {
    expect(refusalOf(lineOf(kind, body))).toContain(sentence)
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
      [
        'rescue tried',
        { station: 'crystallize', rescue: 'oil', remedy: 'cool-slower', helped: 'helped' },
        {
          words: {
            rescue: 'An oil instead of crystals',
            remedy: 'Cool it more slowly: insulate the flask, and seed or scratch when it just turns cloudy.',
          },
        },
      ],
    ]
    for (const [kind, body, now] of cases) {
      const old = lineOf(kind, body, 1)
      expect(refusalOf(old)).toBeNull()
      expect(upcast(old)).toMatchObject({ v: KINDS[kind].version, body: { ...body, ...now } })
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

test('a schema that is not its body’s does not compile', () => {
  interface Stirred {
    readonly minutes: number
    readonly by: string | null
  }
  const minutes = pieces.number.required()
  // @ts-expect-error -- a key of the body is missing
  pieces.shape<Stirred>({ minutes })
  // @ts-expect-error -- a key is of another sort than in the body
  pieces.shape<Stirred>({ minutes: pieces.text, by: pieces.text.allow(null) })
  // @ts-expect-error -- a key the body does not have
  pieces.shape<Stirred>({ minutes, by: pieces.text.allow(null), with: pieces.text })
  const schema = pieces.shape<Stirred>({ minutes, by: pieces.text.allow(null).required() })
  expect(schema.validate({ minutes: 5, by: null }).error).toBeUndefined()
  expect(schema.validate({ minutes: 5 }).error?.message).toContain('by')
})
