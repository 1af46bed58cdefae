import 'fake-indexeddb/auto'
import { beforeEach, describe, expect, test } from '@jest/globals'
import type { LedgerId, NotebookId } from '@ivory-crystal/core/ids'
import type { Answer, RawEntry } from '@ivory-crystal/core/notebook'
import { golden, ledgerContract } from '../../../core/golden/contract'
import { openOutbox, type Outbox, type Post } from './outbox'

let ledger: LedgerId
let outbox: Outbox

/** A server as the contract has it: keeps a line once, and can lose an answer on the way back. */
function server(options: { losesAnswers?: () => boolean; refuses?: (entry: RawEntry) => boolean } = {}) {
  const stored = new Map<string, RawEntry>()
  const requests: number[] = []
  const post: Post = async (_notebook, groups) => {
    requests.push(groups.flat().length)
    const answers = groups.flat().map((entry): Answer => {
      if (options.refuses?.(entry)) return { id: entry.id, outcome: 'refused', sentence: 'no' }
      if (stored.has(entry.id)) return { id: entry.id, outcome: 'duplicate', seq: 1 }
      stored.set(entry.id, entry)
      return { id: entry.id, outcome: 'stored', seq: stored.size, recordedAt: 0 }
    })
    if (options.losesAnswers?.()) throw new Error('connection lost')
    return answers
  }
  return { stored, post, requests }
}

beforeEach(async () => {
  ledger = crypto.randomUUID() as LedgerId
  outbox = await openOutbox(ledger)
})

ledgerContract(
  'the outbox, though every other answer is lost on the way',
  () => ({ ledger, notebook: 'n' as NotebookId }),
  async (lines) => {
    for (const line of lines) await outbox.put([line])
    let posts = 0
    const far = server({ losesAnswers: () => ++posts % 2 === 1 })
    for (let tries = 0; tries < 10 && (await outbox.waiting()).length > 0; tries++)
      await outbox.drain(far.post).catch(() => undefined)
    expect(await outbox.waiting()).toEqual([])
    expect(posts).toBeGreaterThan(1)
    return [...far.stored.values()]
  },
)

describe('the outbox', () => {
  test('keeps everything while the server is away, in order of id', async () => {
    for (const entry of golden.entries.slice(0, 5).reverse()) await outbox.put([entry])
    const away: Post = () => Promise.reject(new Error('away'))
    await expect(outbox.drain(away)).rejects.toThrow('away')
    expect((await outbox.waiting()).map((entry) => entry.id)).toEqual(
      golden.entries.slice(0, 5).map((entry) => entry.id),
    )
  })
  test('a refused line goes to the quarantine and blocks nothing behind it', async () => {
    const [first, second, third] = golden.entries as [RawEntry, RawEntry, RawEntry]
    for (const entry of [first, second, third]) await outbox.put([entry])
    const far = server({ refuses: (entry) => entry.id === second.id })
    await outbox.drain(far.post)
    expect([...far.stored.keys()]).toEqual([first.id, third.id])
    expect((await outbox.quarantined()).map((line) => [line.id, line.sentence])).toEqual([[second.id, 'no']])
    await outbox.dismiss(second.id)
    expect(await outbox.quarantined()).toEqual([])
  })
  test('a group is sent in one request, whole', async () => {
    const group = golden.entries.slice(0, 3)
    await outbox.put(group)
    const sent: number[][] = []
    const far = server()
    await outbox.drain(async (notebook, groups) => {
      sent.push(groups.map((one) => one.length))
      return far.post(notebook, groups)
    })
    expect(sent).toEqual([[3]])
  })
  test('lines of two notebooks go out apart, and many in several requests', async () => {
    const elsewhere = golden.entries.slice(0, 2).map((entry, i) => ({
      ...entry,
      id: `ffffffff-ffff-7fff-8000-00000000000${i}` as RawEntry['id'],
      notebook: 'other' as NotebookId,
    }))
    const many = Array.from({ length: 150 }, (_, i) => ({
      ...(golden.entries[0] as RawEntry),
      id: `01900000-0000-7000-8000-${String(i).padStart(12, '0')}` as RawEntry['id'],
    }))
    for (const entry of [...many, ...elsewhere]) await outbox.put([entry])
    const far = server()
    await outbox.drain(far.post)
    expect(far.requests).toEqual([100, 50, 2])
  })
  test('of one ledger does not see that of another', async () => {
    await outbox.put(golden.entries.slice(0, 2))
    const other = await openOutbox(crypto.randomUUID() as LedgerId)
    expect(await other.waiting()).toEqual([])
    other.close()
  })
  test('a server that answers for nothing is not asked for ever', async () => {
    await outbox.put(golden.entries.slice(0, 1))
    await expect(outbox.drain(() => Promise.resolve([]))).rejects.toThrow('did not answer for the entries')
    expect(await outbox.waiting()).toHaveLength(1)
  })
})
