import { describe, expect, test } from '@jest/globals'
import { golden } from '../../golden/contract'
import {
  type Bodies,
  type Compound,
  DEFAULT_HOUSE_RULES,
  type Entry,
  type Kind,
  KINDS,
  RANK_OPTIONS,
  type RawEntry,
  type SampleId,
  sentenceOf,
  upcast,
} from '../index'
import { refusalOf } from '../schemas'

const [home] = golden.entries as [RawEntry]
const SAMPLE = '0a5a1c7e-0000-4000-8000-0000000000f2' as SampleId
const SEAL = '0a5a1c7e-0000-4000-9000-0000000000f3'
const HASH = 'ab'.repeat(32)
const lineOf = (kind: string, body: unknown, v = KINDS[kind as Kind].version): RawEntry => ({
  ...home,
  kind,
  body,
  v,
})
const reading = (text: string) => ({ text, value: Number(text) })
/** A body of this kind as the golden ledger holds it. */
const bodyOf = <K extends Kind>(kind: K): Bodies[K] => {
  const line = golden.entries.find((entry) => entry.kind === kind)
  if (!line) throw new Error(kind)
  return line.body as Bodies[K]
}
const listed = bodyOf('candidates listed')
const [benzil] = listed.candidates as [Compound]
const plate = bodyOf('plate developed')
const signed = bodyOf('unknown signed')

describe('what the kinds of a case and of a plate take, and say', () => {
  const good: [Kind, Bodies[Kind], string][] = [
    [
      'unknown opened',
      { code: 'K-14', appearance: 'White powder.', sample: SAMPLE },
      'Opened the unknown K-14: White powder.',
    ],
    ['unknown opened', { code: 'K-15', appearance: '', sample: SAMPLE }, 'Opened the unknown K-15.'],
    [
      'candidates listed',
      { candidates: [benzil], from: 'the shelf', window: { lowC: 92, highC: 103 } },
      '1 candidate, from the shelf between 92 and 103 °C.',
    ],
    [
      'candidate ruled out',
      { candidate: 'benzil', name: 'benzil', reason: 'ours is white' },
      'Ruled out benzil: ours is white',
    ],
    [
      'mixture ground',
      { massFractionFirst: 0.5, by: 'eye', massesG: null },
      'Ground together, 50 % of the first by eye.',
    ],
    [
      'mixture ground',
      { massFractionFirst: 0.48, by: 'mass', massesG: [reading('0.012'), reading('0.013')] },
      'Ground together 0.012 g and 0.013 g.',
    ],
    ['answer sealed', { seal: SEAL, commitment: HASH }, 'The answer was sealed (abababab …).'],
    [
      'answer opened',
      { seal: SEAL, compound: 'benzil', name: 'benzil', salt: HASH },
      'Opened the sealed answer: benzil.',
    ],
    [
      'unknown signed',
      { ...signed, answer: { is: 'not on the list' } },
      'Signed by bench 7: not on the list.',
    ],
    ['unknown signed', signed, 'Signed by bench 7: benzil.'],
    [
      'plate developed',
      plate,
      'Ran a plate of K-9, both, Benzil in hexane and ethyl acetate, 4 : 1: front at 56.0 mm, seen by ultraviolet lamp and own colour.',
    ],
    [
      'plate photographed',
      { jpeg: 'AAAA', left: 0, right: 1, top: 0, bottom: 1 },
      'Laid a photograph under the plate.',
    ],
  ]
  test.each(good)('%s %#', (kind, body, sentence) => {
    const line = lineOf(kind, body)
    expect(refusalOf(line)).toBeNull()
    expect(sentenceOf(line as Entry as never)).toBe(sentence)
  })

  const bad: [Kind, unknown, string][] = [
    ['unknown opened', { code: ' ', appearance: '', sample: SAMPLE }, 'code'],
    ['unknown opened', { code: 'K-1', appearance: '', sample: 'the white one' }, 'sample'],
    ['candidates listed', { ...listed, candidates: [] }, 'at least 1 items'],
    ['candidates listed', { ...listed, candidates: [benzil, benzil] }, 'duplicate'],
    ['candidates listed', { ...listed, window: { lowC: 99, highC: 90 } }, 'highC'],
    ['candidates listed', { ...listed, from: 'a friend' }, 'must be one of'],
    ['candidate ruled out', { candidate: 'benzil', name: 'benzil', reason: '  ' }, 'reason'],
    ['mixture ground', { massFractionFirst: 1, by: 'mass', massesG: null }, 'less than 1'],
    ['mixture ground', { massFractionFirst: 0, by: 'eye', massesG: null }, 'greater than 0'],
    ['mixture ground', { massFractionFirst: 0.5, by: 'guess', massesG: null }, 'must be one of'],
    ['mixture ground', { massFractionFirst: 0.5, by: 'mass', massesG: [reading('1')] }, 'massesG'],
    ['answer sealed', { seal: SEAL, commitment: 'benzil' }, 'commitment'],
    ['answer sealed', { seal: SEAL, commitment: HASH, compound: 'benzil' }, 'not allowed'],
    ['answer opened', { seal: SEAL, compound: 'benzil', name: 'benzil', salt: 'pinch' }, 'salt'],
    ['unknown signed', { ...signed, answer: { is: 'perhaps' } }, 'answer'],
    ['unknown signed', { ...signed, ranked: [{ id: 'benzil', probability: 1.2 }] }, 'probability'],
    ['unknown signed', { ...signed, signedBy: '' }, 'signedBy'],
    ['unknown signed', { ...signed, options: { ...RANK_OPTIONS, sigmaC: 'one' } }, 'sigmaC'],
    ['plate developed', { ...plate, eluent: '' }, 'eluent'],
    ['plate developed', { ...plate, visualized: [] }, 'visualized'],
    ['plate developed', { ...plate, visualized: ['own colour', 'own colour'] }, 'duplicate'],
    ['plate developed', { ...plate, lanes: [] }, 'lanes'],
    ['plate developed', { ...plate, frontMm: { text: '56', value: 57 } }, 'of a reading differ'],
    ['plate developed', { ...plate, size: { widthMm: 0, heightMm: 80 } }, 'widthMm'],
    ['plate photographed', { jpeg: 'not base64!', left: 0, right: 1, top: 0, bottom: 1 }, 'jpeg'],
    ['plate photographed', { jpeg: 'A'.repeat(300_001), left: 0, right: 1, top: 0, bottom: 1 }, '300000'],
    ['plate photographed', { jpeg: 'AAAA', left: -0.1, right: 1, top: 0, bottom: 1 }, 'left'],
  ]
  test.each(bad)('%s refuses %#', (kind, body, said) => {
    expect(refusalOf(lineOf(kind, body))).toContain(said)
  })
})

describe('a verdict on purity', () => {
  const verdict = bodyOf('verdict signed')
  test('may rest on a mixed melt, a plate, repeats and the thermometer', () => {
    const input = {
      ...verdict.input,
      authenticSameRun: { onsetC: 94, clearC: 95 },
      thermometerErrorC: null,
      mixed: { verdict: 'same', because: 'unchanged' },
      plate: { spots: 1, agrees: null, isPoor: false, sentence: 'one spot' },
      repeats: { count: 3, spreadC: 0.4 },
    }
    expect(refusalOf(lineOf('verdict signed', { ...verdict, input }))).toBeNull()
    const odd = { ...input, mixed: { verdict: 'perhaps', because: 'x' } }
    expect(refusalOf(lineOf('verdict signed', { ...verdict, input: odd }))).toContain('must be one of')
  })
  test('of the first version is read as it was, and knows of none of these', () => {
    const old = lineOf('verdict signed', verdict, 1)
    expect(refusalOf(old)).toBeNull()
    expect(upcast(old)).toMatchObject({ v: 2, body: { judgement: { verdict: verdict.judgement.verdict } } })
    const early = { ...verdict, input: { ...verdict.input, repeats: { count: 2, spreadC: 0 } } }
    expect(refusalOf(lineOf('verdict signed', early, 1))).toContain('not allowed')
  })
  test('keeps the house rules it was reached by', () => {
    expect(verdict.conventions).toEqual(DEFAULT_HOUSE_RULES)
  })
})

test('the contents of an unknown’s tube may be left out of a run, of nothing else of it', () => {
  const started = bodyOf('run started')
  if (!started.simulation) throw new Error('not simulated')
  const [tube] = started.simulation.tubes
  const sealed = { ...started, simulation: { ...started.simulation, tubes: [{ ...tube, sample: null }] } }
  expect(refusalOf(lineOf('run started', sealed))).toBeNull()
  const empty = { ...started, simulation: { ...started.simulation, tubes: [{ ...tube, packing: null }] } }
  expect(refusalOf(lineOf('run started', empty))).toContain('packing')
})

test('every line of the golden ledger about K-14 keeps its answer to itself', () => {
  const subjects = new Set(
    golden.entries.flatMap(({ kind, body, subject }) =>
      kind === 'unknown opened' && (body as Bodies['unknown opened']).code === 'K-14'
        ? [subject, (body as Bodies['unknown opened']).sample]
        : [],
    ),
  )
  const about = golden.entries.filter(({ subject }) => subjects.has(subject as SampleId))
  expect(about.length).toBeGreaterThan(3)
  expect(about.map(({ kind }) => kind)).not.toContain('answer opened')
  const answers = about.filter(({ kind }) => kind !== 'candidates listed')
  expect(JSON.stringify(answers)).not.toMatch(/nitrobenzoate|naphthol|triphenyl|glutaric/)
})
