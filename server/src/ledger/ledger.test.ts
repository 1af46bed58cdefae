import { appendFile, readdir, readFile, rm, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals'
import type { NotebookId } from '@ivory-crystal/core/ids'
import { fold, nextId, type RawEntry } from '@ivory-crystal/core/notebook'
import { ledgerContract } from '../../../core/golden/contract'
import type { RunningServer } from '../server'
import { line, serve, tempFolder } from '../testing/bench'
import { SYSTEM_CLOCK } from '../clock'
import { beginningOf, chained, hashAfter, type HashedLine } from './chain'
import { batchLines, readJournal } from './journal'
import { FolderHeld, takeLock } from './lock'

let folder: Awaited<ReturnType<typeof tempFolder>>
let server: RunningServer
let home: { ledger: RunningServer['store']['ledger']; notebook: NotebookId }
const sentences: string[] = []

async function open(): Promise<void> {
  sentences.length = 0
  server = await serve(folder.path, { say: (sentence) => sentences.push(sentence) })
}
async function reopen(between: () => Promise<unknown> = async () => undefined): Promise<void> {
  await server.close()
  await between()
  await open()
}
const HOUR_MS = 3600_000
/** An id of this moment. */
const dated = (ms: number) => nextId(null, ms, new Uint8Array(8).fill(7))
const journal = () => join(folder.path, 'journal.jsonl')
const stored = async () => [...(await server.store.all(home.notebook))]

/** One data folder for all; each test writes to a notebook of its own. */
beforeAll(async () => {
  folder = await tempFolder()
  await open()
})
beforeEach(async () => {
  const { id } = await server.store.createNotebook({ title: 'of one test' })
  home = { ledger: server.store.ledger, notebook: id }
})
afterAll(async () => {
  await server.close()
  await folder.remove()
})

describe('what the ledger answers', () => {
  test('stored with a sequence number, then duplicate, and conflict for another body under the same id', async () => {
    const one = line(home)
    const [first] = (await server.store.append(home.notebook, [[one]])) ?? []
    expect(first).toMatchObject({ outcome: 'stored', seq: 1 })
    const [again] = (await server.store.append(home.notebook, [[one]])) ?? []
    expect(again).toEqual({ id: one.id, outcome: 'duplicate', seq: 1 })
    const [other] =
      (await server.store.append(home.notebook, [
        [{ ...one, body: { station: 'plan', text: 'otherwise' } }],
      ])) ?? []
    expect(other?.outcome).toBe('conflict')
    expect(await stored()).toEqual([one])
  })
  test('a refused line does not hold up the others', async () => {
    const good = line(home)
    const bad = line(home, { body: { station: 'nowhere', text: 'x' } })
    const answers = await server.store.append(home.notebook, [[bad], [good]])
    expect(answers?.map((answer) => answer.outcome)).toEqual(['refused', 'stored'])
    expect(answers?.[0] && 'sentence' in answers[0] ? answers[0].sentence : '').toContain(
      '“station” must be one of',
    )
  })
  test('a group goes in whole or not at all', async () => {
    const strike = line(home, { kind: 'struck', body: { target: line(home).id, reason: 'typo' } })
    const replacement = line(home, { body: { station: 'plan', text: '' } })
    const answers = await server.store.append(home.notebook, [[strike, replacement]])
    expect(answers?.map((answer) => answer.outcome)).toEqual(['refused', 'refused'])
    expect(await stored()).toEqual([])
  })
  test('lines of another ledger or notebook are refused; an unknown notebook has no answer', async () => {
    const elsewhere = '0a5a1c7e-0000-4000-8000-00000000ffff'
    const answers = await server.store.append(home.notebook, [
      [line(home, { ledger: elsewhere as typeof home.ledger })],
      [line(home, { notebook: elsewhere as NotebookId })],
    ])
    expect(answers?.map((answer) => ('sentence' in answer ? answer.sentence : ''))).toEqual([
      'This entry was written on another ledger; import its notebook instead.',
      'This entry belongs to another notebook.',
    ])
    expect(await server.store.append(elsewhere as NotebookId, [[line(home)]])).toBeNull()
  })
  test('kinds and versions of a newer build are kept untouched', async () => {
    const newer = [
      line(home, { kind: 'spectrum taken', body: { rf: 0.4 } }),
      line(home, { v: 9, body: { anything: [1, { b: 2 }] } }),
    ]
    const answers = await server.store.append(home.notebook, [newer])
    expect(answers?.map((answer) => answer.outcome)).toEqual(['stored', 'stored'])
    await reopen(() => rm(join(folder.path, 'database'), { recursive: true }))
    expect(await stored()).toEqual(newer)
    expect(fold(await stored()).newer.map((one) => one.id)).toEqual(newer.map((one) => one.id))
  })
  test('posts at the same moment get sequence numbers without gap or double', async () => {
    const lines = Array.from({ length: 20 }, () => line(home))
    await Promise.all(lines.map((one) => server.store.append(home.notebook, [[one]])))
    const seqs: number[] = []
    for await (const some of server.store.after(home.notebook, 0)) seqs.push(...some.map(({ seq }) => seq))
    expect(seqs).toEqual(lines.map((_, i) => i + 1))
  })
  test('new ids come after everything held', async () => {
    const ahead = line(home, { id: dated(SYSTEM_CLOCK.now() + 12 * HOUR_MS) })
    await server.store.append(home.notebook, [[ahead]])
    expect(server.store.newId() > ahead.id).toBe(true)
    await reopen()
    expect(server.store.newId() > ahead.id).toBe(true)
  })
})

async function store(lines: readonly RawEntry[]): Promise<readonly RawEntry[]> {
  await server.store.append(
    home.notebook,
    lines.map((one) => [one]),
  )
  return stored()
}
ledgerContract('the database', () => home, store)
ledgerContract(
  'the journal alone',
  () => home,
  async (lines) => {
    await store(lines)
    await reopen(() => rm(join(folder.path, 'database'), { recursive: true }))
    return stored()
  },
)

describe('the journal', () => {
  test('holds a line before it is acknowledged', async () => {
    const one = line(home)
    await server.store.append(home.notebook, [[one]])
    const held: unknown[] = []
    for await (const step of readJournal(journal()))
      if (step.step === 'lines' && step.notebook === home.notebook) held.push(...step.lines)
    const linked = { seq: 1, recordedAt: expect.any(Number), entry: one }
    expect(held).toEqual([{ ...linked, hash: expect.stringMatching(/^[0-9a-f]{64}$/) }])
    const [{ hash, ...rest }] = held as [HashedLine]
    expect(hash).toBe(hashAfter(beginningOf(home.notebook), rest))
    expect(await server.store.head(home.notebook)).toEqual({ seq: 1, hash })
  })
  test('a torn last line opens, is set aside, and what comes after is not glued to it', async () => {
    const [before, after] = [line(home), line(home)]
    await server.store.append(home.notebook, [[before]])
    await reopen(() => appendFile(journal(), '{"line":"batch","notebook":"0a5a'))
    expect(sentences.join()).toContain('torn by a crash (32 bytes')
    await server.store.append(home.notebook, [[after]])
    await reopen(() => rm(join(folder.path, 'database'), { recursive: true }))
    expect(await stored()).toEqual([before, after])
    expect(await readFile(`${journal()}.torn`, 'utf8')).toBe('{"line":"batch","notebook":"0a5a\n')
  })
  test('rebuilds a database that is behind', async () => {
    const [first, missing] = [line(home), line(home)]
    await server.store.append(home.notebook, [[first]])
    const { hash } = await server.store.head(home.notebook)
    const lines = chained(hash, [{ seq: 2, recordedAt: 5, entry: missing }])
    const rows = batchLines(home.notebook, hash, lines).map((row) => `${JSON.stringify(row)}\n`)
    await reopen(() => appendFile(journal(), rows.join('')))
    expect(await stored()).toEqual([first, missing])
    const next = line(home)
    const [answer] = (await server.store.append(home.notebook, [[next]])) ?? []
    expect(answer).toMatchObject({ seq: 3 })
  })
  test('rebuilds a database that is broken, and moves the broken one aside', async () => {
    const one = line(home)
    await server.store.append(home.notebook, [[one]])
    await reopen(() => writeFile(join(folder.path, 'database', 'global', 'pg_control'), 'ruined'))
    expect(await stored()).toEqual([one])
    expect(await readdir(folder.path)).toContain('database.broken-1')
    expect(sentences.join()).toContain('rebuilt from the journal')
  })
  test('that was taken away is written again from the database', async () => {
    const one = line(home)
    await server.store.append(home.notebook, [[one]])
    const { ledger } = home
    await reopen(() => rm(journal()))
    expect(server.store.ledger).toBe(ledger)
    await reopen(() => rm(join(folder.path, 'database'), { recursive: true }))
    expect(await stored()).toEqual([one])
  })
})

describe('the lock', () => {
  test('a second server names the holder and stops', async () => {
    await expect(serve(folder.path)).rejects.toThrow(FolderHeld)
    await expect(serve(folder.path)).rejects.toThrow(`process id ${process.pid}`)
  })
  test('of a process that is gone is taken over', async () => {
    const other = await tempFolder()
    const dead = { pid: 2_000_000_000, processStart: '1', startedAt: 1, port: 1 }
    await writeFile(join(other.path, 'server.lock'), JSON.stringify(dead))
    const release = await takeLock(other.path, { port: 5, startedAt: 2 })
    expect(JSON.parse(await readFile(join(other.path, 'server.lock'), 'utf8'))).toMatchObject({
      pid: process.pid,
      port: 5,
    })
    await release()
    await other.remove()
  })
  test('of a process id that another program has since got is taken over', async () => {
    const other = await tempFolder()
    const reused = { pid: process.pid, processStart: 'another start', startedAt: 1, port: 1 }
    await writeFile(join(other.path, 'server.lock'), JSON.stringify(reused))
    const release = await takeLock(other.path, { port: 5, startedAt: 2 })
    await release()
    await other.remove()
  })
})
