import { randomBytes } from 'node:crypto'
import { mkdtemp, open, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { NotebookId } from '@ivory-crystal/core/ids'
import { nextId, type RawEntry } from '@ivory-crystal/core/notebook'
import { SYSTEM_CLOCK } from '../server/src/clock'
import { openPglite } from '../server/src/db/open'
import { freeMB } from '../server/src/disk'
import { startServer } from '../server/src/server'
import { ms, ratio, type Row } from './table'

const ROUNDS = 25
const BATCH = 50
const quiet = () => undefined

/** Batches of 50 posted over HTTP until answered, against the same rows inserted bare after a flushed file append. */
export async function measurePosting(): Promise<Row[]> {
  const folder = await mkdtemp(join(tmpdir(), 'ivory-bench-'))
  const server = await startServer({
    folder: join(folder, 'ours'),
    port: 0,
    demo: false,
    byHand: true,
    say: quiet,
  })
  const bare = await openPglite(join(folder, 'bare'), { say: quiet, free: freeMB }, (db) =>
    Promise.resolve(db),
  )
  const client = (
    bare.begun as unknown as { $client: { query(sql: string, values: unknown[]): Promise<unknown> } }
  ).$client
  await client.query(
    'create table bare (seq int, id uuid primary key, notebook uuid, kind text, subject text, recorded_at bigint, entry json)',
    [],
  )
  const file = await open(join(folder, 'bare.jsonl'), 'a')
  const [notebook] = await server.store.notebooks()
  const home = { ledger: server.store.ledger, notebook: notebook?.id as NotebookId }
  const ours: number[] = []
  const theirs: number[] = []
  for (let round = 0; round < ROUNDS + 3; round++) {
    const batch = lines(home)
    const from = performance.now()
    const response = await fetch(`http://127.0.0.1:${server.port}/api/notebooks/${home.notebook}/entries`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ groups: batch.map((entry) => [entry]) }),
    })
    await response.json()
    const between = performance.now()
    await file.appendFile(`${JSON.stringify(batch)}\n`)
    await file.datasync()
    const values = batch.flatMap((entry, i) => [
      round * BATCH + i,
      entry.id,
      entry.notebook,
      entry.kind,
      entry.subject,
      entry.at,
      JSON.stringify(entry),
    ])
    const places = batch
      .map((_, i) => `(${[1, 2, 3, 4, 5, 6, 7].map((n) => `$${i * 7 + n}`).join(',')})`)
      .join(',')
    await client.query(`insert into bare values ${places}`, values)
    if (round < 3) continue
    ours.push(between - from)
    theirs.push(performance.now() - between)
  }
  await file.close()
  await bare.close()
  await server.close()
  await rm(folder, { recursive: true, force: true })
  return [
    {
      what: `${BATCH} lines posted to stored (${ROUNDS} rounds)`,
      ours: ms(ours),
      bare: ms(theirs),
      ratio: ratio(ours, theirs),
      aim: 'at most × 2',
    },
  ]
}

let latest: string | null = null
function lines(home: Pick<RawEntry, 'ledger' | 'notebook'>): RawEntry[] {
  return Array.from({ length: BATCH }, (_, i): RawEntry => {
    const id = nextId(latest, SYSTEM_CLOCK.now(), randomBytes(8))
    latest = id
    return {
      id,
      v: 1,
      ...home,
      subject: '0a5a1c7e-0000-4000-8000-000000000101' as RawEntry['subject'],
      kind: 'observed',
      body: { station: 'crystallize', text: `needles, ${i} minutes after the flask came off the heat` },
      at: SYSTEM_CLOCK.now(),
      author: 'bench 7',
      device: 'bench',
    }
  })
}
