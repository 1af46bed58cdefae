import type { EntryId, EpochMs, LedgerId, NotebookId, SubjectId } from '../ids'
import type { About, Bodies, Kind } from './kinds/list'

interface Envelope {
  readonly id: EntryId
  /** Version of this kind's body. */
  readonly v: number
  /** The ledger it was written on. */
  readonly ledger: LedgerId
  readonly notebook: NotebookId
  readonly subject: SubjectId
  /** When the writer says it happened. */
  readonly at: EpochMs
  /** Bench code of whoever wrote it. */
  readonly author: string
  readonly device: string
}
export interface Entry<K extends Kind = Kind> extends Envelope {
  readonly kind: K
  readonly subject: About[K]
  readonly body: Bodies[K]
}
/** A line as it comes off the wire or the disk: perhaps of a kind or version this build does not know. */
export interface RawEntry extends Envelope {
  readonly kind: string
  readonly body: unknown
}
/** The union that narrows on `kind`. */
export type KnownEntry = { [K in Kind]: Entry<K> }[Kind]
/** What the server answers for each entry of a batch. */
export type Answer =
  | {
      readonly id: EntryId
      readonly outcome: 'stored'
      readonly seq: number
      readonly recordedAt: EpochMs
    }
  | { readonly id: EntryId; readonly outcome: 'duplicate'; readonly seq: number }
  | { readonly id: EntryId; readonly outcome: 'conflict' | 'refused'; readonly sentence: string }
/** An entry as the server keeps it. */
export interface StoredEntry {
  readonly seq: number
  readonly recordedAt: EpochMs
  readonly entry: RawEntry
}

/** A line to be written: what it says and about what. */
export type Line<K extends Kind = Kind> = {
  [One in K]: { readonly kind: One; readonly subject: About[One]; readonly body: Bodies[One] }
}[K]
