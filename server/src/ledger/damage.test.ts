import { existsSync } from 'node:fs'
import { appendFile, readdir, readFile, rm, stat, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import { PGlite } from '@electric-sql/pglite'
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, test } from '@jest/globals'
import type { NotebookId } from '@ivory-crystal/core/ids'
import { nextRandom } from '@ivory-crystal/core/math'
import type { RawEntry } from '@ivory-crystal/core/notebook'
import type { Shelf } from '@ivory-crystal/core/wire'
import request from 'supertest'
import { FolderUnusable } from '../folder'
import type { RunningServer } from '../server'
import { line, serve, tempFolder } from '../testing/bench'
import { takeLock } from './lock'

let folder: Awaited<ReturnType<typeof tempFolder>>
let server: RunningServer
let home: { ledger: RunningServer['store']['ledger']; notebook: NotebookId }
let sentences: string[]
let freeMB = 10_000

async function open(): Promise<void> {
  sentences = []
  server = await serve(folder.path, {
    say: (sentence) => sentences.push(sentence),
    free: () => Promise.resolve(freeMB),
  })
}
const journal = () => join(folder.path, 'journal.jsonl')
const database = () => join(folder.path, 'database')
const stored = async () => [...(await server.store.all(home.notebook))]
const at = () => `http://127.0.0.1:${server.port}`
const about = async () => (await request(at()).get('/api/about')).body as { setAside: { line: number }[] }
async function add(count: number): Promise<RawEntry[]> {
  const lines = Array.from({ length: count }, () => line(home))
  for (const one of lines) await server.store.append(home.notebook, [[one]])
  return lines
}
/** What is asked of the database while no server has it. */
async function inDatabase(sql: string): Promise<void> {
  const client = await PGlite.create(database())
  await client.exec(sql)
  await client.close()
}

/** True while the folder outlives a test: what that test did to it is mended by then. */
let isShared = false
async function begin(): Promise<void> {
  freeMB = 10_000
  folder = await tempFolder()
  await open()
}
async function end(): Promise<void> {
  await server.close()
  await folder.remove()
}
beforeEach(async () => {
  if (!isShared) await begin()
  home = { ledger: server.store.ledger, notebook: (await server.store.notebooks())[0]?.id as NotebookId }
})
afterEach(async () => {
  if (!isShared) await end()
})

describe('a byte changed in the journal', () => {
  test('is never taken for what was written: healed from the database, or set aside and said', async () => {
    const lines = await add(12)
    await server.close()
    const whole = await readFile(journal())
    let state = 20
    const random = () => {
      const next = nextRandom(state)
      state = next.state
      return next.value
    }
    for (let round = 0; round < 4; round++) {
      const bytes = Buffer.from(whole)
      const place = Math.floor(random() * bytes.length)
      bytes.writeUInt8(bytes.readUInt8(place) ^ (1 << Math.floor(random() * 8)), place)
      await writeFile(journal(), bytes)
      const alone = round % 2 === 0
      if (alone) await rm(database(), { recursive: true })
      await open()
      const now = await stored().catch(() => [])
      const isWhole = JSON.stringify(now) === JSON.stringify(lines)
      // Each line that stands is one that was written, to the letter.
      for (const one of now) expect(lines).toContainEqual(one)
      expect({ place, isWhole: isWhole || sentences.some((one) => one.includes('set aside')) }).toEqual({
        place,
        isWhole: true,
      })
      if (!alone) expect(isWhole).toBe(true)
      if (!isWhole) expect((await about()).setAside.length).toBeGreaterThan(0)
      await server.close()
      await writeFile(journal(), whole)
      await rm(database(), { recursive: true })
      await open()
      expect(await stored()).toEqual(lines)
      await server.close()
    }
    await open()
  })

  test('healed from the database, the damaged journal is kept beside the new one', async () => {
    const lines = await add(3)
    await server.close()
    const text = await readFile(journal(), 'utf8')
    await writeFile(journal(), text.replace('seen', 'sEen'))
    await open()
    expect(await stored()).toEqual(lines)
    expect(sentences.join()).toContain('written again from the database')
    expect(existsSync(`${journal()}.damaged-1`)).toBe(true)
    const [next] = await add(1)
    await server.close()
    await rm(database(), { recursive: true })
    await open()
    expect(await stored()).toEqual([...lines, next])
  })

  test('a batch that names another notebook, or none, is damage and stops no start', async () => {
    const lines = await add(3)
    await server.close()
    const rows = (await readFile(journal(), 'utf8')).split('\n')
    const bad = rows.findIndex((row) => row.includes(lines[1]?.id ?? ''))
    const another = home.notebook.startsWith('f') ? 'e' : 'f'
    for (const named of ['#', another]) {
      const damaged = [...rows]
      const at = `"notebook":"${home.notebook}"`
      damaged[bad] = (rows[bad] ?? '').replace(at, `"notebook":"${named}${home.notebook.slice(1)}"`)
      await writeFile(journal(), damaged.join('\n'))
      await rm(database(), { recursive: true })
      await open()
      expect(await stored()).toEqual([lines[0], lines[2]])
      expect((await about()).setAside.map(({ line: number }) => number)).toEqual([bad + 1])
      await server.close()
    }
    await writeFile(journal(), rows.join('\n'))
    await open()
  })

  test('a line of the file that is gone is seen: put back from the database, or said', async () => {
    const lines = await add(4)
    await server.close()
    const rows = (await readFile(journal(), 'utf8')).split('\n')
    const gone = rows.findIndex((row) => row.includes(lines[1]?.id ?? ''))
    await writeFile(journal(), rows.filter((_, i) => i !== gone).join('\n'))
    await open()
    expect(await stored()).toEqual(lines)
    await server.close()
    await writeFile(journal(), rows.filter((_, i) => i !== gone).join('\n'))
    await rm(database(), { recursive: true })
    await open()
    expect(await stored()).toEqual(lines.filter((_, i) => i !== 1))
    expect((await about()).setAside).toEqual([
      {
        line: gone + 1,
        reason: `Entries 2 to 2 of notebook ${home.notebook} are missing before it.`,
        isLoss: true,
      },
    ])
  })

  test('a line that cannot be read is set aside with its number and reason; the rest stands, and takes more', async () => {
    const lines = await add(4)
    await server.close()
    const rows = (await readFile(journal(), 'utf8')).split('\n')
    const bad = rows.findIndex((row) => row.includes(lines[1]?.id ?? ''))
    rows[bad] = 'not json'
    await writeFile(journal(), rows.join('\n'))
    await rm(database(), { recursive: true })
    await open()
    const rest = lines.filter((_, i) => i !== 1)
    expect(await stored()).toEqual(rest)
    expect((await about()).setAside).toEqual([{ line: bad + 1, reason: 'It cannot be read.', isLoss: true }])
    expect(await readFile(`${journal()}.set-aside`, 'utf8')).toContain('not json')
    const [next] = await add(1)
    await server.close()
    await open()
    expect(await stored()).toEqual([...rest, next])
  })
})

describe('the end of the journal', () => {
  test('without its last newline the last line is still there', async () => {
    const lines = await add(2)
    await server.close()
    const text = await readFile(journal(), 'utf8')
    await writeFile(journal(), text.slice(0, -1))
    await rm(database(), { recursive: true })
    await open()
    expect(await stored()).toEqual(lines)
    const [next] = await add(1)
    await server.close()
    await rm(database(), { recursive: true })
    await open()
    expect(await stored()).toEqual([...lines, next])
  })

  test('a journal of before there were hashes is read and chained on', async () => {
    const lines = await add(3)
    await server.close()
    const text = (await readFile(journal(), 'utf8')).replace(/,?"(hash|before)":"[0-9a-f]{64}",?/g, (all) =>
      all.startsWith(',') && all.endsWith(',') ? ',' : '',
    )
    expect(text).not.toContain('hash')
    await writeFile(journal(), text)
    await rm(database(), { recursive: true })
    await open()
    const [next] = await add(1)
    expect(await stored()).toEqual([...lines, next])
    const head = await server.store.head(home.notebook)
    await server.close()
    await rm(database(), { recursive: true })
    await open()
    expect(await server.store.head(home.notebook)).toEqual(head)
  })
})

describe('damage in the database', () => {
  const all: RawEntry[] = []
  beforeAll(async () => {
    await begin()
    isShared = true
  })
  afterAll(async () => {
    isShared = false
    await end()
  })
  test.each([
    ['a line that says something else', `update entries set entry = '{"id":"x"}' where seq = 2`],
    ['a line that is gone', 'delete from entries where seq = 2'],
    ['the last line gone', 'delete from entries where seq = (select max(seq) from entries)'],
    [
      'a line too many',
      `insert into entries select notebook, 99, gen_random_uuid(), kind, subject, 1, entry, '' from entries limit 1`,
    ],
    ['another title', `update notebooks set title = 'changed'`],
    ['a table gone', 'drop table entries'],
    ['another table gone', 'drop table shelf_items'],
    ['a column gone', 'alter table notebooks drop column title'],
  ])('%s: what the journal says stands', async (_, sql) => {
    all.push(...(await add(4)))
    const title = (await server.store.notebooks())[0]?.title
    await server.close()
    await inDatabase(sql)
    await open()
    expect(await stored()).toEqual(all)
    expect((await server.store.notebooks()).map((one) => one.title)).toEqual([title])
    expect(((await request(at()).get('/api/shelf')).body as Shelf).compounds.length).toBeGreaterThan(100)
  })
})

describe('the shelf’s own file', () => {
  const file = () => join(folder.path, 'shelf.jsonl')
  const put = (name: string) =>
    request(at())
      .post('/api/shelf/solvent')
      .send({
        dryRun: false,
        rows: [
          {
            id: name,
            name,
            boilingPointC: 80,
            freezingPointC: null,
            densityGPerML20: 1,
            flashPointC: null,
            group: 'other',
            waterMiscible: 'no',
            hazards: [],
            source: 'bottle',
          },
        ],
      })
  const own = async () =>
    ((await request(at()).get('/api/shelf')).body as Shelf).solvents
      .map(({ id }) => id)
      .filter((id) => id.startsWith('own-'))

  test.each([
    ['with a line that cannot be read', async () => appendFile(file(), 'not json\n{"sort":')],
    ['taken away', async () => rm(file())],
    [
      'changed by a byte',
      async () => writeFile(file(), (await readFile(file(), 'utf8')).replace('bottle', 'bottlf')),
    ],
    [
      'without its last newline',
      async () => writeFile(file(), (await readFile(file(), 'utf8')).slice(0, -1)),
    ],
  ])('%s: what was on the shelf is on it, and outlives the database', async (_, damage) => {
    await put('own-one')
    await put('own-two')
    await server.close()
    await damage()
    await open()
    expect(await own()).toEqual(['own-one', 'own-two'])
    await put('own-three')
    await server.close()
    await rm(database(), { recursive: true })
    await open()
    expect((await own()).sort()).toEqual(['own-one', 'own-three', 'own-two'])
  })
})

describe('a disk nearly full', () => {
  test('refuses with what is full and that nothing is lost; with room again it goes on', async () => {
    freeMB = 20
    const post = () =>
      request(at())
        .post(`/api/notebooks/${home.notebook}/entries`)
        .send({ groups: [[line(home)]] })
    const refused = await post()
    expect([refused.status, refused.text]).toEqual([507, expect.stringContaining('20 MB are free')])
    freeMB = 10_000
    expect((await post()).status).toBe(200)
  })

  test('does not start, and moves nothing aside for a database it has no room for', async () => {
    await add(1)
    await server.close()
    await writeFile(join(database(), 'global', 'pg_control'), 'ruined')
    freeMB = 20
    await expect(open()).rejects.toThrow('nearly full')
    freeMB = 100
    await expect(open()).rejects.toThrow('nearly full')
    expect((await readdir(folder.path)).filter((name) => name.includes('broken'))).toEqual([])
    freeMB = 10_000
    await open()
    expect(await stored()).toHaveLength(1)
  })
})

test('a folder’s files are its user’s alone', async () => {
  expect((await stat(folder.path)).mode & 0o077).toBe(0)
  expect((await stat(journal())).mode & 0o077).toBe(0)
  expect((await stat(join(database(), 'PG_VERSION'))).mode & 0o077).toBe(0)
})

test('a folder that cannot be used is said in a sentence', async () => {
  const path = join(folder.path, 'a file')
  await writeFile(path, 'x')
  await expect(serve(path)).rejects.toThrow(FolderUnusable)
  await expect(serve(path)).rejects.toThrow('there is a file in its place')
})

test('of many that take a stale lock at once one has it', async () => {
  const other = await tempFolder()
  for (let round = 0; round < 20; round++) {
    const dead = { pid: 2_000_000_000, processStart: '1', startedAt: round, port: 1 }
    await writeFile(join(other.path, 'server.lock'), JSON.stringify(dead))
    const tries = await Promise.allSettled(
      Array.from({ length: 6 }, (_, i) => takeLock(other.path, { port: i, startedAt: round })),
    )
    const had = tries.flatMap((one) => (one.status === 'fulfilled' ? [one.value] : []))
    expect(had).toHaveLength(1)
    await had[0]?.()
  }
  expect(await readdir(other.path)).toEqual([])
  await other.remove()
})
