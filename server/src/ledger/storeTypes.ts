import type { EntryId, LedgerId, NotebookId } from '@ivory-crystal/core/ids'
import type { Answer, RawEntry, StoredEntry } from '@ivory-crystal/core/notebook'
import type { NotebookRow } from '@ivory-crystal/core/wire'
import type { Clock } from '../clock'
import type { Damage, Head } from './journal'
import type { Known } from './sortOut'
import type { PlacedLine } from './tables'

export interface AppendOptions {
  /** Lines written on another ledger are taken too, as when a notebook is imported. */
  readonly fromElsewhere?: boolean
}

export interface LedgerStore {
  readonly ledger: LedgerId
  /** Lines of the journal that are not as they were written, and had to be set aside. */
  readonly setAside: readonly Damage[]
  notebooks(): Promise<readonly NotebookRow[]>
  /** @throws HttpProblem 400 when the title cannot be kept as it is */
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
  /** Lines after a sequence number, in order, some at a time. */
  after(notebook: NotebookId, seq: number): AsyncGenerator<readonly StoredEntry[]>
  /** All lines of a notebook. */
  all(notebook: NotebookId): Promise<readonly RawEntry[]>
  /** The last line of a notebook: its hash stands for every line before it. */
  head(notebook: NotebookId): Promise<Head>
  /** Those of the lines that are stored already, by id. */
  known(lines: readonly unknown[]): Promise<Known>
  /** Whoever has written in a notebook. */
  authors(notebook: NotebookId): Promise<readonly string[]>
  /** Lines of a kind in any notebook, by id. */
  ofKind(kind: string): Promise<readonly RawEntry[]>
  ofSubject(notebook: NotebookId, subject: string): Promise<readonly RawEntry[]>
  /** A new id after everything this ledger holds. */
  newId(random?: Uint8Array): EntryId
  onStored(listen: (notebook: NotebookId, stored: readonly StoredEntry[]) => void): () => void
  /** Resolves once everything taken so far is answered. */
  settled(): Promise<void>
}

/** What a store needs beside its database. */
export interface StoreSurroundings {
  readonly clock: Clock
  readonly say: (sentence: string) => void
  /** Throws when nothing more may be written, as on a disk that is nearly full. */
  readonly mayWrite?: () => Promise<void>
}

/** Lines that stand, and what brings them into the tables where that is still to come. */
export interface Written {
  readonly stored: readonly PlacedLine[]
  readonly intoTables: () => Promise<unknown>
}
