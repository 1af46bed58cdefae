import type { LedgerId, NotebookId, RawEntry } from '@ivory-crystal/core'
import { readLines } from '../lineFile'
import { UUID } from './sortOut'
import { beginningOf, hashAfter, type HashedLine, hashOf } from './chain'

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
  | {
      readonly line: 'batch'
      readonly notebook: NotebookId
      readonly recordedAt: number
      /** Hash of the line before the first; journals of before there were hashes have none. */
      readonly before?: string
      readonly entries: readonly { readonly seq: number; readonly entry: RawEntry; readonly hash?: string }[]
    }

/** Something in the journal that is not as it was written. */
export interface Damage {
  /** Line of the file, from 1. */
  readonly line: number
  readonly reason: string
  readonly text: string
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

export function ledgerLine(id: LedgerId, createdAt: number): JournalLine {
  const line = { line: 'ledger', id, createdAt } as const
  return { ...line, hash: hashOf(line) }
}
export function notebookLine(id: NotebookId, title: string, createdAt: number): JournalLine {
  const line = { line: 'notebook', id, title, createdAt } as const
  return { ...line, hash: hashOf(line) }
}
/** Lines as they go into the journal together; all of them recorded at one moment. */
export function batchLine(notebook: NotebookId, before: string, lines: readonly HashedLine[]): JournalLine {
  return {
    line: 'batch',
    notebook,
    recordedAt: lines[0]?.recordedAt ?? 0,
    before,
    entries: lines.map(({ seq, hash, entry }) => ({ seq, hash, entry })),
  }
}

/**
 * Reads a journal and walks its chains of hashes. A line that cannot be read, or is not as it was written, is told
 * as damage and left out; the rest stands. Lines of before there were hashes are chained as they are read.
 */
export async function* readJournal(path: string): AsyncGenerator<JournalStep> {
  const heads = new Map<NotebookId, Head>()
  /** Once something was told as damage, what it leaves out is known to be missing. */
  let isHurt = false
  for await (const { number, text, said } of readLines(path)) {
    const damaged = (reason: string): JournalStep => {
      isHurt = true
      return { step: 'damage', damage: { line: number, reason, text } }
    }
    if (!isJournalLine(said)) yield damaged('It cannot be read.')
    else if (said.line !== 'batch') {
      if (said.hash !== undefined && said.hash !== hashOf(said)) yield damaged('It is not as it was written.')
      else if (said.line === 'ledger') yield { step: 'ledger', id: said.id }
      else yield { step: 'notebook', id: said.id, title: said.title, createdAt: said.createdAt }
    } else {
      const { notebook } = said
      const head = heads.get(notebook) ?? { seq: 0, hash: beginningOf(notebook) }
      const [first] = said.entries
      const from = first?.entry.notebook === notebook ? first.seq : 0
      if (from > head.seq + 1 && !isHurt)
        yield damaged(`Entries ${head.seq + 1} to ${from - 1} of notebook ${notebook} are missing before it.`)
      const { lines, bad } = checked(said, head)
      const last = said.entries[said.entries.length - 1]
      const kept = lines[lines.length - 1]
      const isKept = kept !== undefined && kept.seq === last?.seq
      if (last) heads.set(notebook, { seq: last.seq, hash: isKept ? kept.hash : (last.hash ?? '') })
      if (lines.length > 0) yield { step: 'lines', notebook, lines }
      for (const seq of bad) yield damaged(`Entry ${seq} of notebook ${notebook} is not as it was written.`)
    }
  }
}

function isId(value: unknown): boolean {
  return typeof value === 'string' && UUID.test(value)
}

function isJournalLine(said: unknown): said is JournalLine {
  const line = said as Partial<JournalLine> | null | undefined
  switch (line?.line) {
    case 'ledger':
      return isId(line.id)
    case 'notebook':
      return isId(line.id) && typeof line.title === 'string'
    case 'batch':
      return (
        isId(line.notebook) &&
        typeof line.recordedAt === 'number' &&
        Array.isArray(line.entries) &&
        line.entries.every(
          (one: { seq?: unknown; entry?: { id?: unknown } } | null) =>
            typeof one?.seq === 'number' && typeof one.entry?.id === 'string',
        )
      )
    default:
      return false
  }
}

/** The lines of a batch that are as they were written, and the numbers of those that are not. */
function checked(
  batch: JournalLine & { line: 'batch' },
  head: Head,
): { lines: readonly HashedLine[]; bad: readonly number[] } {
  const lines: HashedLine[] = []
  const bad: number[] = []
  // After a line that is gone, what came before is known by the batch's own word for it.
  let befores = [head.hash, ...(batch.before === undefined ? [] : [batch.before])]
  for (const [i, { seq, entry, hash }] of batch.entries.entries()) {
    const line = { seq, recordedAt: batch.recordedAt, entry }
    const worked = befores.map((before) => hashAfter(before, line))
    const [first = ''] = worked
    // A line says itself which notebook it is of: a batch that names another was damaged there.
    const isHere = entry.notebook === batch.notebook
    if (isHere && (hash === undefined || worked.includes(hash))) {
      lines.push({ ...line, hash: hash ?? first })
      befores = [hash ?? first]
      continue
    }
    const next = batch.entries[i + 1]
    const follows =
      isHere && next && hashAfter(first, { ...next, recordedAt: batch.recordedAt }) === next.hash
    // What follows vouches for this one: only its hash was damaged.
    if (follows) lines.push({ ...line, hash: first })
    else bad.push(seq)
    befores = follows ? [first] : [hash ?? first, first]
  }
  return { lines, bad }
}
