import type { LedgerId, NotebookId } from '@ivory-crystal/core/ids'
import { readLines } from '../lineFile'
import { chainWalk } from './chainWalk'
import { type HashedLine, hashOf } from './chain'
import type { BatchLine, JournalLine, JournalStep } from './journalTypes'
import { isBatchRow, isLedgerRow, isNotebookRow, storableTitle } from './journalRows'

export type { BatchLine, Damage, Head, JournalLine, JournalStep } from './journalTypes'

export function ledgerLine(id: LedgerId, createdAt: number): JournalLine {
  const line = { line: 'ledger', id, createdAt } as const
  return { ...line, hash: hashOf(line) }
}
export function notebookLine(id: NotebookId, title: string, createdAt: number): JournalLine {
  const line = { line: 'notebook', id, title, createdAt } as const
  return { ...line, hash: hashOf(line) }
}
/** Lines as they go into the journal together; all of them recorded at one moment. */
function batchLine(notebook: NotebookId, before: string, lines: readonly HashedLine[]): BatchLine {
  return {
    line: 'batch',
    notebook,
    recordedAt: lines[0]?.recordedAt ?? 0,
    before,
    entries: lines.map(({ seq, hash, entry }) => ({ seq, hash, entry })),
  }
}

/** So many letters in one line of the file, at most: what is longer goes into several. */
const LETTERS_A_LINE = 16_000_000

/** The same, in as many lines of the file as it takes. */
export function batchLines(notebook: NotebookId, before: string, lines: readonly HashedLine[]): BatchLine[] {
  const batches: BatchLine[] = []
  let follows = before
  let some: HashedLine[] = []
  let letters = 0
  const end = () => {
    if (some.length === 0) return
    batches.push(batchLine(notebook, follows, some))
    follows = some[some.length - 1]?.hash ?? follows
    some = []
    letters = 0
  }
  for (const line of lines) {
    const length = JSON.stringify(line.entry).length
    if (letters + length > LETTERS_A_LINE) end()
    some.push(line)
    letters += length
  }
  end()
  return batches
}

/**
 * Reads a journal and walks its chains of hashes. A line that cannot be read, that carries no hash, or whose hash does
 * not follow from the one before it is told as damage and left out, unless what follows vouches for it; the rest
 * stands. Notebooks of before there were hashes are chained as they are read, and told to have nothing vouching for
 * them until a hashed line follows.
 */
export async function* readJournal(path: string): AsyncGenerator<JournalStep> {
  const walk = chainWalk()
  const titles = new Map<NotebookId, string>()
  let ledger: LedgerId | null = null
  for await (const { number, text, parsed: row } of readLines(path)) {
    const damage = (reason: string, isLoss = true): JournalStep => ({
      step: 'damage',
      damage: { line: number, reason, text, isLoss },
    })
    if (isBatchRow(row)) yield* walk.batch(row, { number, text })
    else if (isNotebookRow(row)) {
      const title = storableTitle(row.title)
      const known = titles.get(row.id)
      if (row.hash !== undefined && row.hash !== hashOf(row)) yield damage('It is not as it was written.')
      else if (known === title) yield damage(`Notebook ${row.id} is in the file twice.`, false)
      else if (known !== undefined) yield damage(`Notebook ${row.id} has another title already.`)
      else {
        titles.set(row.id, title)
        const { id, createdAt } = row
        if (title !== row.title)
          yield damage(`The title of notebook ${id} cannot be saved; it is now “${title}” now.`, false)
        const step: JournalStep = { step: 'notebook', id, title, createdAt }
        if (row.hash === undefined) walk.titleWithoutHash(id, step, { number, text })
        else yield step
      }
    } else if (isLedgerRow(row)) {
      if (row.hash !== undefined && row.hash !== hashOf(row)) yield damage('It is not as it was written.')
      else if (ledger !== null && ledger !== row.id) yield damage('It gives the ledger a different id.')
      else {
        if (row.hash === undefined) yield damage('The line that names the ledger has no hash.', false)
        else if (ledger !== null) yield damage('The ledger is named twice.', false)
        if (ledger === null) yield { step: 'ledger', id: row.id }
        ledger = row.id
      }
    } else {
      walk.lineLost()
      yield damage('It cannot be read.')
    }
  }
  yield* walk.end()
}
