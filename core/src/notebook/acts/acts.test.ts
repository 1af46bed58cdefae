import { describe, expect, test } from '@jest/globals'
import { golden } from '../../../golden/contract'
import { DEFAULT_HOUSE_RULES } from '../../conventions/schools'
import { planMelt } from '../../planning/meltPlan'
import type { Compound } from '../../substances/shelf'
import { SIMULATED_INSTRUMENTS } from '../../instruments/shipped'
import { nextId } from '../clock'
import type { Line, RawEntry } from '../entry'
import { fold, type View } from '../fold'
import { KINDS } from '../kinds/list'
import { linesOf } from '../read'
import { judgementOf } from '../views/judgement'
import { meltOf, meltsOf } from '../views/melt'
import { platesOf } from '../views/plates'
import { prepOf, prepsOf } from '../views/prep'
import { meltRangesOf } from '../views/ranges'
import { samplesNamed } from '../views/samples'
import { unknownOf } from '../views/unknowns'
import { copyMarks, planTheMelt } from './melts'
import { measureAgain } from './plates'
import { beginPrep, signVerdict } from './preps'
import { EQUAL_BY_EYE, nextSet, packMixedRun } from './samples'
import { openCase } from './unknowns'
import { refusalOf } from '../../schemas'
import type { NewId } from './newId'
import '../../../golden/older'

const view = fold(golden.entries)
let made = 0
const newId: NewId = <T>() => `0a5a1c7e-0000-4000-8000-0000000f${String(++made).padStart(4, '0')}` as T

/** The lines written onto a view, each of which the ledger takes. */
function written(lines: readonly Line[], onto: View = view): View {
  const [first] = golden.entries
  let latest = onto.latestId
  const entries = lines.map(({ kind, subject, body }): RawEntry => {
    const id = nextId(latest, golden.nowMs, new Uint8Array(8))
    latest = id
    const home = { ledger: first?.ledger, notebook: first?.notebook } as Pick<RawEntry, 'ledger' | 'notebook'>
    return {
      id,
      v: KINDS[kind].version,
      ...home,
      subject,
      kind,
      body,
      at: golden.nowMs,
      author: 'bench 7',
      device: 'd',
    }
  })
  expect(entries.map(refusalOf)).toEqual(entries.map(() => null))
  return fold(entries, onto)
}
const benzil = prepsOf(view).find(({ opened }) => opened.body.title.startsWith('Benzil'))
if (!benzil) throw new Error('The golden ledger has a prep of benzil.')
const { compound } = benzil.opened.body

describe('what a person does becomes lines', () => {
  test('a prep is begun with its crude and product, titled by its compound when nothing is typed', () => {
    const { id, lines } = beginPrep(newId, { title: ' ', compound })
    const prep = prepOf(written(lines), id)
    expect(prep?.opened.body.title).toBe('Benzil')
    expect(prep?.samples.map(({ role, label }) => [role, label])).toEqual([
      ['crude', 'Crude benzil'],
      ['product', 'Benzil'],
    ])
  })
  test('a verdict is signed with all it rests on, and is then what stands', () => {
    const judged = judgementOf(view, benzil.id)
    if (!judged.ok) throw new Error(judged.problem.sentence)
    const line = signVerdict(benzil, judged.value, 'bench 3')
    expect(line.body.restsOn).toEqual(judged.value.restsOn)
    expect(prepOf(written([line]), benzil.id)?.verdict?.body.signedBy).toBe('bench 3')
  })
  test('a mixed run names and grinds its mixtures and packs a tube of each part, all of one set', () => {
    const other = { ...compound, id: 'benzoin', name: 'benzoin' } satisfies Compound
    const product = samplesNamed(view).find(({ prep, role }) => prep === benzil.id && role === 'product')
    if (!product) throw new Error('The prep has a product.')
    const run = packMixedRun(newId, {
      sample: product,
      references: [{ compound: other, authentic: null }],
      grinding: EQUAL_BY_EYE,
      authenticBeside: true,
      fillMm: 2,
      set: 'A',
    })
    const after = written(run.lines)
    const packed = run.lines.slice(-run.tubes)
    expect(packed.map(({ kind }) => kind)).toEqual(['tube packed', 'tube packed', 'tube packed'])
    expect(packed.map(({ subject }) => linesOf(after, subject, 'tube packed').at(-1)?.body.label)).toEqual([
      'Benzil',
      'Authentic benzoin',
      'Benzil + benzoin',
    ])
    const mixture = samplesNamed(after).find(({ label }) => label === 'Benzil + benzoin')
    expect(mixture?.of[0]).toBe(product.id)
    expect(nextSet(['A', null, 'C'])).toBe('B')
  })
  test('a melt is planned on what it rests on: the dial it is heated by, and the calibration in force', () => {
    const instrument = SIMULATED_INSTRUMENTS.find(({ id }) => id === 'dial-block')
    const sample = benzil.samples.find(({ role }) => role === 'product')
    if (!instrument || !sample) throw new Error('The bench has a dial block.')
    const tubes = [{ slot: 1, sample: sample.id, label: 'Benzil', fillMm: 2, grain: 'fine' as const }]
    const conventions = DEFAULT_HOUSE_RULES
    const heating = planMelt(view, { tubes, instrument, blockC: 22, conventions, purpose: 'careful' })
    if (!heating.ok) throw new Error(heating.problem.sentence)
    const { id, line } = planTheMelt(newId, view, {
      prep: benzil,
      instrument,
      tubes,
      purpose: 'careful',
      heating: heating.value,
      conventions,
      now: golden.nowMs,
    })
    const calibration = linesOf(view, instrument.id, 'thermometer calibrated').at(-1)
    const dial = linesOf(view, instrument.id, 'dial learned').at(-1)
    expect(line.body.restsOn).toEqual([benzil.opened.id, dial?.id, calibration?.id])
    expect(meltOf(written([line]), id)?.planned.body.calibration?.entry).toBe(calibration?.id)
  })
  test('marks an instrument kept are copied in as a run that is over, both ends of each tube', () => {
    const melt = meltsOf(view).find(({ run }) => run === null)
    if (!melt) throw new Error('The golden ledger has a melt that waits.')
    const slot = melt.planned.body.tubes[0]?.slot ?? 1
    const reading = (text: string) => ({ text, value: Number(text) })
    const after = written(copyMarks(newId, melt, [{ slot, onset: reading('94.0'), clear: reading('95.5') }]))
    const now = meltOf(after, melt.id)
    const row = now && meltRangesOf(after, now).find((one) => one.slot === slot)
    expect([row?.onset?.text, row?.clear?.text, row?.by, row?.runEnded]).toEqual([
      '94.0',
      '95.5',
      'the instrument',
      true,
    ])
  })
  test('a case is opened with its sample; a plate measured again strikes the first measurement', () => {
    const { id, lines } = openCase(newId, 'K-20', 'white needles')
    expect(unknownOf(written(lines), id)?.sample.label).toBe('K-20')
    const [plate] = platesOf(view)
    if (!plate) throw new Error('The golden ledger has a plate.')
    const { of: _, ...measured } = plate.developed.body
    const again = measureAgain(
      plate,
      { ...measured, eluent: 'ethyl acetate' },
      plate.photograph?.body ?? null,
    )
    expect(again.map(({ kind }) => kind)).toEqual(['struck', 'plate developed'])
    const after = platesOf(written(again)).find((one) => one.id === plate.id)
    expect(after?.developed.body.eluent).toBe('ethyl acetate')
    expect(after?.developed.body.of).toBe(plate.developed.body.of)
  })
})
