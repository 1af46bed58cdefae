import { join } from 'node:path'
import { afterEach, beforeEach, expect, test } from '@jest/globals'
import type { NotebookId } from '@ivory-crystal/core/ids'
import { SYSTEM_CLOCK } from '../clock'
import { type Database, openPglite } from '../db/open'
import { openLineFile } from '../lineFile'
import { line, tempFolder } from '../testing/bench'
import { openStore } from './store'
import type { LedgerStore } from './storeTypes'

let folder: Awaited<ReturnType<typeof tempFolder>>
let store: LedgerStore
let home: { ledger: LedgerStore['ledger']; notebook: NotebookId }
let close: () => Promise<void>
/** What becomes of a statement that puts lines into the tables, before it is run. */
let beforeTables: () => Promise<void>
const quiet = () => undefined
const sentences: string[] = []

beforeEach(async () => {
  beforeTables = () => Promise.resolve()
  folder = await tempFolder()
  const path = join(folder.path, 'journal.jsonl')
  const file = await openLineFile(path, quiet)
  const opened = await openPglite(
    join(folder.path, 'database'),
    { say: quiet, free: () => Promise.resolve(10_000) },
    (db) => Promise.resolve(db),
  )
  const held = new Proxy(opened.begun, {
    get(db, key) {
      if (key !== 'execute') return Reflect.get(db, key) as unknown
      return async (...statement: Parameters<Database['execute']>) => {
        await beforeTables()
        return db.execute(...statement)
      }
    },
  })
  sentences.length = 0
  store = await openStore(held, { file, path }, { clock: SYSTEM_CLOCK, say: (one) => sentences.push(one) })
  const { id } = await store.createNotebook({ title: 'of one test' })
  home = { ledger: store.ledger, notebook: id }
  close = async () => {
    await store.settled()
    await opened.close()
    await file.close()
    await folder.remove()
  }
})
afterEach(() => close())

test('lines are answered for and told before the tables have them, and nobody reads less than that', async () => {
  let go = (): void => undefined
  const gate = new Promise<void>((open) => {
    go = open
  })
  beforeTables = () => gate
  const notified: number[] = []
  store.onStored((_, lines) => notified.push(...lines.map(({ seq }) => seq)))
  const one = line(home)
  const [answer] = (await store.append(home.notebook, [[one]])) ?? []
  expect(answer).toMatchObject({ outcome: 'stored', seq: 1 })
  expect(notified).toEqual([1])
  expect((await store.head(home.notebook)).seq).toBe(1)
  let isRead = false
  const read = store.all(home.notebook).then((lines) => {
    isRead = true
    return lines
  })
  await new Promise((turn) => setImmediate(turn))
  expect(isRead).toBe(false)
  go()
  expect(await read).toEqual([one])
})

test('where the tables refuse what was answered for, the next read or line brings them to the journal', async () => {
  const refuseOnce = () => {
    let times = 0
    beforeTables = () =>
      times++ === 0 ? Promise.reject(new Error('no room in the tables')) : Promise.resolve()
  }
  const [first, second, third] = [line(home), line(home), line(home)]
  refuseOnce()
  const [answer] = (await store.append(home.notebook, [[first]])) ?? []
  expect(answer).toMatchObject({ outcome: 'stored', seq: 1 })
  expect(await store.all(home.notebook)).toEqual([first])
  expect(sentences[0]).toContain('did not accept what the journal has (no room in the tables).')
  refuseOnce()
  await store.append(home.notebook, [[second]])
  // Known by its id at once, and the next line follows it.
  const answers = await store.append(home.notebook, [[second], [third]])
  expect(answers?.map(({ outcome }) => outcome)).toEqual(['duplicate', 'stored'])
  expect(await store.all(home.notebook)).toEqual([first, second, third])
})
