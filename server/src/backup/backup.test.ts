import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import request from 'supertest'
import type { NotebookId } from '@ivory-crystal/core/ids'
import type { Keeping, Restored } from '@ivory-crystal/core/wire'
import { type GoldenFile, readGolden } from '../demo'
import { HttpProblem } from '../http/problem'
import { freePort } from '../../../scripts/free-port.mjs'
import type { RunningServer } from '../server'
import { line, serve, tempFolder } from '../testing/bench'
import { verifyFolder } from '../verify'
import { backupTo, restoreFrom } from './command'
import { unpackBackup } from './read'
import { RESTORING, restoreInto } from './restore'
import { WORD_HEADER } from './routes'

type Folder = Awaited<ReturnType<typeof tempFolder>>
let folder: Folder
let server: RunningServer
beforeEach(async () => {
  folder = await tempFolder()
  server = await serve(folder.path, { demo: true })
})
afterEach(async () => {
  await server.close()
  await folder.remove()
})
const at = (one: RunningServer) => request(`http://127.0.0.1:${one.port}`)
const backupOf = async (one: RunningServer) => {
  const answer = await at(one)
    .get('/api/backup')
    .buffer(true)
    .parse(bytes as never)
  expect(answer.status).toBe(200)
  return answer.body as Buffer
}
function bytes(response: NodeJS.ReadableStream, done: (error: Error | null, body: Buffer) => void): void {
  const pieces: Buffer[] = []
  response.on('data', (piece: Buffer) => pieces.push(piece))
  response.on('end', () => {
    done(null, Buffer.concat(pieces))
  })
}
const put = (one: RunningServer, zip: Uint8Array, path = '/api/restore', word = '') =>
  at(one)
    .post(path)
    .set('Content-Type', 'application/zip')
    .set(WORD_HEADER, encodeURIComponent(word))
    .send(Buffer.from(zip))
const WORD = 'bench seven’s word'
const backupUnder = async (one: RunningServer, word: string) => {
  const answer = await at(one)
    .post('/api/backup')
    .send({ word })
    .buffer(true)
    .parse(bytes as never)
  expect(answer.status).toBe(200)
  return answer.body as Buffer
}
/** The zip as a file, unpacked into a folder. */
const unpacked = async (zip: Uint8Array) => {
  const place = await tempFolder()
  const path = join(place.path, 'backup.zip')
  writeFileSync(path, zip)
  const into = join(place.path, 'into')
  mkdirSync(into)
  const facts = await unpackBackup(path, into)
  const pictures = readdirSync(join(into, 'photographs')).map(
    (name) => [name.replace('.jpg', ''), readFileSync(join(into, 'photographs', name))] as const,
  )
  const journal = readFileSync(join(into, 'journal.jsonl'), 'utf8')
  await place.remove()
  return { facts, pictures, journal }
}
/** Puts a zip into a folder that holds nothing. */
const into = async (path: string, zip: Uint8Array, word: string | null = null) => {
  const place = await tempFolder()
  writeFileSync(join(place.path, 'backup.zip'), zip)
  try {
    return await restoreInto(path, join(place.path, 'backup.zip'), word)
  } finally {
    await place.remove()
  }
}
const first = async (one: RunningServer) => (await one.store.notebooks())[0]?.id as NotebookId
/** A backup with something in it changed, as it would be after damage or by hand. */
const changed = (zip: Uint8Array, change: (files: Record<string, Uint8Array>) => void) => {
  const files = unzipSync(zip)
  change(files)
  return zipSync(files)
}

describe('a backup', () => {
  test('holds journal, shelf and photographs, each with its sum, and says where every notebook stood', async () => {
    const { facts, pictures } = await unpacked(await backupOf(server))
    expect(facts.ledger).toBe(server.store.ledger)
    expect(facts.files.map(({ name }) => name)).toEqual(
      expect.arrayContaining(['journal.jsonl', 'shelf.jsonl', `photographs/${pictures[0]?.[0] ?? ''}.jpg`]),
    )
    const notebook = await first(server)
    expect(facts.notebooks).toEqual([
      expect.objectContaining({ id: notebook, ...(await server.store.head(notebook)) }),
    ])
    for (const [sha256, picture] of pictures)
      expect(createHash('sha256').update(picture).digest('hex')).toBe(sha256)
  })

  test('put into an empty folder is the very same ledger: lines, numbers, hashes, sealed answers, pictures', async () => {
    const zip = await backupUnder(server, WORD)
    const notebook = await first(server)
    const lines = await server.store.all(notebook)
    const head = await server.store.head(notebook)
    const other = await tempFolder()
    await into(other.path, zip, WORD)
    expect(await verifyFolder(other.path)).toMatchObject({ isAsExpected: true, remarks: [] })
    const again = await serve(other.path, { demo: true })
    expect(again.store.ledger).toBe(server.store.ledger)
    expect(await again.store.all(notebook)).toEqual(lines)
    expect(await again.store.head(notebook)).toEqual(head)
    const shelf = async (one: RunningServer) => (await at(one).get('/api/shelf')).body as object
    expect(await shelf(again)).toEqual(await shelf(server))
    const picture = lines.find(({ kind }) => kind === 'photographed')?.body as { sha256: string }
    expect((await at(again).get(`/api/photographs/${picture.sha256}`)).status).toBe(200)
    await expect(into(other.path, zip)).rejects.toThrow('is not empty')
    await again.close()
    await other.remove()
  })

  test('comes into a ledger at work with a look first; a second time nothing is new; what is there stays', async () => {
    const zip = await backupOf(server)
    const notebook = await first(server)
    const other = await tempFolder()
    const own = await serve(other.path)
    const mine = (await own.store.notebooks())[0]?.id as NotebookId
    await own.store.append(mine, [[line({ ledger: own.store.ledger, notebook: mine })]])
    const look = (await put(own, zip, '/api/restore/look')).body as Restored
    expect(look.isSameLedger).toBe(false)
    expect(look.notebooks).toEqual([expect.objectContaining({ id: notebook, here: 0, refused: 0 })])
    expect((await own.store.notebooks()).map(({ id }) => id)).toEqual([mine])
    const done = (await put(own, zip)).body as Restored
    expect(done).toEqual(look)
    expect(await own.store.all(notebook)).toEqual(await server.store.all(notebook))
    expect((await own.store.all(mine)).length).toBe(1)
    const twice = (await put(own, zip)).body as Restored
    expect(twice.notebooks.map(({ fresh }) => fresh)).toEqual([0])
    expect([twice.photographs.fresh, twice.shelf.fresh]).toEqual([0, 0])
    await own.close()
    await other.remove()
  })

  test('made while lines are written is whole, and holds everything acknowledged before', async () => {
    const notebook = await first(server)
    const home = { ledger: server.store.ledger, notebook }
    const acknowledged: string[] = []
    let isWriting = true
    const writing = (async () => {
      while (isWriting) {
        const one = line(home)
        await server.store.append(notebook, [[one]])
        acknowledged.push(one.id)
      }
    })()
    try {
      for (let times = 0; times < 5; times++) {
        const before = [...acknowledged]
        const { journal: text } = await unpacked(await backupOf(server))
        expect(text.endsWith('\n')).toBe(true)
        expect(before.filter((id) => !text.includes(id))).toEqual([])
      }
    } finally {
      isWriting = false
      await writing
    }
  })

  test('that is none, damaged, short or hostile is refused with a sentence, and nothing changes', async () => {
    const zip = await backupOf(server)
    const other = await tempFolder()
    const own = await serve(other.path)
    const before = await own.store.notebooks()
    const flipped = Buffer.from(zip)
    flipped.writeUInt8(flipped.readUInt8(2000) ^ 0xff, 2000)
    const facts = (files: Record<string, Uint8Array>) =>
      JSON.parse(strFromU8(files['backup.json'] as Uint8Array)) as {
        files: { name: string }[]
        notebooks: { seq: number }[]
      }
    const cases: readonly (readonly [Uint8Array, RegExp])[] = [
      [strToU8('no zip'), /cannot be unpacked/],
      [zipSync({ 'ro-crate-metadata.json': strToU8('{}') }), /no backup/],
      [zipSync({ 'backup.json': strToU8('[[[[') }), /cannot be read/],
      [flipped, /sum differs|cannot be unpacked|no backup/],
      [changed(zip, (files) => void delete files['shelf.jsonl']), /“shelf.jsonl” is missing/],
      [
        changed(zip, (files) => {
          files['journal.jsonl'] = (files['journal.jsonl'] as Uint8Array).slice(0, 5000)
        }),
        /sum differs/,
      ],
      [
        // Sums mended by hand: the chain of hashes still tells.
        changed(zip, (files) => {
          const text = strFromU8(files['journal.jsonl'] as Uint8Array).replace('1.804', '1.904')
          const journal = strToU8(text)
          const factsFile = facts(files)
          files['journal.jsonl'] = journal
          files['backup.json'] = strToU8(
            JSON.stringify({
              ...factsFile,
              files: factsFile.files.map((file) =>
                file.name === 'journal.jsonl'
                  ? {
                      name: file.name,
                      bytes: journal.length,
                      sha256: createHash('sha256').update(journal).digest('hex'),
                    }
                  : file,
              ),
            }),
          )
        }),
        /not as it was written/,
      ],
      [
        changed(zip, (files) => {
          const factsFile = facts(files)
          files['../../outside.txt'] = strToU8('out')
          files['backup.json'] = strToU8(
            JSON.stringify({
              ...factsFile,
              files: [...factsFile.files, { name: '../../outside.txt', bytes: 3, sha256: '0'.repeat(64) }],
            }),
          )
        }),
        /cannot be unpacked/,
      ],
    ]
    for (const [bad, sentence] of cases) {
      const answer = await put(own, bad)
      expect(answer.status).toBe(400)
      expect((answer.body as { detail: string }).detail).toMatch(sentence)
    }
    expect(await own.store.notebooks()).toEqual(before)
    await own.close()
    await other.remove()
  })

  test('from the command line, while the server runs, and back into an empty folder', async () => {
    const place = await tempFolder()
    const path = join(place.path, 'out.zip')
    const sentences: string[] = []
    // The command finds the server by the port in its lock.
    await server.close()
    server = await serve(folder.path, { port: await freePort() })
    const say = (sentence: string) => sentences.push(sentence)
    await backupTo(folder.path, path, { nowMs: Date.UTC(2026, 10, 24), word: null, say })
    expect(sentences.join(' ')).toContain('each held against its sum')
    const empty = join(place.path, 'folder')
    mkdirSync(empty)
    await restoreFrom(empty, path, { word: null, say })
    expect(sentences.join(' ')).toContain('Every entry follows from the one before it.')
    await expect(backupTo(folder.path, path, { nowMs: 0, word: null, say })).rejects.toThrow(
      'is there already',
    )
    const nowhere = join(place.path, 'no folder', 'out.zip')
    await expect(backupTo(folder.path, nowhere, { nowMs: 0, word: null, say })).rejects.toThrow(
      'There is no folder',
    )
    // Into the one that runs: nothing is new.
    sentences.length = 0
    await restoreFrom(folder.path, path, { word: null, say })
    expect(sentences[0]).toMatch(/lines, \d+ were here, 0 came back/)
    await expect(backupTo(empty, null, { nowMs: 0, word: null, say })).rejects.toThrow('No server runs')
    writeFileSync(path, readFileSync(path).subarray(0, 1000))
    await expect(restoreFrom(folder.path, path, { word: null, say })).rejects.toThrow()
    await expect(restoreInto(join(place.path, 'third'), path, null)).rejects.toThrow(HttpProblem)
    await place.remove()
  })

  test('what is kept where is told, with when it was flushed', async () => {
    const keeping = (await at(server).get('/api/keeping')).body as Keeping
    const notebook = await first(server)
    expect(keeping).toMatchObject({ folder: folder.path, isElsewhere: false, photographs: { count: 1 } })
    expect(keeping.journalBytes).toBe(readFileSync(join(folder.path, 'journal.jsonl')).length)
    expect(keeping.notebooks[0]).toMatchObject({ id: notebook, ...(await server.store.head(notebook)) })
    expect(keeping.flushedAt).toBeGreaterThan(0)
  })

  test('leaves sealed answers out, by whatever way it is asked for; under the instructor’s word they go along, locked', async () => {
    const golden = await readGolden()
    const secrets = closedSalts(golden)
    const plain = await backupOf(server)
    const locked = await backupUnder(server, WORD)
    for (const zip of [plain, locked]) {
      const files = unzipSync(zip)
      for (const secret of secrets)
        for (const bytes of Object.values(files)) expect(Buffer.from(bytes).includes(secret)).toBe(false)
      expect(strFromU8(files['shelf.jsonl'] as Uint8Array)).not.toContain('sealed answer')
    }
    expect(unzipSync(plain)['sealed-answers.json']).toBeUndefined()
    const short = await at(server).post('/api/backup').send({ word: 'short' })
    expect([short.status, (short.body as { detail: string }).detail]).toEqual([
      400,
      expect.stringContaining('at least 12 letters'),
    ])
    for (const [word, remark] of [
      [null, 'the instructor’s word opens them'],
      [WORD, null],
    ] as const) {
      const other = await tempFolder()
      const { remarks } = await into(other.path, locked, word)
      expect(remarks).toEqual(remark ? [expect.stringContaining(remark)] : [])
      const rows = readFileSync(join(other.path, 'shelf.jsonl'), 'utf8')
      for (const { salt } of golden.sealed) expect(rows.includes(salt)).toBe(word !== null)
      const verified = await verifyFolder(other.path)
      expect([verified.isAsExpected, verified.remarks.length]).toEqual([true, word === null ? 1 : 0])
      await other.remove()
    }
    const other = await tempFolder()
    await expect(into(other.path, locked, 'another word of twelve')).rejects.toThrow('word is wrong')
    expect(readdirSync(other.path)).toEqual([])
    const own = await serve(other.path)
    const refused = await put(own, locked, '/api/restore', 'another word of twelve')
    expect([refused.status, await own.store.notebooks()]).toEqual([403, [expect.anything()]])
    const done = (await put(own, locked, '/api/restore', WORD)).body as Restored
    expect(done.remarks).toEqual([])
    expect(readFileSync(join(other.path, 'shelf.jsonl'), 'utf8')).toContain(golden.sealed[0]?.salt)
    await own.close()
    await other.remove()
  })

  test('no address of the server gives a sealed answer away before it is opened', async () => {
    const salts = closedSalts(await readGolden())
    const notebook = await first(server)
    const asked = [
      '/api/about',
      '/api/notebooks',
      '/api/shelf',
      '/api/keeping',
      '/api/instruments',
      `/api/notebooks/${notebook}/entries`,
      `/api/notebooks/${notebook}/export`,
      ...['sealed answer', 'compound', 'solvent'].map(
        (sort) => `/api/shelf/${encodeURIComponent(sort)}/versions?id=x`,
      ),
    ]
    for (const path of asked) {
      const { text } = await at(server).get(path)
      for (const salt of salts) expect({ path, tells: text.includes(salt) }).toEqual({ path, tells: false })
    }
  })

  test('that claims too much is refused before it is unpacked, whatever is in it', async () => {
    const blanks = new Uint8Array(150_000_000).fill(32)
    const zip = zipSync({ 'journal.jsonl': blanks, 'backup.json': strToU8('{}') })
    expect(zip.length).toBeLessThan(300_000)
    const answer = await put(server, zip)
    expect([answer.status, (answer.body as { detail: string }).detail]).toEqual([
      400,
      expect.stringContaining('claims to hold more'),
    ])
    const packedTwice = await at(server)
      .post('/api/restore/look')
      .set('Content-Type', 'application/zip')
      .set('Content-Encoding', 'gzip')
      .send(Buffer.from(zip))
    expect(packedTwice.status).toBe(415)
    expect(readdirSync(folder.path).filter((name) => name.startsWith('restoring'))).toEqual([])
  })

  test('one at a time for everyone: who comes meanwhile is told when to come again', async () => {
    const answers = await Promise.all(
      Array.from({ length: 6 }, () =>
        at(server)
          .get('/api/backup')
          .buffer(true)
          .parse(bytes as never),
      ),
    )
    const statuses = answers.map(({ status }) => status)
    expect(statuses.filter((status) => status === 200)).toHaveLength(1)
    expect(statuses.filter((status) => status === 503)).toHaveLength(5)
    expect(answers.find(({ status }) => status === 503)?.headers['retry-after']).toBe('10')
  })

  test('with odd rows of a shelf brings back the rest, and the next start is as good', async () => {
    const zip = await backupOf(server)
    const row = { sort: 'compound', id: 'evil', version: 1, origin: 'own', createdAt: 1 }
    const odd: readonly object[] = [
      { ...row, body: { nonsense: true } },
      { ...row, body: null },
      { ...row, body: { id: 'evil' } },
      { ...row, createdAt: 'yesterday' },
      { ...row, id: 'a\0b', body: { takenOff: true } },
      { ...row, version: 2 ** 40, body: { takenOff: true } },
      { sort: 'compound', id: 'evil', version: 1, body: {} },
      { ...row, sort: 'sealed answer', body: { notebook: 'x' } },
    ]
    const other = await tempFolder()
    const bad = withFile(zip, 'shelf.jsonl', odd.map((one) => `${JSON.stringify(one)}\n`).join(''))
    const { remarks } = await into(other.path, bad)
    expect(remarks.filter((one) => one.startsWith('Row'))).toHaveLength(odd.length)
    // The same rows put into the file by hand.
    writeFileSync(join(other.path, 'shelf.jsonl'), odd.map((one) => `${JSON.stringify(one)}\n`).join(''))
    for (let start = 0; start < 2; start++) {
      const own = await serve(other.path)
      expect(
        ((await at(own).get('/api/shelf')).body as { compounds: object[] }).compounds.length,
      ).toBeGreaterThan(100)
      const { setAside } = (await at(own).get('/api/about')).body as { setAside: object[] }
      expect(setAside).toHaveLength(odd.length)
      const into = (await put(own, bad)).body as Restored
      expect(into.shelf).toEqual({ all: 0, fresh: 0 })
      await own.close()
    }
    await other.remove()
  })

  test('that was being brought in when the server ended goes in to its end at the next start', async () => {
    const zip = await backupOf(server)
    const notebook = await first(server)
    const other = await tempFolder()
    await into(join(other.path, 'whole'), zip)
    const own = await serve(join(other.path, 'own'))
    await own.close()
    // As it lies there between its check and its end.
    const staged = join(other.path, 'own', RESTORING)
    await into(staged, zip)
    writeFileSync(join(staged, 'answers.json'), '[]')
    mkdirSync(join(other.path, 'own', 'restoring.new'))
    const messages: string[] = []
    const again = await serve(join(other.path, 'own'), { say: (sentence) => messages.push(sentence) })
    expect(messages.join()).toContain('interrupted restore was completed')
    expect(await again.store.all(notebook)).toEqual(await server.store.all(notebook))
    expect(readdirSync(join(other.path, 'own')).filter((name) => name.startsWith('restoring'))).toEqual([])
    await again.close()
    await other.remove()
  })

  test('into a folder takes its place at once, and touches nothing that stands there', async () => {
    const zip = await backupOf(server)
    const place = await tempFolder()
    const holding = join(place.path, 'holding')
    mkdirSync(holding)
    writeFileSync(join(holding, 'shelf.jsonl'), '{"mine":1}\n')
    await expect(into(holding, zip)).rejects.toThrow('holds shelf.jsonl')
    expect(readFileSync(join(holding, 'shelf.jsonl'), 'utf8')).toBe('{"mine":1}\n')
    // What an interrupted one left beside it is no hindrance; what somebody else put there is not touched.
    const empty = join(place.path, 'empty')
    mkdirSync(empty, { mode: 0o755 })
    writeFileSync(join(empty, 'journal.jsonl'), '')
    mkdirSync(`${empty}.restoring`)
    writeFileSync(join(`${empty}.restoring`, 'journal.jsonl'), 'half')
    await into(empty, zip)
    expect((await verifyFolder(empty)).isAsExpected).toBe(true)
    expect(existsSync(`${empty}.restoring`)).toBe(false)
    const third = join(place.path, 'third')
    mkdirSync(`${third}.restoring`)
    writeFileSync(join(`${third}.restoring`, 'thesis.txt'), 'mine')
    await expect(into(third, zip)).rejects.toThrow('thesis.txt')
    expect(readFileSync(join(`${third}.restoring`, 'thesis.txt'), 'utf8')).toBe('mine')
    await place.remove()
  })
})

/** Salts of the answers that nobody has opened. */
function closedSalts({ sealed, entries }: GoldenFile): readonly string[] {
  const opened = JSON.stringify(entries.filter(({ kind }) => kind === 'answer opened'))
  const salts = sealed.map(({ salt }) => salt).filter((salt) => !opened.includes(salt))
  expect(salts.length).toBeGreaterThan(0)
  return salts
}

/** A backup with one of its files replaced, and its sum with it. */
function withFile(zip: Uint8Array, name: string, text: string): Uint8Array {
  return changed(zip, (files) => {
    const bytes = strToU8(text)
    const index = JSON.parse(strFromU8(files['backup.json'] as Uint8Array)) as { files: { name: string }[] }
    files[name] = bytes
    files['backup.json'] = strToU8(
      JSON.stringify({
        ...index,
        files: index.files.map((file) =>
          file.name === name
            ? { name, bytes: bytes.length, sha256: createHash('sha256').update(bytes).digest('hex') }
            : file,
        ),
      }),
    )
  })
}
