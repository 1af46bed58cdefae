import type { NotebookId } from '@ivory-crystal/core/ids'
import type { RawEntry } from '@ivory-crystal/core/notebook'
import { hashAfter, type HashedLine } from './chain'
import type { BatchLine, Head, JournalStep } from './journalTypes'

/** Where something stands in the file. */
export interface Place {
  readonly number: number
  readonly text: string
}
/** A notebook on the way through its journal. */
export interface Walked {
  readonly notebook: NotebookId
  /** The last line that stands; the first of all follows the notebook's beginning. */
  head: Head
  /** That line, held back until what follows vouches for it. */
  held: { readonly line: HashedLine; readonly place: Place } | null
  /** A last line whose hash is missing or wrong: it stands only if what follows was written after it. */
  suspect: { readonly line: HashedLine; readonly place: Place } | null
  /** Where damaged lines say that they end: what was written after them follows this. */
  claimed: { readonly seq: number; readonly hash: string | null } | null
  /** The beginning of the hash of each line that stands, by number. */
  readonly hashes: string[]
  /** Lines from the first on that carry no hash, and that no hash has vouched for yet. */
  bare: { readonly from: Place; count: number } | null
  title: { readonly step: JournalStep; readonly place: Place } | null
}

/** So much of a hash tells one line from another. */
const HASH_START = 16
export const startOf = (hash: string) => hash.slice(0, HASH_START)

export type Anchor = {
  readonly from: string
  /** What is to be told of the place where the batch begins. */
  readonly steps: readonly JournalStep[]
}

/** The hash that the first line of a batch has after another. */
export function hashOfFirst(batchLine: BatchLine, before: string): string | null {
  const [first] = batchLine.entries
  const { seq, entry } = first as { seq: number; entry: RawEntry }
  return hashAfter(before, { seq, recordedAt: batchLine.recordedAt, entry })
}

/** An anchor that tells more. */
export function mergeReports({ from, steps }: Anchor, more: readonly JournalStep[]): Anchor {
  return { from, steps: [...more, ...steps] }
}
