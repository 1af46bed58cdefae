import { runInNewContext } from 'node:vm'
import { afterAll, beforeAll, describe, expect, jest, test } from '@jest/globals'
import type { NotebookId } from '@ivory-crystal/core/ids'
import { fold, type RawEntry } from '@ivory-crystal/core/notebook'
import type { Shelf } from '@ivory-crystal/core/wire'
import { Client } from 'pg'
import request from 'supertest'
import { ledgerContract } from '../../../core/golden/contract'
import { carryOver } from '../carry'
import type { RunningServer } from '../server'
import { line, serve, tempFolder } from '../testing/bench'
import { type Cluster, postgresPrograms, throwawayCluster } from '../testing/postgres'
import { DatabaseAway, DatabaseHeld, isAway, openPostgres } from './postgres'

const bin = await postgresPrograms()

const ofTheSystem = (code: string): unknown =>
  runInNewContext(`Object.assign(new Error('read ${code}'), { code: '${code}' })`)

test.each([
  ['a connection reset, of another realm', ofTheSystem('ECONNRESET')],
  ['the same under a failed query', new Error('Failed query', { cause: ofTheSystem('EPIPE') })],
  ['one of several addresses', new AggregateError([ofTheSystem('ECONNREFUSED')], '')],
  ['a server that is shutting down', Object.assign(new Error('admin'), { code: '57P01' })],
  ['a client that broke before', new Error('Client has encountered a connection error and is not queryable')],
  ['the lock not held', new DatabaseAway()],
])('%s says that the database is away', (_, error) => {
  expect(isAway(error)).toBe(true)
})

test.each([
  ['a line that is there already', Object.assign(new Error('duplicate key'), { code: '23505' })],
  ['a full disk', ofTheSystem('ENOSPC')],
  ['nothing', null],
  ['a word', 'terminating connection'],
])('%s does not', (_, error) => {
  expect(isAway(error)).toBe(false)
})

if (bin === null)
  test.skip('a PostgreSQL server keeps the contract too (PostgreSQL is not on this machine)', () => undefined)
else
  describe('a PostgreSQL server in place of PGlite and journal', () => {
    let cluster: Cluster
    let folder: Awaited<ReturnType<typeof tempFolder>>
    let server: RunningServer
    const sentences: string[] = []
    const open = async () => {
      server = await serve(folder.path, {
        databaseUrl: cluster.url,
        say: (sentence) => sentences.push(sentence),
      })
    }
    const at = () => `http://127.0.0.1:${server.port}`
    const first = async () => (await server.store.notebooks())[0]?.id as NotebookId
    beforeAll(async () => {
      cluster = await throwawayCluster(bin)
      folder = await tempFolder()
      await open()
    })
    afterAll(async () => {
      await server.close()
      await folder.remove()
      await cluster.remove()
    })

    ledgerContract(
      'a PostgreSQL server',
      async () => ({
        ledger: server.store.ledger,
        notebook: (await server.store.createNotebook({ title: 'empty' })).id,
      }),
      async (lines) => {
        const notebook = (lines[0] as RawEntry).notebook
        await server.store.append(
          notebook,
          lines.map((one) => [one]),
        )
        return server.store.all(notebook)
      },
    )

    test('a second server is told who has it, and stops', async () => {
      const other = await tempFolder()
      const second = serve(other.path, { databaseUrl: cluster.url })
      await expect(second).rejects.toThrow(DatabaseHeld)
      await expect(second).rejects.toThrow(`port ${server.port}, process ${process.pid}`)
      await other.remove()
    })

    test('keeps its ledger, the shelf’s versions and the sealed answers over a restart of the server', async () => {
      const { ledger } = server.store
      const notebook = await first()
      const rows = [
        {
          id: 'own-solvent',
          name: 'own solvent',
          boilingPointC: 80,
          freezingPointC: null,
          densityGPerML20: 1,
          flashPointC: null,
          group: 'other',
          waterMiscible: 'no',
          hazards: [],
          source: 'bottle',
        },
      ]
      await request(at()).post('/api/shelf/solvent').send({ rows, dryRun: false })
      const unknown = '0a5a1c7e-0000-4000-8000-0000000000cc'
      const asked = { notebook, unknown, compound: 'glutaric-acid', purity: 0.98 }
      expect((await request(at()).post('/api/seals').send(asked)).status).toBe(201)
      await server.close()
      await open()
      expect(server.store.ledger).toBe(ledger)
      const shelf = (await request(at()).get('/api/shelf')).body as Shelf
      expect(shelf.solvents.some(({ id }) => id === 'own-solvent')).toBe(true)
      expect((await request(at()).post('/api/seals').send(asked)).status).toBe(409)
    })

    test('outlives a restart of the database: what is written waits with 503, then goes on, nothing lost', async () => {
      const notebook = await first()
      const home = { ledger: server.store.ledger, notebook }
      const post = (one: RawEntry) =>
        request(at())
          .post(`/api/notebooks/${notebook}/entries`)
          .send({ groups: [[one]] })
      const acknowledged: string[] = []
      const statuses = new Set<number>()
      let isWriting = true
      const writing = (async () => {
        while (isWriting) {
          const one = line(home)
          const response = await post(one)
          statuses.add(response.status)
          if (response.status === 200) acknowledged.push(one.id)
          else
            expect({ status: response.status, after: response.headers['retry-after'] }).toEqual({
              status: 503,
              after: '2',
            })
        }
      })()
      await new Promise((resolve) => setTimeout(resolve, 300))
      await cluster.restart()
      for (let tries = 0; tries < 60; tries++) {
        if ((await post(line(home))).status === 200) break
        await new Promise((resolve) => setTimeout(resolve, 250))
      }
      isWriting = false
      await writing
      expect([...statuses].filter((status) => status !== 200 && status !== 503)).toEqual([])
      const ids = (await server.store.all(notebook)).map(({ id }) => id as string)
      expect(acknowledged.filter((id) => !ids.includes(id))).toEqual([])
      expect(new Set(ids).size).toBe(ids.length)
      expect(sentences.join()).toContain('The database is back.')
    })

    test('a connection that breaks as a transaction begins is given back', async () => {
      const own = await throwawayCluster(bin)
      const { db, close } = await openPostgres(own.url, { port: 0, say: () => undefined })
      const isBegin = (asked: unknown) => (asked as { text?: string } | undefined)?.text === 'begin'
      const query = Client.prototype.query as (...given: unknown[]) => unknown
      const broken = jest.spyOn(Client.prototype, 'query').mockImplementation(function (
        this: Client,
        ...given: unknown[]
      ) {
        return isBegin(given[0])
          ? Promise.reject(new Error('Connection terminated unexpectedly'))
          : query.apply(this, given)
      })
      // More than there are connections: none may be kept by the one before.
      for (let tries = 0; tries < 20; tries++)
        await expect(db.transaction(() => Promise.resolve(1))).rejects.toThrow()
      broken.mockRestore()
      await expect(db.transaction(() => Promise.resolve(1))).resolves.toBe(1)
      await close()
      await own.remove()
    })

    test('a data folder is carried over, and both are equal', async () => {
      const from = await tempFolder()
      const own = await serve(from.path, { demo: true })
      const id = (await own.store.notebooks())[0]?.id as NotebookId
      const lines = await own.store.all(id)
      const head = await own.store.head(id)
      await own.close()
      const other = await throwawayCluster(bin)
      const notices: string[] = []
      await carryOver(from.path, other.url, (sentence) => notices.push(sentence))
      await carryOver(from.path, other.url, () => undefined)
      expect(notices.join()).toContain('equals the folder exactly')
      const there = await serve(from.path, { databaseUrl: other.url })
      expect(await there.store.all(id)).toEqual(lines)
      expect(await there.store.head(id)).toEqual(head)
      expect(fold([...lines]).subjects.size).toBeGreaterThan(5)
      await there.close()
      await expect(carryOver(from.path, cluster.url, () => undefined)).rejects.toThrow(
        /in use|another ledger/,
      )
      await other.remove()
      await from.remove()
    })
  })
