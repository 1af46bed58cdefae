import { type DBSchema, type IDBPDatabase, unwrap } from 'idb'
import { openReopening, type Reopening } from './database'
import type { LedgerId, NotebookId } from '@ivory-crystal/core/ids'
import type { StoredEntry } from '@ivory-crystal/core/notebook'
import type { About, NotebookRow, Shelf } from '@ivory-crystal/core/wire'

/** What a notebook is opened with. */
interface NotebookFacts {
  readonly about: About
  readonly notebooks: readonly NotebookRow[]
  readonly shelf: Shelf
  readonly notebook: NotebookId
}
export type StoredLine = Pick<StoredEntry, 'seq' | 'entry'>
interface KeptNotebook extends NotebookFacts {
  readonly lines: readonly StoredLine[]
  /** When the server was last heard, on this device’s clock. */
  readonly keptAtMs: number
}

interface KeptFacts extends NotebookFacts {
  readonly ledger: LedgerId
  readonly keptAtMs: number
}
interface KeptLine extends StoredLine {
  readonly ledger: LedgerId
  readonly notebook: NotebookId
  readonly id: string
}
interface KeptSchema extends DBSchema {
  facts: { key: string; value: KeptFacts }
  last: { key: string; value: { readonly key: 'last'; readonly notebook: NotebookId } }
  lines: { key: [string, string, string]; value: KeptLine }
}

/** A copy of every notebook that was open here, as the server had stored it: what is opened while it is away. */
export interface OfflineCopy {
  /**
   * Keeps what the server has of a notebook.
   *
   * @returns lines that were kept here before and that the server has no more
   */
  keep(facts: NotebookFacts, lines: readonly StoredLine[], nowMs: number): Promise<readonly StoredLine[]>
  add(ledger: LedgerId, notebook: NotebookId, lines: readonly StoredLine[], nowMs: number): Promise<void>
  /** The notebook named, or the one last open; null where there is no copy of it. */
  read(wanted: string | null): Promise<KeptNotebook | null>
  counted(): Promise<{ readonly notebooks: number; readonly lines: number }>
  close(): void
}

/** Lines put together: some milliseconds, so that a screen that opens meanwhile is not held up. */
const PUT_AT_ONCE = 100
/** Notebooks a device keeps a copy of. */
const COPIES_MOST = 8

export async function openCopies(): Promise<OfflineCopy> {
  const database = await openReopening<KeptSchema>('ivory-crystal-notebook', 1, (made) => {
    made.createObjectStore('facts', { keyPath: 'notebook' })
    made.createObjectStore('last', { keyPath: 'key' })
    made.createObjectStore('lines', { keyPath: ['ledger', 'notebook', 'id'] })
  })
  return keptIn(database)
}

function keptIn({ withDb, close }: Reopening<KeptSchema>): OfflineCopy {
  const of = (ledger: LedgerId, notebook: NotebookId) =>
    IDBKeyRange.bound([ledger, notebook, ''], [ledger, notebook, '\uffff'])
  type Db = IDBPDatabase<KeptSchema>
  async function putCopy(
    db: Db,
    ledger: LedgerId,
    notebook: NotebookId,
    lines: readonly StoredLine[],
  ): Promise<void> {
    for (let i = 0; i < lines.length; i += PUT_AT_ONCE) {
      // Between two portions the screen has its turn.
      if (i > 0) await new Promise((resolve) => setTimeout(resolve))
      const tx = db.transaction('lines', 'readwrite')
      // The bare store: a promise for each of thousands of lines takes longer than the line.
      const store = unwrap(tx.store)
      for (const { seq, entry } of lines.slice(i, i + PUT_AT_ONCE))
        store.put({ ledger, notebook, id: entry.id, seq, entry })
      await tx.done
    }
  }
  /** Copies of notebooks that were not opened for the longest are let go: each start of a demo leaves one. */
  async function letGo(db: Db): Promise<void> {
    const all = (await db.getAll('facts')).sort((p, q) => q.keptAtMs - p.keptAtMs)
    for (const { ledger, notebook } of all.slice(COPIES_MOST)) {
      await db.delete('lines', of(ledger, notebook))
      await db.delete('facts', notebook)
    }
  }
  return {
    add: (ledger, notebook, lines, nowMs) =>
      withDb(async (db) => {
        await putCopy(db, ledger, notebook, lines)
        const facts = await db.get('facts', notebook)
        if (facts) await db.put('facts', { ...facts, keptAtMs: nowMs })
      }),
    keep: (facts, lines, nowMs) =>
      withDb(async (db) => {
        const { about, notebook } = facts
        const { ledger } = about
        const known = new Set((await db.getAllKeys('lines', of(ledger, notebook))).map(([, , id]) => id))
        const there = new Set(lines.map(({ entry }) => entry.id as string))
        await putCopy(
          db,
          ledger,
          notebook,
          lines.filter(({ entry }) => !known.has(entry.id)),
        )
        await db.put('facts', { ...facts, ledger, keptAtMs: nowMs })
        await db.put('last', { key: 'last', notebook })
        await letGo(db)
        const gone = [...known].filter((id) => !there.has(id))
        const stored = await Promise.all(gone.map((id) => db.get('lines', [ledger, notebook, id])))
        return stored.flatMap((line) => line ?? []).sort((p, q) => p.seq - q.seq)
      }),
    read: (wanted) =>
      withDb(async (db) => {
        const notebook = wanted ?? (await db.get('last', 'last'))?.notebook
        const facts = notebook === undefined ? undefined : await db.get('facts', notebook)
        if (!facts) return null
        const lines = await db.getAll('lines', of(facts.ledger, facts.notebook))
        return { ...facts, lines: lines.sort((p, q) => p.seq - q.seq) }
      }),
    counted: () =>
      withDb(async (db) => {
        const [notebooks, lines] = await Promise.all([db.count('facts'), db.count('lines')])
        return { notebooks, lines }
      }),
    close,
  }
}
