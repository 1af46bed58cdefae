import { readFile, rm, unlink } from 'node:fs/promises'
import { join } from 'node:path'
import type { NotebookId } from '@ivory-crystal/core/ids'
import { jpegTrouble } from '@ivory-crystal/core/notebook'
import { HttpProblem } from '../http/problem'
import { type HashedLine } from '../ledger/chain'
import { type JournalStep, readJournal } from '../ledger/journal'
import { photographTrouble, picturesIn } from '../photographs/store'
import type { ShelfRow } from '../shelf/items'
import { readShelfFile } from '../shelf/rows'
import { type BackupFacts, JOURNAL, PHOTOGRAPHS, SEALED, SHELF } from './format'
import { unpackBackup } from './read'
import { unlockAnswers } from './sealedAnswers'

/** A backup unpacked beside the folder it is to go into, and checked. */
export interface Staged {
  readonly folder: string
  readonly facts: BackupFacts
  /** What is not as it should be and stops nothing: sentences. */
  readonly remarks: readonly string[]
  /** Rows of the shelf; sealed answers only where the instructor's word opened them. */
  readonly shelf: readonly ShelfRow[]
  readonly sealed: readonly ShelfRow[]
  readonly pictures: readonly string[]
}

/**
 * Unpacks a backup into a folder of its own and checks all of it: sums, every line along its chain of hashes, every row
 * of the shelf, every photograph against its name. What is in it otherwise than it was written stops it.
 *
 * @param word the instructor's word, which opens sealed answers; null leaves them out
 * @throws HttpProblem with a sentence, and the folder is gone
 */
export async function stageBackup(zip: string, folder: string, word: string | null): Promise<Staged> {
  try {
    const facts = await unpackBackup(zip, folder)
    return await lookAtStaged(folder, facts, word)
  } catch (error) {
    await rm(folder, { recursive: true, force: true })
    throw error
  }
}

async function lookAtStaged(folder: string, facts: BackupFacts, word: string | null): Promise<Staged> {
  const remarks = [...(await requireWhole(folder, facts))]
  const { rows, damages } = await readShelfFile(join(folder, SHELF))
  for (const { line, reason } of damages) remarks.push(`Row ${line} of the backup’s shelf: ${reason}`)
  const locked = await readFile(join(folder, SEALED)).catch(() => null)
  const opened = locked && word !== null ? await unlockAnswers(locked, word) : []
  // Backups of before they were left out hold them among the rows of the shelf.
  const sealed = [...rows.filter(({ sort }) => sort === 'sealed answer'), ...opened]
  const closed = Math.max(0, (facts.sealedAnswers ?? 0) - sealed.length)
  if (closed > 0)
    remarks.push(
      `${closed === 1 ? 'One sealed answer is' : `${closed} sealed answers are`} left out: ${locked ? 'the instructor’s word opens them' : 'the backup was made without the instructor’s word'}.`,
    )
  const bad = await picturesIn(folder, (sha256, bytes) =>
    (photographTrouble(sha256, bytes) ?? jpegTrouble(bytes)) ? sha256 : null,
  )
  for (const sha256 of bad) await unlink(join(folder, PHOTOGRAPHS, `${sha256}.jpg`))
  if (bad.length > 0)
    remarks.push(
      `${bad.length === 1 ? 'One photograph is' : `${bad.length} photographs are`} left out: not complete pictures, or with hidden details.`,
    )
  return {
    folder,
    facts,
    remarks,
    shelf: rows.filter(({ sort }) => sort !== 'sealed answer'),
    sealed,
    pictures: await picturesIn(folder, (sha256) => sha256),
  }
}

/** Walks the journal of a backup; what is lost in it, or short of what the backup says it holds, is refused. */
async function requireWhole(folder: string, { notebooks }: BackupFacts): Promise<readonly string[]> {
  const remarks: string[] = []
  const seqs = new Map<NotebookId, number>()
  const hashes = new Map<NotebookId, string>()
  const wanted = new Map(notebooks.map(({ id, seq }) => [id, seq]))
  for await (const step of readJournal(join(folder, JOURNAL))) {
    if (step.step === 'damage') {
      const { line, reason, isLoss } = step.damage
      if (isLoss) throw new HttpProblem(400, 'Damaged', `Line ${line} of the backup’s journal: ${reason}`)
      remarks.push(`Line ${line} of the backup’s journal: ${reason}`)
    }
    if (step.step !== 'lines') continue
    for (const { seq, hash } of step.lines) {
      seqs.set(step.notebook, Math.max(seq, seqs.get(step.notebook) ?? 0))
      if (seq === wanted.get(step.notebook)) hashes.set(step.notebook, hash)
    }
  }
  for (const { id, title, seq, hash } of notebooks) {
    if ((seqs.get(id) ?? 0) < seq)
      throw new HttpProblem(
        400,
        'Not whole',
        `“${title}” ends before entry ${seq}: this backup is not complete.`,
      )
    if (seq > 0 && hashes.get(id) !== hash)
      throw new HttpProblem(
        400,
        'Rewritten',
        `Entry ${seq} of “${title}” is not the one that was there when the backup was made.`,
      )
  }
  return remarks
}

/** The lines of a staged backup, notebook by notebook as they stand in its journal, some at a time. */
export async function* linesOf(
  folder: string,
): AsyncGenerator<
  | (JournalStep & { step: 'notebook' })
  | { readonly step: 'lines'; readonly notebook: NotebookId; readonly lines: readonly HashedLine[] }
> {
  for await (const step of readJournal(join(folder, JOURNAL)))
    if (step.step === 'notebook' || step.step === 'lines') yield step
}
