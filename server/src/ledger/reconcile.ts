import { writeFile } from 'node:fs/promises'
import type { LedgerId, NotebookId } from '@ivory-crystal/core'
import type { Database } from '../db/open'
import type { LineFile } from '../lineFile'
import { beginningOf, hashAfter, type HashedLine } from './chain'
import { batchLine, type Damage, type JournalLine, ledgerLine, notebookLine, readJournal } from './journal'
import {
  linesAfter,
  putNotebook,
  setLedgerId,
  type Standing,
  type Survey,
  surveyDatabase,
  writeLines,
} from './tables'

/** The journal with where it stands. */
export interface OpenJournal {
  readonly file: LineFile
  readonly path: string
}

/** Database and journal could not be brought to say the same: the database wants to be made anew. */
class DatabaseDiffers extends Error {
  constructor(what: string) {
    super(`The database differs from the journal: ${what}.`)
  }
}

/**
 * Makes database and journal say the same. What only the journal has goes into the database, and what only the
 * database has (a journal that was taken away) goes into the journal. Damage in one is healed from the other where
 * that is whole; what neither has as it was written is set aside, and said.
 *
 * @returns what had to be set aside
 * @throws DatabaseDiffers when the database cannot be brought to it
 */
export async function reconcile(
  db: Database,
  journal: OpenJournal,
  say: (sentence: string) => void,
): Promise<readonly Damage[]> {
  const { survey, damages } = await surveyJournal(journal.path)
  const held = await surveyDatabase(db)
  if (damages.length > 0 && (await isWhole(db, held)) && reaches(held, survey)) {
    await journal.file.replaceWith(asJournal(db, held, survey), 'damaged')
    say(
      `The journal was damaged in ${damages.length} places. It was written again from the database, which is whole.`,
    )
    return []
  }
  await writeDown(journal.path, damages)
  for (const { line, reason } of damages)
    say(`Line ${line} of the journal is set aside. ${reason} The rest stands.`)
  const differs = difference(survey, held)
  if (differs === null) return damages
  await replay(db, journal.path)
  await complete(db, journal.file, survey)
  const { survey: now } = await surveyJournal(journal.path)
  const still = difference(now, await surveyDatabase(db))
  if (still !== null) throw new DatabaseDiffers(still)
  return damages
}

interface Counted {
  title: string
  createdAt: number
  count: number
  seq: number
  hash: string
}

async function surveyJournal(path: string): Promise<{ survey: Survey; damages: readonly Damage[] }> {
  let ledger: LedgerId | null = null
  const found = new Map<NotebookId, Counted>()
  const damages: Damage[] = []
  const at = (id: NotebookId): Counted => {
    const known = found.get(id)
    if (known) return known
    const made = { title: LOST_TITLE, createdAt: 0, count: 0, seq: 0, hash: '' }
    found.set(id, made)
    return made
  }
  for await (const one of readJournal(path)) {
    if (one.step === 'ledger') ledger = one.id
    else if (one.step === 'damage') damages.push(one.damage)
    else if (one.step === 'notebook')
      Object.assign(at(one.id), { title: one.title, createdAt: one.createdAt })
    else {
      const counted = at(one.notebook)
      for (const { seq, hash } of one.lines) {
        counted.count += 1
        if (seq >= counted.seq) Object.assign(counted, { seq, hash })
      }
    }
  }
  return { survey: { ledger, notebooks: found }, damages }
}

/** A notebook whose own line is lost is still a notebook. */
const LOST_TITLE = 'Notebook whose title was lost'

/** Where the two first differ, in words; null when they say the same. */
function difference(journal: Survey, database: Survey): string | null {
  if (journal.ledger !== database.ledger) return 'another ledger id'
  const ids = new Set([...journal.notebooks.keys(), ...database.notebooks.keys()])
  for (const id of ids) {
    const [one, other] = [journal.notebooks.get(id), database.notebooks.get(id)]
    if (!one || !other) return `notebook ${id} is in one of them only`
    const key = (['title', 'createdAt', 'count', 'seq', 'hash'] as const).find(
      (name) => one[name] !== other[name],
    )
    if (key) return `${key} of notebook ${id}, ${one[key]} and ${other[key]}`
  }
  return null
}

/** Whether every line in the database is as it was written, without a gap. */
async function isWhole(db: Database, held: Survey): Promise<boolean> {
  if (held.ledger === null) return false
  for (const id of held.notebooks.keys()) {
    let last: { seq: number; hash: string } = { seq: 0, hash: beginningOf(id) }
    for await (const lines of linesAfter(db, id, 0))
      for (const line of lines) {
        if (line.seq !== last.seq + 1 || line.hash !== hashAfter(last.hash, line)) return false
        last = line
      }
  }
  return true
}

/** Whether the database holds at least as many lines of each notebook as the journal. */
function reaches(database: Survey, journal: Survey): boolean {
  return [...journal.notebooks].every(([id, { seq }]) => (database.notebooks.get(id)?.seq ?? -1) >= seq)
}

/** The whole database as the lines of a journal. */
async function* asJournal(db: Database, held: Survey, journal: Survey): AsyncGenerator<JournalLine> {
  if (held.ledger) yield ledgerLine(held.ledger, 0)
  for (const [id, standing] of held.notebooks) {
    // A title has no chain to vouch for it but its own line in the journal.
    const said = journal.notebooks.get(id)
    const { title, createdAt } = said && said.title !== LOST_TITLE ? said : standing
    yield notebookLine(id, title, createdAt)
    yield* batchesAfter(db, id, 0, beginningOf(id))
  }
}

/**
 * Lines of the database after a number as batches, as far as each follows from the one before it; each batch was
 * recorded at one moment.
 */
async function* batchesAfter(
  db: Database,
  id: NotebookId,
  seq: number,
  from: string,
): AsyncGenerator<JournalLine & { line: 'batch' }> {
  let before = from
  let last = { seq, hash: from }
  for await (const lines of linesAfter(db, id, seq)) {
    const following: HashedLine[] = []
    for (const line of lines) {
      const hash = hashAfter(last.hash, line)
      // One of before there were hashes has none, and is chained as it is read.
      if (line.seq !== last.seq + 1 || (line.hash !== '' && line.hash !== hash)) break
      following.push({ ...line, hash })
      last = { seq: line.seq, hash }
    }
    for (const batch of byMoment(following)) {
      yield batchLine(id, before, batch) as JournalLine & { line: 'batch' }
      before = batch[batch.length - 1]?.hash ?? before
    }
    if (following.length < lines.length) return
  }
}

function byMoment(lines: readonly HashedLine[]): HashedLine[][] {
  const batches: HashedLine[][] = []
  for (const line of lines) {
    const last = batches[batches.length - 1]
    if (last?.[0]?.recordedAt === line.recordedAt) last.push(line)
    else batches.push([line])
  }
  return batches
}

/** Everything the journal says into the database; what is there and says something else is put right. */
export async function replay(db: Database, path: string): Promise<void> {
  await db.transaction(async (tx) => {
    const declared = new Set<NotebookId>()
    for await (const one of readJournal(path)) {
      if (one.step === 'ledger') await setLedgerId(tx, one.id)
      else if (one.step === 'notebook') {
        await putNotebook(tx, one)
        declared.add(one.id)
      } else if (one.step === 'lines') {
        if (!declared.has(one.notebook)) {
          await putNotebook(tx, { id: one.notebook, title: LOST_TITLE, createdAt: 0 })
          declared.add(one.notebook)
        }
        await writeLines(tx, one.notebook, one.lines)
      }
    }
  })
}

/** What only the database has goes into the journal: whole notebooks, or the end of one. */
async function complete(db: Database, file: LineFile, journal: Survey): Promise<void> {
  const held = await surveyDatabase(db)
  if (held.ledger && held.ledger !== journal.ledger) await file.append([ledgerLine(held.ledger, 0)])
  for (const [id, { title, createdAt }] of held.notebooks) {
    const known: Standing | undefined = journal.notebooks.get(id)
    if (!known) await file.append([notebookLine(id, title, createdAt)])
    for await (const batch of batchesAfter(db, id, known?.seq ?? 0, known?.hash || beginningOf(id)))
      await file.append([batch])
  }
}

async function writeDown(path: string, damages: readonly Damage[]): Promise<void> {
  if (damages.length === 0) return
  const text = damages.map((damage) => `${JSON.stringify(damage)}\n`).join('')
  await writeFile(`${path}.set-aside`, text, { mode: 0o600 })
}
