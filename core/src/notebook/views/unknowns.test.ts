import { expect, test } from '@jest/globals'
import { golden } from '../../../golden/contract'
import { BENCH_SHELF } from '../../../golden/benchShelf'
import {
  type Bodies,
  caseStationsOf,
  fold,
  houseRulesOf,
  KINDS,
  nextId,
  nextInCase,
  periodAt,
  type RawEntry,
  SCHOOLS,
  tasksOf,
  type UnknownFacts,
  unknownsOf,
  type View,
} from '../../index'

const demo = fold(golden.entries)
const [home] = golden.entries as [RawEntry]
const open = (view: View) =>
  unknownsOf(view).find(({ opened }) => opened.body.code === 'K-14') as UnknownFacts
const shelf = BENCH_SHELF
const signedBody = golden.entries.find(({ kind }) => kind === 'unknown signed')
  ?.body as Bodies['unknown signed']

/** The case signed as it stands, with no mixture that told anything. */
function signed(): View {
  const unknown = open(demo)
  const id = nextId(null, golden.nowMs, new Uint8Array(8))
  const body: Bodies['unknown signed'] = { ...signedBody, restsOn: [unknown.opened.id] }
  return fold(
    [
      {
        ...home,
        id,
        kind: 'unknown signed',
        v: KINDS['unknown signed'].version,
        subject: unknown.id,
        body,
        at: golden.nowMs,
      },
    ],
    demo,
  )
}

test('a signed unknown is done, whatever was left out on the way', () => {
  expect(nextInCase(demo, open(demo))).not.toBeNull()
  const view = signed()
  const unknown = open(view)
  expect(unknown.mixtures.some(({ verdict }) => verdict.ok && verdict.value.verdict !== 'repeat')).toBe(false)
  expect(nextInCase(view, unknown)).toBeNull()
  expect(caseStationsOf(view, unknown).filter(({ state }) => state === 'now')).toEqual([])
  const tasks = (of: View) =>
    tasksOf(of, shelf, houseRulesOf(of, SCHOOLS), golden.nowMs, periodAt(of, golden.nowMs)).filter(
      (task) => (task.of as string | null) === unknown.id,
    )
  expect(tasks(demo)).not.toEqual([])
  expect(tasks(view)).toEqual([])
})

test('the line that says what is next follows the mixture: none, to be melted', () => {
  const melted = unknownsOf(demo).find(({ careful, listed }) => careful !== null && listed !== null)
  if (!melted) throw new Error('no case that far in the demo')
  const unknown = { ...melted, signed: null }
  const at = (mixtures: UnknownFacts['mixtures']) => nextInCase(demo, { ...unknown, mixtures })?.text
  const [made] = unknownsOf(demo).flatMap(({ mixtures }) => mixtures)
  if (!made) throw new Error('no mixture in the demo')
  const unclear = {
    ...made,
    verdict: { ok: true, value: { verdict: 'repeat', because: 'so' } },
  } as typeof made
  expect(at([])).toBe('Choose an authentic sample to grind it with.')
  expect(at([{ ...unclear, row: null }])).toBe('Melt the mixture beside both its parts.')
  if (unclear.row)
    expect(at([unclear])).toBe('The mixture was unclear: grind it again, or sign what can be said.')
})
