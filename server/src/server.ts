import { randomUUID } from 'node:crypto'
import { createServer, type IncomingMessage, type Server, type ServerResponse } from 'node:http'
import type { AddressInfo } from 'node:net'
import { join } from 'node:path'
import { Router } from 'express'
import { pino } from 'pino'
import { type Clock, SYSTEM_CLOCK } from './clock'
import { Expected } from './expected'
import { beginDemoFolder, FolderUnusable, makeFolder } from './folder'
import { type Database, openPglite } from './db/open'
import { openPostgres } from './db/postgres'
import { readGolden, writeDemo } from './demo'
import { exchangeRoutes } from './exchange/notebookFile'
import { createApp } from './http/app'
import type { BackupParts } from './backup/parts'
import { finishRestore } from './backup/restore'
import { backupRoutes } from './backup/routes'
import { photographRoutes } from './photographs/routes'
import { openPhotographs, type PhotographStore } from './photographs/store'
import { balanceRoutes, openBalance } from './instruments/balance'
import { openBench } from './instruments/bench'
import { instrumentRoutes } from './instruments/routes'
import { type FreeMB, freeMB, requireRoom } from './disk'
import { openLineFile } from './lineFile'
import type { Damage } from './ledger/journal'
import { takeLock } from './ledger/lock'
import type { OpenJournal } from './ledger/reconcile'
import { createStreams, type Streams } from './http/streams'
import { ledgerRoutes } from './ledger/routes'
import { openStore } from './ledger/store'
import type { LedgerStore } from './ledger/storeTypes'
import { both, streamRoutes } from './ledger/stream'
import { openShelfJournal } from './shelf/journal'
import { shelfRoutes } from './shelf/routes'
import { addOwnPoints, seedShelf } from './shelf/seed'
import { openShelf, type ShelfStore } from './shelf/shelf'
import { testingRoutes } from './testing/routes'
import { unknownRoutes } from './unknowns/routes'
import { contentsFor } from './unknowns/seals'

export interface ServerOptions {
  readonly folder: string
  readonly port: number
  readonly demo: boolean
  /** The demo begins anew: what an earlier one left in its folder is replaced. */
  readonly isFresh?: boolean
  /** The simulated instruments stand still until they are told to pass time; for tests. */
  readonly byHand: boolean
  readonly databaseUrl?: string | undefined
  readonly say: (sentence: string) => void
  readonly clock?: Clock
  /** Room on a disk; for tests. */
  readonly free?: FreeMB
}

export interface RunningServer {
  readonly port: number
  readonly store: LedgerStore
  close(): Promise<void>
}

/** A port another program has. */
export class PortTaken extends Expected {
  constructor(port: number) {
    super(
      `Port ${port} of 127.0.0.1 is taken by another program. Stop it, or choose another port with PORT=… .`,
    )
  }
}

/** How long a request that was taken may go on once the server is told to end, ms. */
const LAST_REQUESTS_MS = 5000

export async function startServer(options: ServerOptions): Promise<RunningServer> {
  const { folder, say, clock = SYSTEM_CLOCK, free = freeMB } = options
  const unlock = await ownFolder(folder, { port: options.port, startedAt: clock.now() })
  /** What is to be ended, the last begun first. */
  const steps: (() => Promise<unknown> | void)[] = [unlock]
  let ending: Promise<void> | null = null
  const end = async () => {
    for (const step of steps.splice(0).reverse()) await step()
  }
  const close = () => (ending ??= end())
  try {
    if (options.demo && options.isFresh) await beginDemoFolder(folder)
    if (!options.databaseUrl) await requireRoom(folder, free)
    const http = createServer(TIMES)
    const serve = holdRequests(http)
    const port = await listen(http, options.port)
    const streams = createStreams()
    steps.push(() => stopListening(http, streams))
    const photographs = openPhotographs(folder, () => requireRoom(folder, free))
    steps.push(() => photographs.close())
    const { store, shelf, damages } = await openLedger(options, { clock, free, port, photographs }, steps)
    const bench = await openBench(
      async () => (await shelf.read()).instruments,
      store,
      clock,
      options.byHand,
      (notebook, view) => contentsFor(shelf, notebook, view),
      say,
    )
    const balance = openBalance(store, clock, options.byHand)
    steps.push(
      () => store.settled(),
      () => bench.close(),
      () => {
        balance.close()
      },
      // Before anything behind it ends: no more is taken, and what was taken is answered.
      () => stopListening(http, streams),
    )
    const parts: BackupParts = {
      folder,
      isElsewhere: options.databaseUrl !== undefined,
      store,
      shelf,
      photographs,
      clock,
    }
    const finished = await finishRestore(parts)
    if (finished) say(finished)
    const run = randomUUID()
    const api = Router()
    api.use(ledgerRoutes(store), streamRoutes(store, both(bench, balance), streams, clock))
    api.use(photographRoutes(photographs))
    api.use(backupRoutes(parts))
    api.use(exchangeRoutes(store, clock), shelfRoutes(shelf), unknownRoutes(shelf, store, clock))
    api.use(instrumentRoutes(bench, streams, clock, options.byHand), balanceRoutes(balance, options.byHand))
    if (options.byHand) api.use(testingRoutes(store, shelf, photographs, bench, balance, clock))
    api.get('/about', (_request, response) => {
      response.json({
        ledger: store.ledger,
        run,
        demo: options.demo,
        byHand: options.byHand,
        now: clock.now(),
        setAside: [...store.setAside, ...damages].map(({ line, reason, isLoss }) => ({
          line,
          reason,
          isLoss,
        })),
      })
    })
    const log = pino({ level: process.env['LOG_LEVEL'] ?? 'warn' })
    serve(createApp({ api, port: () => port, log }))
    return { port, store, close }
  } catch (error) {
    await close()
    throw error
  }
}

/** Headers and bodies that come too slowly are not waited for; an idle connection is closed. */
const TIMES = {
  headersTimeout: 10_000,
  requestTimeout: 60_000,
  keepAliveTimeout: 10_000,
  connectionsCheckingInterval: 5_000,
}

/** Makes the folder where it is missing, and takes it. */
async function ownFolder(
  folder: string,
  holder: { port: number; startedAt: number },
): Promise<() => Promise<void>> {
  try {
    await makeFolder(folder)
    return await takeLock(folder, holder)
  } catch (error) {
    if (error instanceof Expected) throw error
    throw new FolderUnusable(folder, error as NodeJS.ErrnoException)
  }
}

async function openLedger(
  { folder, databaseUrl, demo, say }: ServerOptions,
  {
    clock,
    free,
    port,
    photographs,
  }: { clock: Clock; free: FreeMB; port: number; photographs: PhotographStore },
  steps: (() => Promise<unknown> | void)[],
): Promise<{ store: LedgerStore; shelf: ShelfStore; damages: readonly Damage[] }> {
  const golden = demo ? await readGolden() : null
  /** All that a start asks of the database. */
  const begin = async (db: Database, journal: OpenJournal | null, mayWrite: () => Promise<void>) => {
    const store = await openStore(db, journal, { clock, say, mayWrite })
    await seedShelf(db, clock)
    if (golden) await addOwnPoints(db, clock, golden.solubilities)
    const own = journal ? await openShelfJournal(join(folder, 'shelf.jsonl'), db, say) : null
    const shelf = openShelf(db, own?.journal ?? null, clock)
    await shelf.read()
    if ((await store.notebooks()).length === 0) {
      if (golden) await writeDemo(store, shelf, photographs, golden, clock)
      else await store.createNotebook({ title: 'My notebook' })
    }
    return { store, shelf, own }
  }
  if (databaseUrl) {
    const { db, close, requireHeld } = await openPostgres(databaseUrl, { port, say })
    steps.push(close)
    return { ...(await begin(db, null, requireHeld)), damages: [] }
  }
  const path = join(folder, 'journal.jsonl')
  const file = await openLineFile(path, say)
  steps.push(() => file.close())
  const { begun, close } = await openPglite(join(folder, 'database'), { say, free }, (db) =>
    begin(db, { file, path }, () => requireRoom(folder, free)),
  )
  steps.push(
    () => begun.own?.journal.close(),
    () => close(),
  )
  return { ...begun, damages: begun.own?.damages ?? [] }
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

/** Takes no more requests, ends the streams, and waits for what was taken; once only. */
async function stopListening(http: Server, streams: Streams): Promise<void> {
  if (!http.listening) return
  const closed = new Promise<void>((resolve) => {
    http.close(() => {
      resolve()
    })
  })
  streams.endAll('The server stops.')
  http.closeIdleConnections()
  const late = setTimeout(() => {
    http.closeAllConnections()
  }, LAST_REQUESTS_MS)
  await closed
  clearTimeout(late)
}
