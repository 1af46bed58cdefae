import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import { createHash } from 'node:crypto'
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import request from 'supertest'
import type { Keeping, NotebookId, Restored } from '@ivory-crystal/core'
import { HttpProblem } from '../http/problem'
import { freePort } from '../../../scripts/free-port.mjs'
import type { RunningServer } from '../server'
import { line, serve, tempFolder } from '../testing/bench'
import { verifyFolder } from '../verify'
import { backupTo, restoreFrom } from './command'
import { readBackup } from './read'
import { restoreInto } from './restore'

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
const put = (one: RunningServer, zip: Uint8Array, path = '/api/restore') =>
  at(one).post(path).set('Content-Type', 'application/zip').send(Buffer.from(zip))
const first = async (one: RunningServer) => (await one.store.notebooks())[0]?.id as NotebookId
/** A backup with something in it changed, as it would be after damage or by hand. */
const changed = (zip: Uint8Array, change: (files: Record<string, Uint8Array>) => void) => {
  const files = unzipSync(zip)
  change(files)
  return zipSync(files)
}

describe('a backup', () => {
  test('holds journal, shelf and photographs, each with its sum, and says where every notebook stood', async () => {
    const { facts, pictures } = readBackup(await backupOf(server))
    expect(facts.ledger).toBe(server.store.ledger)
    expect(facts.files.map(({ name }) => name)).toEqual(
      expect.arrayContaining([
        'journal.jsonl',
        'shelf.jsonl',
        `photographs/${[...pictures.keys()][0] ?? ''}.jpg`,
      ]),
    )
    const notebook = await first(server)
    expect(facts.notebooks).toEqual([
      expect.objectContaining({ id: notebook, ...(await server.store.head(notebook)) }),
    ])
    for (const [sha256, picture] of pictures)
      expect(createHash('sha256').update(picture).digest('hex')).toBe(sha256)
  })

  test('put into an empty folder is the very same ledger: lines, numbers, hashes, sealed answers, pictures', async () => {
    const zip = await backupOf(server)
    const notebook = await first(server)
    const lines = await server.store.all(notebook)
    const head = await server.store.head(notebook)
    const other = await tempFolder()
    await restoreInto(other.path, zip)
    expect((await verifyFolder(other.path)).damages).toEqual([])
    const again = await serve(other.path, { demo: true })
    expect(again.store.ledger).toBe(server.store.ledger)
    expect(await again.store.all(notebook)).toEqual(lines)
    expect(await again.store.head(notebook)).toEqual(head)
    const shelf = async (one: RunningServer) => (await at(one).get('/api/shelf')).body as object
    expect(await shelf(again)).toEqual(await shelf(server))
    const picture = lines.find(({ kind }) => kind === 'photographed')?.body as { sha256: string }
    expect((await at(again).get(`/api/photographs/${picture.sha256}`)).status).toBe(200)
    await expect(restoreInto(other.path, zip)).rejects.toThrow('holds a notebook already')
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
        const { journal } = readBackup(await backupOf(server))
        const text = strFromU8(journal)
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
          const told = facts(files)
          files['journal.jsonl'] = journal
          files['backup.json'] = strToU8(
            JSON.stringify({
              ...told,
              files: told.files.map((file) =>
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
          const told = facts(files)
          files['../../outside.txt'] = strToU8('out')
          files['backup.json'] = strToU8(
            JSON.stringify({
              ...told,
              files: [...told.files, { name: '../../outside.txt', bytes: 3, sha256: '0'.repeat(64) }],
            }),
          )
        }),
        /outside.txt” is missing/,
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
    const said: string[] = []
    // The command finds the server by the port in its lock.
    await server.close()
    server = await serve(folder.path, { port: await freePort() })
    await backupTo(folder.path, path, Date.UTC(2026, 10, 24), (sentence) => said.push(sentence))
    expect(said.join(' ')).toContain('each held against its sum')
    const empty = join(place.path, 'folder')
    mkdirSync(empty)
    await restoreFrom(empty, path, (sentence) => said.push(sentence))
    expect(said.join(' ')).toContain('Every line is as it was written.')
    // Into the one that runs: nothing is new.
    said.length = 0
    await restoreFrom(folder.path, path, (sentence) => said.push(sentence))
    expect(said[0]).toMatch(/lines, \d+ were here, 0 came back/)
    await expect(backupTo(empty, null, 0, () => undefined)).rejects.toThrow('No server runs')
    writeFileSync(path, readFileSync(path).subarray(0, 1000))
    await expect(restoreFrom(folder.path, path, () => undefined)).rejects.toThrow()
    await expect(restoreInto(join(place.path, 'third'), readFileSync(path))).rejects.toThrow(HttpProblem)
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
})
