import { batchesAfter } from './asBatches'
import { appendFile } from 'node:fs/promises'
import { basename } from 'node:path'
import type { NotebookId } from '@ivory-crystal/core/ids'
import type { Database } from '../db/open'
import { type LineFile, readLines } from '../lineFile'
import { beginningOf, hashAfter, type HashedLine } from './chain'
import {
  type Damage,
  type JournalLine,
  type JournalStep,
  ledgerLine,
  notebookLine,
  readJournal,
} from './journal'
import {
  HASH_START,
  LOST_TITLE,
  surveyJournal,
  type Surveyed,
  type SurveyedJournal,
  surveyor,
} from './survey'
import {
  dropLines,
  fillEmpty,
  linesAfter,
  type PlacedLine,
  putLines,
  putNotebook,
  setLedgerId,
  type DatabaseState,
  type Survey,
  surveyDatabase,
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

type Say = (sentence: string) => void

/**
 * Makes database and journal say the same. What only the journal has goes into the database, and what only the
 * database has (a journal that was taken away) goes into the journal. Where they differ, what fits its chain of hashes
 * wins, and the other is set aside and told: a damaged journal is written again from a database that is whole, and a
 * line of the database that is not the journal's is put right from it. Two histories that are each whole in themselves
 * cannot be told apart: the journal's stands, the other is kept beside it.
 *
 * @returns what was not as it was written, in either
 * @throws DatabaseDiffers when the database cannot be brought to it
 */
export async function reconcile(db: Database, journal: OpenJournal, say: Say): Promise<readonly Damage[]> {
  const held = await surveyDatabase(db)
  const isNew = held.ledger === null && held.notebooks.size === 0
  // A database that is new takes the journal as it is read: a long one is read once.
  const { survey, damages } = isNew
    ? await replay(db, journal.path, say, true)
    : await surveyJournal(journal.path)
  if (damages.length > 0 && !isNew && (await isWhole(db, held)) && reaches(held, survey))
    return [await writtenAgain(db, journal, held, survey, damages, say)]
  const differs = isNew || difference(survey, held) !== null
  const other = isNew || !differs ? [] : await takeOut(db, held, survey)
  const allDamages = [...damages, ...other]
  await writeDown(journal.path, allDamages)
  for (const { line, reason, isLoss } of allDamages)
    say(
      `${line === null ? '' : `Line ${line} of the journal${isLoss ? ' is set aside' : ''}. `}${reason}${isLoss ? ' The rest is valid.' : ''}`,
    )
  if (differs && !isNew) await replay(db, journal.path, say)
  const isLonger = await complete(db, journal.file, survey)
  const bare = damages.filter(({ reason }) => NO_HASHES.test(reason))
  if (bare.length > 0 && bare.length === damages.length) {
    await journal.file.replaceWith(asJournal(db, await surveyDatabase(db), survey), 'without-hashes')
    say('Hashes were added to the journal. The earlier file is saved beside it.')
  }
  if (!differs) return allDamages
  const now = isLonger || bare.length > 0 ? (await surveyJournal(journal.path)).survey : survey
  const still = difference(now, await surveyDatabase(db))
  if (still !== null) throw new DatabaseDiffers(still)
  return allDamages
}

/** What is told of journals of before there were hashes: nothing is wrong with them, and nothing vouches for them. */
const NO_HASHES = /carr(y|ies) no hash/

/** A damaged journal is written again from a database that is whole; the file as it was found is kept. */
async function writtenAgain(
  db: Database,
  { file, path }: OpenJournal,
  held: Survey,
  survey: SurveyedJournal,
  damages: readonly Damage[],
  say: Say,
): Promise<Damage> {
  const replaced = await file.replaceWith(asJournal(db, held, survey), 'damaged')
  const places = damages.length === 1 ? 'one place' : `${damages.length} places`
  const first = damages[0]
  const reason = `The journal was not as written in ${places}: ${first?.line ? `line ${first.line}: ` : ''}${first?.reason ?? ''} It was written again from the database, which is complete. The file as it was found is ${basename(replaced)}.`
  const damage = { line: null, reason, text: '', isLoss: false }
  say(reason)
  await writeDown(path, [...damages, damage])
  return damage
}

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

/**
 * Takes out of the database what is not the journal's: from the first line on that is another than the journal's, or
 * does not follow from the one before it. Lines that follow and that the journal does not reach stay, and go into it.
 *
 * @returns what is to be told; lines that were whole in themselves are in its text
 */
async function takeOut(db: Database, held: Survey, journal: SurveyedJournal): Promise<readonly Damage[]> {
  const damages: Damage[] = []
  const report = (reason: string, text = '', isLoss = false) =>
    damages.push({ line: null, reason, text, isLoss })
  for (const [id, { title }] of held.notebooks) {
    const known = journal.notebooks.get(id)
    if (known && known.title !== LOST_TITLE && known.title !== title)
      report(
        `The database called notebook ${id} “${title}”, the journal “${known.title}”. The title in the journal is used.`,
      )
    let last: { seq: number; hash: string } = { seq: 0, hash: beginningOf(id) }
    let from: number | null = null
    const whole: HashedLine[] = []
    let wrong = 0
    for await (const lines of linesAfter(db, id, 0))
      for (const line of lines) {
        const isBare = line.hash === ''
        const follows = line.seq === last.seq + 1 && (isBare || line.hash === hashAfter(last.hash, line))
        const journals = known?.hashes[line.seq]
        const isOther = journals !== undefined && !isBare && journals !== line.hash.slice(0, HASH_START)
        if (from === null && (!follows || isOther)) from = line.seq
        if (from !== null && follows) whole.push(line)
        else if (from !== null) wrong += 1
        last = isBare ? { seq: line.seq, hash: hashAfter(last.hash, line) } : line
      }
    if (from === null) continue
    await dropLines(db, id, from)
    const isGap = whole.length > 0 && known?.hashes[from] === undefined
    if (wrong > 0)
      report(
        `${wrong} entries of notebook ${id} in the database were not as written. They were corrected from the journal.`,
      )
    else if (whole.length > 0 && !isGap)
      report(
        `The database held other entries ${from} to ${last.seq} of notebook ${id} than the journal, and both are complete. The entries of the journal are used; those of the database are saved in journal.jsonl.set-aside.`,
        JSON.stringify(whole),
        true,
      )
  }
  return damages
}

/** The whole database as the lines of a journal. */
async function* asJournal(db: Database, held: Survey, journal: Survey): AsyncGenerator<JournalLine> {
  if (held.ledger) yield ledgerLine(held.ledger, 0)
  for (const [id, standing] of held.notebooks) {
    // A title has no chain to vouch for it but its own line in the journal.
    const recorded = journal.notebooks.get(id)
    const { title, createdAt } = recorded && recorded.title !== LOST_TITLE ? recorded : standing
    yield notebookLine(id, title, createdAt)
    yield* batchesAfter(db, id, 0, beginningOf(id))
  }
}

/** Lines between two sentences that tell how far a long start has come. */
const TELL_EVERY = 50_000

/** Everything the journal says into the database; what is there and says something else is put right. */
export async function replay(db: Database, path: string, say: Say, isNew = false): Promise<Surveyed> {
  const { take, surveyed } = surveyor()
  let done = 0
  await db.transaction(async (tx) => {
    const declared = new Set<NotebookId>()
    const waiting: PlacedLine[] = []
    const read = async () => {
      for await (const one of readJournal(path)) await takeIn(one)
      await flush()
    }
    const flush = async () => {
      await putLines(tx, waiting.splice(0), isNew)
    }
    const takeIn = async (one: JournalStep) => {
      take(one)
      if (one.step === 'ledger') await setLedgerId(tx, one.id)
      else if (one.step === 'notebook') {
        await putNotebook(tx, one)
        declared.add(one.id)
      } else if (one.step === 'lines') {
        if (!declared.has(one.notebook)) {
          await putNotebook(tx, { id: one.notebook, title: LOST_TITLE, createdAt: 0 })
          declared.add(one.notebook)
        }
        for (const line of one.lines) {
          waiting.push({ ...line, notebook: one.notebook })
          done += 1
          if (done % TELL_EVERY === 0)
            say(`Reading the notebook into the database: ${done.toLocaleString('en')} entries so far …`)
        }
        if (waiting.length >= LINES_AT_ONCE) await flush()
      }
    }
    if (isNew) await fillEmpty(tx, read)
    else await read()
  })
  return surveyed()
}

/** Lines written in one statement. */
const LINES_AT_ONCE = 1000

/**
 * What only the database has goes into the journal: whole notebooks, or the end of one.
 *
 * @returns whether there was anything
 */
async function complete(db: Database, file: LineFile, journal: Survey): Promise<boolean> {
  const held = await surveyDatabase(db)
  const before = file.bytes
  if (held.ledger && held.ledger !== journal.ledger) await file.append([ledgerLine(held.ledger, 0)])
  for (const [id, { title, createdAt }] of held.notebooks) {
    const known: DatabaseState | undefined = journal.notebooks.get(id)
    if (!known) await file.append([notebookLine(id, title, createdAt)])
    for await (const batch of batchesAfter(db, id, known?.seq ?? 0, known?.hash || beginningOf(id)))
      await file.append([batch])
  }
  return file.bytes !== before
}

/** Writes down what was found, beside what was found before: nothing in that file is ever replaced. */
async function writeDown(path: string, damages: readonly Damage[]): Promise<void> {
  if (damages.length === 0) return
  const place = `${path}.set-aside`
  const known = new Set<string>()
  for await (const { text } of readLines(place)) known.add(text)
  const fresh = damages.map((damage) => JSON.stringify(damage)).filter((text) => !known.has(text))
  if (fresh.length > 0) await appendFile(place, `${fresh.join('\n')}\n`, { mode: 0o600 })
}
