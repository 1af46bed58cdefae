import { mkdir } from 'node:fs/promises'
import { createServer, type IncomingMessage, type Server, type ServerResponse } from 'node:http'
import type { AddressInfo } from 'node:net'
import { join } from 'node:path'
import { Router } from 'express'
import { pino } from 'pino'
import { type Clock, SYSTEM_CLOCK } from './clock'
import { type Database, openPglite, openPostgres } from './db/open'
import { readGolden, writeDemo } from './demo'
import { exchangeRoutes } from './exchange/notebookFile'
import { createApp } from './http/app'
import { balanceRoutes, openBalance } from './instruments/balance'
import { openBench } from './instruments/bench'
import { instrumentRoutes } from './instruments/routes'
import { openJournal } from './ledger/journal'
import { takeLock } from './ledger/lock'
import { ledgerRoutes } from './ledger/routes'
import { type LedgerStore, openStore } from './ledger/store'
import { both, streamRoutes } from './ledger/stream'
import { putRows } from './shelf/items'
import { openShelfJournal, type ShelfJournal } from './shelf/journal'
import { shelfRoutes } from './shelf/routes'
import { addOwnPoints, seedShelf } from './shelf/seed'
import { openShelf } from './shelf/shelf'
import { testingRoutes } from './testing/routes'
import { unknownRoutes } from './unknowns/routes'
import { contentsFor } from './unknowns/seals'

export interface ServerOptions {
  readonly folder: string
  readonly port: number
  readonly demo: boolean
  /** The simulated instruments stand still until they are told to pass time; for tests. */
  readonly byHand: boolean
  readonly databaseUrl?: string | undefined
  readonly say: (sentence: string) => void
  readonly clock?: Clock
}

export interface RunningServer {
  readonly port: number
  readonly store: LedgerStore
  close(): Promise<void>
}

/** A port another program has. */
export class PortTaken extends Error {
  constructor(port: number) {
    super(
      `Port ${port} of 127.0.0.1 is taken by another program. Stop it, or choose another port with PORT=… .`,
    )
  }
}

export async function startServer(options: ServerOptions): Promise<RunningServer> {
  const { folder, say, clock = SYSTEM_CLOCK } = options
  await mkdir(folder, { recursive: true })
  const unlock = await takeLock(folder, { port: options.port, startedAt: clock.now() })
  const closing: (() => Promise<unknown>)[] = [unlock]
  const close = async () => {
    for (const step of closing.splice(0).reverse()) await step()
  }
  try {
    const http = createServer()
    const serve = holdRequests(http)
    const port = await listen(http, options.port)
    closing.push(() => stopListening(http))
    const { db, store } = await openLedger(options, clock, say, closing)
    const golden = options.demo ? await readGolden() : null
    await seedShelf(db, clock)
    if (golden) await addOwnPoints(db, clock, golden.solubilities)
    const shelf = openShelf(db, await ownShelf(options, db, closing), clock)
    if ((await store.notebooks()).length === 0) {
      if (golden) await writeDemo(store, shelf, golden, clock)
      else await store.createNotebook({ title: 'My notebook' })
    }
    const bench = await openBench(
      async () => (await shelf.read()).instruments,
      store,
      clock,
      options.byHand,
      (notebook, view) => contentsFor(shelf, notebook, view),
    )
    closing.push(() => bench.close())
    const balance = openBalance(store, clock, options.byHand)
    closing.push(async () => {
      balance.close()
    })
    const api = Router()
    api.use(ledgerRoutes(store), streamRoutes(store, both(bench, balance), clock))
    api.use(exchangeRoutes(store, clock), shelfRoutes(shelf), unknownRoutes(shelf, store))
    api.use(instrumentRoutes(bench, clock, options.byHand), balanceRoutes(balance, options.byHand))
    if (options.byHand) api.use(testingRoutes(store, shelf, bench, balance, clock))
    api.get('/about', (_request, response) => {
      response.json({ ledger: store.ledger, demo: options.demo, byHand: options.byHand, now: clock.now() })
    })
    const log = pino({ level: process.env['LOG_LEVEL'] ?? 'warn' })
    serve(createApp({ api, port: () => port, log }))
    return { port, store, close }
  } catch (error) {
    await close()
    throw error
  }
}

async function openLedger(
  { folder, databaseUrl }: ServerOptions,
  clock: Clock,
  say: (sentence: string) => void,
  closing: (() => Promise<unknown>)[],
) {
  if (databaseUrl) {
    const { db, close } = await openPostgres(databaseUrl)
    closing.push(close)
    return { db, store: await openStore(db, null, clock) }
  }
  const path = join(folder, 'journal.jsonl')
  const file = await openJournal(path, say)
  closing.push(() => file.close())
  const { db, close } = await openPglite(join(folder, 'database'), say)
  closing.push(close)
  return { db, store: await openStore(db, { file, path }, clock) }
}

/** The journal of what the lab put on the shelf; a database that lacks any of it is brought up to it. */
async function ownShelf(
  { folder, databaseUrl }: ServerOptions,
  db: Database,
  closing: (() => Promise<unknown>)[],
): Promise<ShelfJournal | null> {
  if (databaseUrl) return null
  const { journal, rows } = await openShelfJournal(join(folder, 'shelf.jsonl'))
  closing.push(() => journal.close())
  await putRows(db, rows)
  return journal
}

type Answerer = (request: IncomingMessage, response: ServerResponse) => void

/** Requests that come before the ledger is open wait for it. */
function holdRequests(http: Server): (answer: Answerer) => void {
  const early: Parameters<Answerer>[] = []
  const hold: Answerer = (request, response) => {
    early.push([request, response])
  }
  http.on('request', hold)
  return (answer) => {
    http.off('request', hold)
    http.on('request', answer)
    for (const [request, response] of early) answer(request, response)
  }
}

function listen(http: Server, port: number): Promise<number> {
  return new Promise((resolve, reject) => {
    http.once('error', (error: NodeJS.ErrnoException) => {
      reject(error.code === 'EADDRINUSE' ? new PortTaken(port) : error)
    })
    http.listen(port, '127.0.0.1', () => {
      resolve((http.address() as AddressInfo).port)
    })
  })
}

function stopListening(http: Server): Promise<void> {
  return new Promise((resolve) => {
    http.close(() => {
      resolve()
    })
    http.closeAllConnections()
  })
}
