import type { LedgerId, NotebookId } from '@ivory-crystal/core/ids'
import type { Head } from '../ledger/journal'

/** What a backup says of itself: every file with its sum, every notebook with its last line. */
export interface BackupFacts {
  readonly format: 'ivory-crystal backup'
  readonly version: 1 | 2
  readonly coreVersion: string
  readonly madeAt: number
  readonly ledger: LedgerId
  readonly files: readonly { readonly name: string; readonly bytes: number; readonly sha256: string }[]
  /** As they stood when the backup was begun: it holds at least these lines. */
  readonly notebooks: readonly ({ readonly id: NotebookId; readonly title: string } & Head)[]
  /** Sealed answers the folder held; they are in the backup only under the instructor’s word. */
  readonly sealedAnswers?: number
}

export const FACTS = 'backup.json'
export const JOURNAL = 'journal.jsonl'
export const SHELF = 'shelf.jsonl'
/** Sealed answers, encrypted under the instructor’s word. */
export const SEALED = 'sealed-answers.json'
export const PHOTOGRAPHS = 'photographs'
const PICTURE = /^photographs\/([0-9a-f]{64})\.jpg$/

/** A file of this name belongs into a backup; nothing else is looked at. */
export function isOurs(name: string): boolean {
  return [FACTS, JOURNAL, SHELF, SEALED].includes(name) || PICTURE.test(name)
}
