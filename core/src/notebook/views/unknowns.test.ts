import { expect, test } from '@jest/globals'
import { golden } from '../../../golden/contract'
import { BENCH_SHELF } from '../../../golden/benchShelf'
import { SCHOOLS } from '../../conventions/schools'
import { periodAt } from '../../planning/period/periodFacts'
import { tasksOf } from '../../planning/period/tasksOf'
import { nextId } from '../clock'
import type { RawEntry } from '../entry'
import { fold, type View } from '../fold'
import { type Bodies, KINDS } from '../kinds/list'
import { houseRulesOf } from './instruments'
import { caseStationsOf, nextInCase, type UnknownFacts, unknownsOf } from './unknowns'
import '../../../golden/older'

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
    expect(at([unclear])).toBe('The mixture was unclear. Grind it again, or sign what you can say.')
})

test('mixtures go on while an authentic sample of what it may still be is at hand, and no longer', () => {
  const melted = unknownsOf(demo).find(({ careful, mixtures }) => careful !== null && mixtures.length > 0)
  const [made] = melted?.mixtures ?? []
  const row = melted?.careful
  if (!melted || !made?.reference.compound || !row) throw new Error('the demo has a case with a mixture')
  const { compound } = made.reference
  const clearC = row.corrected?.clearC ?? row.clear.value
  const candidate = (id: string, meltHighC: number, isAtHand: boolean, isOut = false) => ({
    compound: { ...compound, id, meltHighC },
    authentic: isAtHand ? made.reference : null,
    ruledOut: isOut ? (melted.opened as never) : null,
  })
  const resultOf = (verdict: 'same' | 'different') =>
    ({ ...made, verdict: { ok: true, value: { verdict, because: 'so' } } }) as typeof made
  const at = (candidates: UnknownFacts['candidates'], verdict: 'same' | 'different' = 'different') =>
    nextInCase(demo, { ...melted, signed: null, mixtures: [resultOf(verdict)], candidates })?.station
  const it = candidate(compound.id, clearC, true)
  expect(at([it])).toBe('sign')
  expect(at([it, candidate('near', clearC + 1, false)])).toBe('sign')
  expect(at([it, candidate('near', clearC + 1, true)])).toBe('mixtures')
  expect(at([it, candidate('near', clearC + 1, true)], 'same')).toBe('sign')
  expect(at([it, candidate('struck', clearC + 1, true, true)])).toBe('sign')
  // Neither one that is all liquid well below it, nor one that it lies far under, can be it.
  expect(at([it, candidate('lower', clearC - 2.1, true), candidate('higher', clearC + 15.1, true)])).toBe(
    'sign',
  )
})
