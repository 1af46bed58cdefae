import { randomUUID } from 'node:crypto'
import { existsSync } from 'node:fs'
import { mkdir, open, rm } from 'node:fs/promises'
import { join } from 'node:path'
import type { NotebookId, RawEntry, Restored } from '@ivory-crystal/core'
import { HttpProblem } from '../http/problem'
import { type JournalStep, readJournal } from '../ledger/journal'
import type { LedgerStore } from '../ledger/store'
import { flushFolder } from '../lineFile'
import { rowsIn } from '../shelf/journal'
import { type BackupFacts, JOURNAL, SHELF } from './format'
import type { BackupParts } from './parts'
import { type ReadBackup, readBackup } from './read'

/** Lines stored together. */
const LINES_AT_ONCE = 1000
const OWN_FILE = 0o600

/**
 * Brings back what a backup has and this ledger has not, while it runs; what is here stays. Sums are checked before
 * anything is touched, and every line along its chain of hashes.
 *
 * @throws HttpProblem with a sentence
 */
export async function restore(zip: Uint8Array, parts: BackupParts, isLook: boolean): Promise<Restored> {
  const backup = readBackup(zip)
  const notebooks = await linesOf(parts.folder, backup)
  const told = []
  for (const [id, { title, entries }] of notebooks)
    told.push(await bringBack(parts.store, { id, title, entries }, isLook))
  const known = new Set(await parts.photographs.all())
  let freshPictures = 0
  for (const [sha256, bytes] of backup.pictures) {
    if (!known.has(sha256)) freshPictures += 1
    if (!isLook) await parts.photographs.keep(sha256, Buffer.from(bytes))
  }
  const rows = rowsIn(backup.shelf)
  return {
    madeAt: backup.facts.madeAt,
    isSameLedger: backup.facts.ledger === parts.store.ledger,
    notebooks: told,
    photographs: { all: backup.pictures.size, fresh: freshPictures },
    shelf: { all: rows.length, fresh: await parts.shelf.takeIn(rows, isLook) },
  }
}

type NotebookLines = Map<NotebookId, { title: string; entries: RawEntry[] }>

/** The lines of a backup's journal, walked along their hashes; short of what the backup says it holds it is refused. */
async function linesOf(folder: string, { journal, facts }: ReadBackup): Promise<NotebookLines> {
  const path = join(folder, `restore-${randomUUID()}.tmp`)
  const notebooks: NotebookLines = new Map()
  const seqs = new Map<NotebookId, number>()
  try {
    await writeFlushed(path, journal)
    for await (const step of readJournal(path)) take(step)
  } finally {
    await rm(path, { force: true })
  }
  function take(step: JournalStep): void {
    if (step.step === 'damage')
      throw new HttpProblem(
        400,
        'Damaged',
        `Line ${step.damage.line} of the backup’s journal: ${step.damage.reason}`,
      )
    if (step.step === 'notebook') notebooks.set(step.id, { title: step.title, entries: [] })
    if (step.step !== 'lines') return
    notebooks.get(step.notebook)?.entries.push(...step.lines.map(({ entry }) => entry))
    seqs.set(step.notebook, step.lines.at(-1)?.seq ?? 0)
  }
  requireWhole(facts, seqs)
  return notebooks
}

function requireWhole({ notebooks }: BackupFacts, seqs: ReadonlyMap<NotebookId, number>): void {
  for (const { id, title, seq } of notebooks)
    if ((seqs.get(id) ?? 0) < seq)
      throw new HttpProblem(400, 'Not whole', `“${title}” ends before line ${seq}: this backup is not whole.`)
}

async function bringBack(
  store: LedgerStore,
  { id, title, entries }: { id: NotebookId; title: string; entries: readonly RawEntry[] },
  isLook: boolean,
) {
  const isHere = (await store.notebooks()).some((row) => row.id === id)
  const known = new Set<string>()
  if (isHere) for await (const lines of store.after(id, 0)) for (const { entry } of lines) known.add(entry.id)
  const fresh = entries.filter((entry) => !known.has(entry.id))
  let refused = 0
  if (!isLook) {
    if (!isHere) await store.createNotebook({ id, title })
    for (let i = 0; i < entries.length; i += LINES_AT_ONCE) {
      const groups = entries.slice(i, i + LINES_AT_ONCE).map((entry) => [entry])
      const answers = (await store.append(id, groups, { fromElsewhere: true })) ?? []
      refused += answers.filter(({ outcome }) => outcome !== 'stored' && outcome !== 'duplicate').length
    }
  }
  return {
    id,
    title,
    lines: entries.length,
    here: entries.length - fresh.length,
    fresh: fresh.length,
    refused,
  }
}

/**
 * Puts a backup into a folder that holds no notebook yet: the very ledger, its lines with their numbers and hashes.
 *
 * @throws HttpProblem when the folder already holds one, or the backup is damaged
 */
export async function restoreInto(folder: string, zip: Uint8Array): Promise<BackupFacts> {
  const backup = readBackup(zip)
  if (existsSync(join(folder, JOURNAL)))
    throw new HttpProblem(
      409,
      'Not empty',
      `${folder} holds a notebook already. Start its server and restore into that, or name an empty folder.`,
    )
  await mkdir(join(folder, 'photographs'), { recursive: true, mode: 0o700 })
  await linesOf(folder, backup)
  for (const [sha256, bytes] of backup.pictures)
    await writeFlushed(join(folder, 'photographs', `${sha256}.jpg`), bytes)
  await flushFolder(join(folder, 'photographs'))
  await writeFlushed(join(folder, SHELF), backup.shelf)
  // Last: a folder with a journal is one that was restored whole.
  await writeFlushed(join(folder, JOURNAL), backup.journal)
  await flushFolder(folder)
  return backup.facts
}

async function writeFlushed(path: string, bytes: Uint8Array): Promise<void> {
  const file = await open(path, 'w', OWN_FILE)
  try {
    await file.writeFile(bytes)
    await file.sync()
  } finally {
    await file.close()
  }
}
