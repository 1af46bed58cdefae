import type { LedgerId, NotebookId } from '@ivory-crystal/core/ids'
import type { RawEntry } from '@ivory-crystal/core/notebook'
import type { HashedLine } from './chain'

/** One line of the journal. The whole notebook can be read back from these lines with nothing else. */
export type JournalLine =
  | { readonly line: 'ledger'; readonly id: LedgerId; readonly createdAt: number; readonly hash?: string }
  | {
      readonly line: 'notebook'
      readonly id: NotebookId
      readonly title: string
      readonly createdAt: number
      readonly hash?: string
    }
  | BatchLine
export interface BatchLine {
  readonly line: 'batch'
  readonly notebook: NotebookId
  readonly recordedAt: number
  /** Hash of the line before the first; journals of before there were hashes have none. */
  readonly before?: string
  readonly entries: readonly { readonly seq: number; readonly entry: RawEntry; readonly hash?: string }[]
}

/** Something in a file of the folder that is not as it was written. */
export interface Damage {
  /** Line of the file, from 1; null when it is not about one line. */
  readonly line: number | null
  readonly reason: string
  readonly text: string
  /** Whether something is left out because of it; false where all that was written still stands. */
  readonly isLoss: boolean
}
/** The last line of a notebook. */
export interface Head {
  readonly seq: number
  readonly hash: string
}
/** What is read of a journal, in its order. */
export type JournalStep =
  | { readonly step: 'ledger'; readonly id: LedgerId }
  | { readonly step: 'notebook'; readonly id: NotebookId; readonly title: string; readonly createdAt: number }
  | { readonly step: 'lines'; readonly notebook: NotebookId; readonly lines: readonly HashedLine[] }
  | { readonly step: 'damage'; readonly damage: Damage }
