import {
  countedSeq,
  inserted,
  insertLines,
  isThere,
  ledgerId,
  META_BYTES,
  newestId,
  reconcile,
  setMeta,
} from './tables'
import { queue } from '../queue'
import { randomBytes, randomUUID } from 'node:crypto'
import { and, asc, eq, gt, inArray, sql } from 'drizzle-orm'
import {
  type Answer,
  type EntryId,
  latestOf,
  type LedgerId,
  nextId,
  type NotebookId,
  type NotebookRow,
  type RawEntry,
  type StoredEntry,
} from '@ivory-crystal/core'
import type { Clock } from '../clock'
import type { Database } from '../db/open'
import { entries, ledgerMeta, notebooks } from '../db/schema'
import type { Journal } from './journal'
import { idOf, type Known, sortOut, UUID } from './sortOut'

interface AppendOptions {
  /** Lines written on another ledger are taken too, as when a notebook is imported. */
  readonly fromElsewhere?: boolean
}

export interface LedgerStore {
  readonly ledger: LedgerId
  notebooks(): Promise<readonly NotebookRow[]>
  createNotebook(row: { id?: NotebookId; title: string }): Promise<NotebookRow>
  /**
   * Stores groups of lines; each group goes in whole or not at all. Flushed to the journal before the answer.
   * @returns one answer for each line, in order; null when there is no such notebook
   */
  append(
    notebook: NotebookId,
    groups: readonly (readonly unknown[])[],
    options?: AppendOptions,
  ): Promise<readonly Answer[] | null>
  /** Lines after a sequence number, in order. */
  after(notebook: NotebookId, seq: number, most?: number): Promise<readonly StoredEntry[]>
  /** Latest line of a kind in any notebook, by id; null when there is none. */
  ofKind(kind: string): Promise<readonly RawEntry[]>
  ofSubject(notebook: NotebookId, subject: string): Promise<readonly RawEntry[]>
  /** A new id after everything this ledger holds. */
  newId(random?: Uint8Array): EntryId
  onStored(listen: (notebook: NotebookId, stored: readonly StoredEntry[]) => void): () => void
}

/**
 * The ledger over a database and, with PGlite, a flushed journal beside it.
 *
 * @param journal null when the database is a server that flushes by itself
 */
export async function openStore(
  db: Database,
  journal: { file: Journal; path: string } | null,
  clock: Clock,
): Promise<LedgerStore> {
  if (journal) await reconcile(db, journal)
  const ledger = await ledgerId(db, journal?.file ?? null, clock)
  /** Greatest id that is stored: a later one cannot be known yet. */
  let newest = await newestId(db)
  let latest: string | null = newest
  /** With a journal this process is the only writer, so it counts by itself. */
  const nextSeq = new Map<NotebookId, number>()
  let suspect = false
  const listeners = new Set<(notebook: NotebookId, stored: readonly StoredEntry[]) => void>()
  const inTurn = queue()

  async function write(notebook: NotebookId, accepted: readonly RawEntry[]): Promise<StoredEntry[]> {
    const stored = journal
      ? await writeAlone(journal.file, notebook, accepted)
      : await writeShared(notebook, accepted)
    for (const { entry } of stored) newest = latestOf(newest, entry.id)
    return stored
  }

  /** One flushed append to the journal, then one statement that the database takes whole or not at all. */
  async function writeAlone(
    file: Journal,
    notebook: NotebookId,
    accepted: readonly RawEntry[],
  ): Promise<StoredEntry[]> {
    const from = nextSeq.get(notebook) ?? (await countedSeq(db, notebook))
    const recordedAt = clock.now()
    const stored = accepted.map((entry, i) => ({ seq: from + i, recordedAt, entry }))
    suspect = true
    await file.append({
      line: 'batch',
      notebook,
      recordedAt,
      entries: stored.map(({ seq, entry }) => ({ seq, entry })),
    })
    await db.execute(sql`
      with lines as (${inserted(notebook, stored)}),
        counted as (update ${notebooks} set next_seq = ${from + stored.length} where id = ${notebook})
      insert into ${ledgerMeta} (key, value) values (${META_BYTES}, ${String(file.bytes)})
        on conflict (key) do update set value = excluded.value`)
    nextSeq.set(notebook, from + stored.length)
    return stored
  }

  /** A database that others may write to as well counts for all of them. */
  async function writeShared(notebook: NotebookId, accepted: readonly RawEntry[]): Promise<StoredEntry[]> {
    return db.transaction(async (tx) => {
      const [row] = await tx
        .select({ nextSeq: notebooks.nextSeq })
        .from(notebooks)
        .where(eq(notebooks.id, notebook))
        .for('update')
      const recordedAt = clock.now()
      const stored = accepted.map((entry, i) => ({ seq: (row?.nextSeq ?? 1) + i, recordedAt, entry }))
      await insertLines(tx, notebook, stored)
      return stored
    })
  }

  return {
    ledger,
    async notebooks() {
      const rows = await db.select().from(notebooks).orderBy(asc(notebooks.createdAt), asc(notebooks.id))
      return rows.map(({ id, title, createdAt }) => ({ id: id as NotebookId, title, createdAt }))
    },
    createNotebook: (row) =>
      inTurn(async () => {
        const made = { id: row.id ?? (randomUUID() as NotebookId), title: row.title, createdAt: clock.now() }
        await journal?.file.append({ line: 'notebook', ...made })
        await db.transaction(async (tx) => {
          await tx
            .insert(notebooks)
            .values({ ...made, nextSeq: 1 })
            .onConflictDoNothing()
          if (journal) await setMeta(tx, META_BYTES, String(journal.file.bytes))
        })
        return made
      }),
    append: (notebook, groups, options = {}) =>
      inTurn(async () => {
        if (suspect && journal) {
          await reconcile(db, journal)
          nextSeq.clear()
          newest = await newestId(db)
        }
        suspect = false
        if (!nextSeq.has(notebook) && !(await isThere(db, notebook))) return null
        const known = await knownLines(db, groups, journal ? newest : null)
        const sorted = sortOut(groups, {
          ledger,
          notebook,
          known,
          fromElsewhere: options.fromElsewhere === true,
        })
        const accepted = sorted.flatMap((one) => (one.accepted ? [one.accepted] : []))
        if (accepted.length === 0) return sorted.map((one) => one.answer as Answer)
        const stored = await write(notebook, accepted)
        suspect = false
        const byId = new Map(stored.map((line) => [line.entry.id, line]))
        for (const line of stored) latest = latestOf(latest, line.entry.id)
        for (const listen of listeners) listen(notebook, stored)
        return sorted.map(({ accepted: entry, answer }) => {
          const line = entry && byId.get(entry.id)
          return line
            ? { id: line.entry.id, outcome: 'stored', seq: line.seq, recordedAt: line.recordedAt }
            : (answer as Answer)
        })
      }),
    async after(notebook, seq, most = 100_000) {
      const rows = await db
        .select({ seq: entries.seq, recordedAt: entries.recordedAt, entry: entries.entry })
        .from(entries)
        .where(and(eq(entries.notebook, notebook), gt(entries.seq, seq)))
        .orderBy(asc(entries.seq))
        .limit(most)
      return rows
    },
    async ofKind(kind) {
      const rows = await db
        .select({ entry: entries.entry })
        .from(entries)
        .where(eq(entries.kind, kind))
        .orderBy(asc(entries.id))
      return rows.map((row) => row.entry)
    },
    async ofSubject(notebook, subject) {
      const rows = await db
        .select({ entry: entries.entry })
        .from(entries)
        .where(and(eq(entries.notebook, notebook), eq(entries.subject, subject)))
        .orderBy(asc(entries.id))
      return rows.map((row) => row.entry)
    },
    newId(random = randomBytes(8)) {
      const id = nextId(latest, clock.now(), random)
      latest = id
      return id
    },
    onStored(listen) {
      listeners.add(listen)
      return () => listeners.delete(listen)
    },
  }
}

/** @param newest greatest id there is, so that later ones need not be asked for; null when that is not known */
async function knownLines(
  db: Database,
  groups: readonly (readonly unknown[])[],
  newest: string | null,
): Promise<Known> {
  const ids = groups
    .flat()
    .map(idOf)
    .filter((id) => UUID.test(id) && (newest === null || id <= newest))
  if (ids.length === 0) return new Map()
  const rows = await db
    .select({ id: entries.id, seq: entries.seq, entry: entries.entry })
    .from(entries)
    .where(inArray(entries.id, ids))
  return new Map(rows.map((row) => [row.id, row]))
}
