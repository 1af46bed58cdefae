import { describe, expect, test } from '@jest/globals'
import { golden } from '../../golden/contract'
import { BASE, BENZOIN } from '../../golden/reading'
import { DEFAULT_HOUSE_RULES } from '../conventions/schools'
import { RANK_OPTIONS } from '../identity/likelihood'
import type { SampleId } from '../ids'
import type { RangeEvidence } from '../judging/evidence'
import { judgeRange } from '../judging/judgeRange'
import { judgeNoRange } from '../judging/noRange'
import type { Compound } from '../substances/shelf'
import type { Entry, RawEntry } from './entry'
import { upcast } from './fold'
import { type Bodies, type Kind, KINDS } from './kinds/list'
import { sentenceOf } from './sentence'
import { refusalOf } from '../schemas'
import '../../golden/older'

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
  test.each(bad)('%s refuses %#', (kind, body, message) => {
    expect(refusalOf(lineOf(kind, body))).toContain(message)
  })
})

describe('a verdict on purity', () => {
  const verdict = bodyOf('verdict signed')
  const evidence = {
    ...BASE,
    authentic: { onsetC: 94, clearC: 95 },
    crude: { onsetC: 80, clearC: 91 },
    dried: { how: 'minutes of air', minutes: 12, solventBoilsC: 78.2 },
    signs: [{ sign: 'shrinks', atC: 91.2 }],
    mixed: { verdict: 'same', because: 'unchanged' },
    plate: { spots: 1, sameHeight: null, isPoor: false, sentence: 'one spot' },
    repeats: [{ onsetC: 94.1, clearC: 95.2, rateCPerMin: 1.1 }],
    impurity: BENZOIN,
  }
  test('may rest on everything a notebook knows', () => {
    expect(refusalOf(lineOf('verdict signed', { ...verdict, evidence }))).toBeNull()
    const odd = { ...evidence, mixed: { verdict: 'perhaps', because: 'x' } }
    expect(refusalOf(lineOf('verdict signed', { ...verdict, evidence: odd }))).toContain('must be one of')
  })
  test('as any judgement of any evidence is kept', () => {
    for (const change of [{}, evidence, { literature: null, fusion: null }]) {
      const one = { ...BASE, ...change } as RangeEvidence
      const judgement = judgeRange(one, DEFAULT_HOUSE_RULES)
      expect(refusalOf(lineOf('verdict signed', { ...verdict, evidence: one, judgement }))).toBeNull()
    }
    const nothing = judgeNoRange(
      {
        reason: 'the onset was missed',
        startC: 80,
        stopC: 101,
        literature: { lowC: 94, highC: 96 },
        behaviour: 'melts',
      },
      DEFAULT_HOUSE_RULES,
    )
    expect(refusalOf(lineOf('verdict signed', { ...verdict, evidence: null, judgement: nothing }))).toBeNull()
  })
  test('of earlier versions is read as it was signed, and no budget is made up for it', () => {
    const { sample, signedBy, conventions, coreVersion, restsOn } = verdict
    const old = {
      ...{ sample, signedBy, conventions, coreVersion, restsOn },
      judgement: {
        verdict: 'nearly pure',
        findings: [{ code: 'rate-explains', numbers: {}, headline: '0.5 °C', sentence: 'from heating' }],
        actions: [{ code: 'recrystallize', minutes: 60, sentence: 'Once more.' }],
      },
      input: {
        corrected: { onsetC: 92.1, clearC: 95 },
        literature: { lowC: 94, highC: 96 },
        rateCPerMin: 1,
        fillMm: 2,
        grain: 'fine',
        calibration: 'in place',
        dried: false,
        decomposed: false,
      },
    }
    for (const v of [1, 2]) {
      const line = lineOf('verdict signed', old, v)
      expect(refusalOf(line)).toBeNull()
      expect(upcast(line)).toMatchObject({
        v: 3,
        body: {
          judgement: {
            verdict: 'nearly pure',
            budget: [],
            actions: [{ code: 'recrystallize', minutes: 60, removes: [] }],
          },
          evidence: {
            reading: { onsetC: 92.1, clearC: 95 },
            thermometer: { state: 'checked in place at this rate' },
            dried: { how: 'not' },
            signs: [],
          },
        },
      })
    }
    const early = { ...old, input: { ...old.input, repeats: { count: 2, spreadC: 0 } } }
    expect(refusalOf(lineOf('verdict signed', early, 2))).toBeNull()
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
