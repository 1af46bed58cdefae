import { randomBytes } from 'node:crypto'
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { NotebookId } from '@ivory-crystal/core/ids'
import { nextId, type RawEntry } from '@ivory-crystal/core/notebook'
import { SYSTEM_CLOCK } from '../server/src/clock'
import { startServer } from '../server/src/server'
import { postgresPrograms, throwawayCluster } from '../server/src/testing/postgres'
import type { Row } from './table'

const WRITERS = 200
const SECONDS = 60

/** A class that writes: so many devices at one line a second each, over HTTP, until answered; on either database. */
export async function measureWriters(): Promise<Row[]> {
  const rows = [await writersOn('PGlite and journal')]
  const programs = await postgresPrograms()
  if (!programs) return rows
  const cluster = await throwawayCluster(programs)
  try {
    return [...rows, await writersOn('a PostgreSQL server', cluster.url)]
  } finally {
    await cluster.remove()
  }
}

async function writersOn(database: string, databaseUrl?: string): Promise<Row> {
  const folder = await mkdtemp(join(tmpdir(), 'ivory-writers-'))
  const server = await startServer({
    folder,
    databaseUrl,
    port: 0,
    demo: false,
    byHand: true,
    say: () => undefined,
  })
  const [notebook] = await server.store.notebooks()
  const home = { ledger: server.store.ledger, notebook: notebook?.id as NotebookId }
  const times: number[] = []
  let refused = 0
  await Promise.all(
    Array.from({ length: WRITERS }, async (_, writer) => {
      await new Promise((resolve) => setTimeout(resolve, (1000 * writer) / WRITERS))
      for (let second = 0; second < SECONDS; second++) {
        const from = performance.now()
        const response = await fetch(
          `http://127.0.0.1:${server.port}/api/notebooks/${home.notebook}/entries`,
          {
            method: 'POST',
            headers: { 'Content-Type': 'application/json' },
            body: JSON.stringify({ groups: [[line(home, writer)]] }),
          },
        )
        await response.text()
        if (!response.ok) refused += 1
        times.push(performance.now() - from)
        await new Promise((resolve) => setTimeout(resolve, Math.max(0, 1000 - (performance.now() - from))))
      }
    }),
  )
  await server.close()
  await rm(folder, { recursive: true, force: true })
  times.sort((p, q) => p - q)
  const at = (share: number) => `${(times[Math.floor(share * (times.length - 1))] ?? NaN).toFixed(0)} ms`
  return {
    what: `${WRITERS} writers, a line a second each, ${SECONDS} s, on ${database}: p50 / p99 / longest`,
    ours: `${at(0.5)} / ${at(0.99)} / ${at(1)}${refused > 0 ? `, ${refused} refused` : ''}`,
    bare: '',
    ratio: '',
    aim: 'p99 under 250 ms',
  }
}

function line(home: Pick<RawEntry, 'ledger' | 'notebook'>, writer: number): RawEntry {
  return {
    id: nextId(null, SYSTEM_CLOCK.now(), randomBytes(8)),
    v: 1,
    ...home,
    subject: '0a5a1c7e-0000-4000-8000-000000000101' as RawEntry['subject'],
    kind: 'observed',
    body: { station: 'crystallize', text: `seen by writer ${writer}` },
    at: SYSTEM_CLOCK.now(),
    author: 'bench 7',
    device: 'bench',
  }
}
