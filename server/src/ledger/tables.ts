import { and, asc, count, desc, eq, gt, gte, max, sql, type SQL } from 'drizzle-orm'
import type { LedgerId, NotebookId } from '@ivory-crystal/core/ids'
import type { Database } from '../db/open'
import { entries, ledgerMeta, notebooks } from '../db/schema'
import type { HashedLine } from './chain'

const META_LEDGER = 'ledger'
/** Lines read or written in one statement. */
const AT_ONCE = 1000

/** A line with the notebook it is of. */
export interface PlacedLine extends HashedLine {
  readonly notebook: NotebookId
}

/** The lines as one parameter: their text reaches the table as it is. */
export function inserted(lines: readonly PlacedLine[]): SQL {
  const rows = lines.map(({ notebook, seq, recordedAt, entry, hash }) => {
    const { id, kind, subject } = entry
    return { notebook, seq, recorded_at: recordedAt, id, kind, subject, entry, hash }
  })
  return sql`
    insert into ${entries} (notebook, seq, recorded_at, id, kind, subject, entry, hash)
      select notebook, seq, recorded_at, id, kind, subject, entry, hash
      from json_to_recordset(${JSON.stringify(rows)}::json) as line(notebook uuid, seq bigint,
        recorded_at bigint, id uuid, kind text, subject text, entry json, hash text)`
}

function putRight(lines: readonly PlacedLine[]): SQL {
  return sql`${inserted(lines)}
      on conflict (notebook, seq) do update set recorded_at = excluded.recorded_at, id = excluded.id,
        kind = excluded.kind, subject = excluded.subject, entry = excluded.entry, hash = excluded.hash
        where entries.hash is distinct from excluded.hash or entries.entry::text <> excluded.entry::text
          or entries.recorded_at <> excluded.recorded_at`
}

/**
 * Puts lines into the table; one that is there already and says something else is put right.
 *
 * @param isNew the table holds none of them, so that none need be looked for
 */
export async function putLines(
  db: Pick<Database, 'execute'>,
  lines: readonly PlacedLine[],
  isNew = false,
): Promise<void> {
  for (let i = 0; i < lines.length; i += AT_ONCE) {
    const some = lines.slice(i, i + AT_ONCE)
    await db.execute(isNew ? inserted(some) : putRight(some))
  }
}

/**
 * Fills an empty table: its keys and indexes are made once, after the lines are in, which takes two thirds of the time.
 *
 * @param fill puts the lines in; none of them twice
 */
export async function fillEmpty(db: Pick<Database, 'execute'>, fill: () => Promise<void>): Promise<void> {
  await db.execute(sql`drop index entries_kind`)
  await db.execute(
    sql`alter table entries drop constraint entries_id_unique, drop constraint entries_notebook_seq_pk`,
  )
  await fill()
  await db.execute(
    sql`alter table entries add constraint entries_notebook_seq_pk primary key (notebook, seq),
      add constraint entries_id_unique unique (id)`,
  )
  await db.execute(sql`create index entries_kind on entries (kind)`)
}

/** Takes the lines of a notebook out of the table, from a number on. */
export async function dropLines(db: Database, notebook: NotebookId, from: number): Promise<void> {
  await db.delete(entries).where(and(eq(entries.notebook, notebook), gte(entries.seq, from)))
}

/** Every line of a notebook after a number, in order, some at a time. */
export async function* linesAfter(
  db: Database,
  notebook: NotebookId,
  seq: number,
): AsyncGenerator<readonly HashedLine[]> {
  for (let after = seq; ;) {
    const rows = await db
      .select({
        seq: entries.seq,
        recordedAt: entries.recordedAt,
        entry: entries.entry,
        hash: entries.hash,
      })
      .from(entries)
      .where(and(eq(entries.notebook, notebook), gt(entries.seq, after)))
      .orderBy(asc(entries.seq))
      .limit(AT_ONCE)
    if (rows.length === 0) return
    yield rows.map((row) => ({ ...row, hash: row.hash ?? '' }))
    after = rows[rows.length - 1]?.seq ?? after
    if (rows.length < AT_ONCE) return
  }
}

export async function newestId(db: Database): Promise<string | null> {
  const [row] = await db.select({ id: entries.id }).from(entries).orderBy(desc(entries.id)).limit(1)
  return row?.id ?? null
}

/** What there is of one notebook: its name, how many lines, the last of them. */
export interface DatabaseState {
  readonly title: string
  readonly createdAt: number
  readonly count: number
  readonly seq: number
  readonly hash: string
}
export interface Survey {
  readonly ledger: LedgerId | null
  readonly notebooks: ReadonlyMap<NotebookId, DatabaseState>
}

/** What the database holds, notebook by notebook. */
export async function surveyDatabase(db: Database): Promise<Survey> {
  const rows = await db.select().from(notebooks).orderBy(asc(notebooks.createdAt), asc(notebooks.id))
  const counts = await db
    .select({ notebook: entries.notebook, count: count(), seq: max(entries.seq) })
    .from(entries)
    .groupBy(entries.notebook)
  const held = new Map<NotebookId, DatabaseState>()
  for (const { id, title, createdAt } of rows) {
    const counted = counts.find(({ notebook }) => notebook === id)
    const seq = Number(counted?.seq ?? 0)
    const [last] = await db
      .select({ hash: entries.hash })
      .from(entries)
      .where(and(eq(entries.notebook, id), eq(entries.seq, seq)))
    held.set(id as NotebookId, { title, createdAt, count: counted?.count ?? 0, seq, hash: last?.hash ?? '' })
  }
  return { ledger: (await getMeta(db, META_LEDGER)) as LedgerId | null, notebooks: held }
}

export async function putNotebook(
  db: Pick<Database, 'insert'>,
  row: { readonly id: NotebookId; readonly title: string; readonly createdAt: number },
): Promise<void> {
  const { title, createdAt } = row
  await db
    .insert(notebooks)
    .values(row)
    .onConflictDoUpdate({ target: notebooks.id, set: { title, createdAt } })
}

export async function setLedgerId(db: Pick<Database, 'insert'>, id: LedgerId): Promise<void> {
  await db
    .insert(ledgerMeta)
    .values({ key: META_LEDGER, value: id })
    .onConflictDoUpdate({ target: ledgerMeta.key, set: { value: id } })
}

async function getMeta(db: Database, key: string): Promise<string | null> {
  const [row] = await db.select().from(ledgerMeta).where(eq(ledgerMeta.key, key))
  return row?.value ?? null
}
