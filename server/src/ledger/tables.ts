import { randomUUID } from 'node:crypto'
import { asc, desc, eq, sql, type SQL } from 'drizzle-orm'
import type { LedgerId, NotebookId, StoredEntry } from '@ivory-crystal/core'
import type { Clock } from '../clock'
import type { Database } from '../db/open'
import { entries, ledgerMeta, notebooks } from '../db/schema'
import { type Journal, type JournalLine, readJournal } from './journal'

const META_LEDGER = 'ledger'
export const META_BYTES = 'journal bytes'

/** The lines as one parameter: their text reaches the table as it is. */
export function inserted(notebook: NotebookId, stored: readonly StoredEntry[]): SQL {
  return sql`
    insert into ${entries} (notebook, seq, recorded_at, id, kind, subject, entry)
      select ${notebook}::uuid, (line->>'seq')::bigint, (line->>'recordedAt')::bigint,
        (line->'entry'->>'id')::uuid, line->'entry'->>'kind', line->'entry'->>'subject', line->'entry'
      from json_array_elements(${JSON.stringify(stored)}::json) as line
      on conflict do nothing`
}

export async function insertLines(
  db: Pick<Database, 'execute' | 'update'>,
  notebook: NotebookId,
  stored: readonly StoredEntry[],
): Promise<void> {
  for (let i = 0; i < stored.length; i += 1000)
    await db.execute(inserted(notebook, stored.slice(i, i + 1000)))
  const last = stored[stored.length - 1]
  if (last)
    await db
      .update(notebooks)
      .set({ nextSeq: sql`greatest(${notebooks.nextSeq}, ${last.seq + 1})` })
      .where(eq(notebooks.id, notebook))
}

export async function newestId(db: Database): Promise<string | null> {
  const [row] = await db.select({ id: entries.id }).from(entries).orderBy(desc(entries.id)).limit(1)
  return row?.id ?? null
}

export async function isThere(db: Database, notebook: NotebookId): Promise<boolean> {
  const rows = await db.select({ id: notebooks.id }).from(notebooks).where(eq(notebooks.id, notebook))
  return rows.length > 0
}

export async function countedSeq(db: Database, notebook: NotebookId): Promise<number> {
  const [row] = await db.select({ next: notebooks.nextSeq }).from(notebooks).where(eq(notebooks.id, notebook))
  return row?.next ?? 1
}

export async function setMeta(db: Pick<Database, 'insert'>, key: string, value: string): Promise<void> {
  await db
    .insert(ledgerMeta)
    .values({ key, value })
    .onConflictDoUpdate({ target: ledgerMeta.key, set: { value } })
}

async function getMeta(db: Database, key: string): Promise<string | null> {
  const [row] = await db.select().from(ledgerMeta).where(eq(ledgerMeta.key, key))
  return row?.value ?? null
}

export async function ledgerId(db: Database, journal: Journal | null, clock: Clock): Promise<LedgerId> {
  const known = await getMeta(db, META_LEDGER)
  if (known) return known as LedgerId
  const id = randomUUID() as LedgerId
  await journal?.append({ line: 'ledger', id, createdAt: clock.now() })
  await db.transaction(async (tx) => {
    await setMeta(tx, META_LEDGER, id)
    if (journal) await setMeta(tx, META_BYTES, String(journal.bytes))
  })
  return id
}

/**
 * Makes database and journal say the same. The database holding as many bytes of the journal as there are is
 * the ordinary case and costs one query. Otherwise what only the journal has goes into the database, and what
 * only the database has (a journal that was taken away) goes into the journal.
 */
export async function reconcile(db: Database, journal: { file: Journal; path: string }): Promise<void> {
  if ((await getMeta(db, META_BYTES)) === String(journal.file.bytes) && journal.file.bytes > 0) return
  const lines = await readJournal(journal.path)
  await replay(db, lines)
  await completeJournal(db, journal.file, lines)
  await setMeta(db, META_BYTES, String(journal.file.bytes))
}

async function replay(db: Database, lines: readonly JournalLine[]): Promise<void> {
  await db.transaction(async (tx) => {
    for (const line of lines) {
      if (line.line === 'ledger') await setMeta(tx, META_LEDGER, line.id)
      else if (line.line === 'notebook')
        await tx
          .insert(notebooks)
          .values({ id: line.id, title: line.title, createdAt: line.createdAt, nextSeq: 1 })
          .onConflictDoNothing()
      else
        await insertLines(
          tx,
          line.notebook,
          line.entries.map((one) => ({ ...one, recordedAt: line.recordedAt })),
        )
    }
  })
}

async function completeJournal(db: Database, journal: Journal, lines: readonly JournalLine[]): Promise<void> {
  const ids = new Set(
    lines.flatMap((line): string[] =>
      line.line === 'batch' ? line.entries.map((one) => one.entry.id) : [line.id],
    ),
  )
  const ledger = await getMeta(db, META_LEDGER)
  if (ledger && !ids.has(ledger))
    await journal.append({ line: 'ledger', id: ledger as LedgerId, createdAt: 0 })
  for (const row of await db.select().from(notebooks)) {
    const notebook = row.id as NotebookId
    if (!ids.has(row.id))
      await journal.append({ line: 'notebook', id: notebook, title: row.title, createdAt: row.createdAt })
    const stored = await db
      .select()
      .from(entries)
      .where(eq(entries.notebook, row.id))
      .orderBy(asc(entries.seq))
    const missing = stored.filter((line) => !ids.has(line.id))
    if (missing[0])
      await journal.append({
        line: 'batch',
        notebook,
        recordedAt: missing[0].recordedAt,
        entries: missing.map(({ seq, entry }) => ({ seq, entry })),
      })
  }
}
