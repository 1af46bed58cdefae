import { readFileSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import { nextId } from '../src/notebook/clock'
import type { RawEntry } from '../src/notebook/entry'
import { fold } from '../src/notebook/fold'
import { summaryOf } from '../src/notebook/views/summary'
import { rebase } from '../src/schemas'

/** The golden ledger and the view it comes to, for the tests of every part that keeps entries. */
export interface Golden {
  readonly nowMs: number
  readonly title: string
  readonly entries: readonly RawEntry[]
}
const read = (name: string): unknown => JSON.parse(readFileSync(new URL(name, import.meta.url), 'utf8'))
export const golden = read('ledger.v4.json') as Golden
export const expectedView = read('view.v4.json')
/** Ledgers as earlier versions wrote them, and what they came to then: old bodies are read for ever. */
export const goldenV1 = read('ledger.v1.json') as Golden
export const expectedViewV1 = read('view.v1.json')
export const goldenV2 = read('ledger.v2.json') as Golden
export const expectedViewV2 = read('view.v2.json')
export const goldenV3 = read('ledger.v3.json') as Golden
export const expectedViewV3 = read('view.v3.json')

type Home = Pick<RawEntry, 'ledger' | 'notebook'>

const DAY_MS = 86_400_000
/** Ids are of a whole ledger, so each test hands over lines of a day of its own. */
let day = 0

/** The summary with its struck lines counted, since their ids move with the day. */
function summaryWithCounts(summary: unknown): unknown {
  const plain = JSON.parse(JSON.stringify(summary)) as { struck: unknown[] }
  return { ...plain, struck: plain.struck.length }
}

/**
 * What every keeper of entries owes: give it lines and take them back, and the notebook tells the same.
 *
 * @param name of the part
 * @param home the ledger and notebook its lines must belong to
 * @param keep hands lines to an empty keeper and brings back all it then holds
 */
export function ledgerContract(
  name: string,
  home: () => Home | Promise<Home>,
  keep: (lines: readonly RawEntry[]) => Promise<readonly RawEntry[]>,
): void {
  const moved = async () => rebase(golden.entries, --day * DAY_MS, await home())
  const viewOf = (lines: readonly RawEntry[]) =>
    summaryWithCounts(summaryOf(fold(lines), golden.nowMs + day * DAY_MS))

  describe(`the ledger’s contract, kept by ${name}`, () => {
    test('the golden ledger comes to its expected view', async () => {
      expect(viewOf(await keep(await moved()))).toEqual(summaryWithCounts(expectedView))
    })
    test('handed over backwards and twice, it comes to the same', async () => {
      const lines = [...(await moved())].reverse()
      const stored = await keep([...lines, ...lines])
      expect(stored).toHaveLength(lines.length)
      expect(viewOf(stored)).toEqual(summaryWithCounts(expectedView))
    })
    test('a line of a newer build comes back untouched, and a strike before its target strikes it', async () => {
      const first = (await moved())[3] as RawEntry
      const id = (ms: number) => nextId(null, golden.nowMs + day * DAY_MS + ms, new Uint8Array(8))
      const newer: RawEntry = {
        ...first,
        id: id(1),
        kind: 'plate developed',
        v: 3,
        body: { rf: [0.41, { lane: 2 }] },
      }
      const target: RawEntry = { ...first, id: id(3) }
      const strike: RawEntry = {
        ...first,
        id: id(2),
        kind: 'struck',
        v: 1,
        body: { target: target.id, reason: 'typo' },
      }
      const stored = await keep([newer, strike, target])
      expect([...stored].sort((p, q) => (p.id < q.id ? -1 : 1))).toEqual([newer, strike, target])
      const view = fold(stored)
      expect(view.newer).toEqual([newer])
      expect([...view.struck.keys()]).toEqual([target.id])
      expect(view.subjects.get(first.subject)?.live.observed ?? []).toEqual([])
    })
  })
}
