import { expect, test } from '@jest/globals'
import { golden } from '../../../golden/contract'
import { BENCH_SHELF } from '../../../golden/benchShelf'
import { SCHOOLS } from '../../conventions/schools'
import type { RunId, SubjectId } from '../../ids'
import { tasksOf } from '../../planning/period/tasksOf'
import { EQUAL_BY_EYE, packMixedRun } from '../acts/samples'
import { nextId } from '../clock'
import type { Line, RawEntry } from '../entry'
import { fold, type View } from '../fold'
import { type Bodies, KINDS } from '../kinds/list'
import { houseRulesOf } from './instruments'
import { meltsOf } from './melt'
import { type PrepFacts, prepsOf, sampleOf } from './prep'
import { rangesOf } from './ranges'
import '../../../golden/older'

const demo = fold(golden.entries)
const [home] = golden.entries as [RawEntry]
const prep = prepsOf(demo).find(({ opened }) => opened.body.title.startsWith('Benzil')) as PrepFacts
const product = sampleOf(prep, 'product') as NonNullable<ReturnType<typeof sampleOf>>
const planned = meltsOf(demo, prep.id).find(({ planned: { body } }) =>
  body.tubes.some(({ sample }) => sample === product.id),
)?.planned.body as Bodies['melt planned']

let drawn = 0
const newId = <T extends SubjectId | RunId>() => {
  drawn += 1
  return `0a5a1c7e-0000-4000-8000-${String(drawn).padStart(12, '0')}` as T
}
function after(view: View, lines: readonly Line[]): View {
  return lines.reduce((folded, { kind, subject, body }, i) => {
    const at = golden.nowMs + i
    const id = nextId(folded.latestId, at, new Uint8Array(8))
    return fold([{ ...home, id, kind, v: KINDS[kind].version, subject, body, at }], folded)
  }, view)
}

/** Ground and packed as the app does it; the run holds the mixture and the authentic sample, without the product. */
function mixed(): { readonly packed: View; readonly planned: View } {
  const references = [{ compound: prep.opened.body.compound, authentic: null }]
  const { lines } = packMixedRun(newId, {
    sample: product,
    references,
    grinding: EQUAL_BY_EYE,
    authenticBeside: true,
    fillMm: 2,
    set: 'Z',
  })
  const packed = after(demo, lines)
  const named = lines.filter(({ kind }) => kind === 'sample named')
  const tubes = named.map(({ subject, body }, i) => ({
    slot: i + 1,
    sample: subject as (typeof product)['id'],
    label: (body as Bodies['sample named']).label,
    fillMm: 2,
    grain: 'fine' as const,
  }))
  const plan = { kind: 'melt planned', subject: newId(), body: { ...planned, prep: null, tubes } } as Line
  return { packed, planned: after(packed, [plan]) }
}

test('a mixed melt is on the page of the prep whose product went into it, with the authentic sample beside', () => {
  const before = rangesOf(demo, prep.id).length
  const { planned: view } = mixed()
  const rows = rangesOf(view, prep.id)
  expect(rows.slice(before).map(({ role }) => role)).toEqual(expect.arrayContaining(['mixture', 'authentic']))
  expect(meltsOf(view, prep.id)).toHaveLength(meltsOf(demo, prep.id).length + 1)
  for (const other of prepsOf(view))
    if (other.id !== prep.id) expect(rangesOf(view, other.id)).toEqual(rangesOf(demo, other.id))
})

test.each(['packed', 'planned'] as const)('a mixture that is %s is work in the lab plan', (state) => {
  const words = (view: View) =>
    tasksOf(view, BENCH_SHELF, houseRulesOf(view, SCHOOLS), golden.nowMs)
      .filter((task) => (task.of as string | null) === prep.id)
      .map(({ words: sentence }) => sentence)
      .filter((message) => message.includes('mixed with'))
  expect(words(demo)).toEqual([])
  expect(words(mixed()[state]).length).toBeGreaterThan(1)
})
