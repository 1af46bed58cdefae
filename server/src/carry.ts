import { join } from 'node:path'
import { asc } from 'drizzle-orm'
import { SYSTEM_CLOCK } from './clock'
import { type Database, openPglite } from './db/open'
import { openPostgres } from './db/postgres'
import { shelfItems } from './db/schema'
import { freeMB } from './disk'
import { Expected } from './expected'
import { takeLock } from './ledger/lock'
import { openStore } from './ledger/store'
import { linesAfter, putLines, putNotebook, setLedgerId, surveyDatabase } from './ledger/tables'
import { openLineFile } from './lineFile'
import { putRows, type ShelfRow } from './shelf/items'
import { openShelfJournal } from './shelf/journal'

/** The two are not equal after carrying over; the folder is as it was. */
class NotEqual extends Expected {}

/**
 * Carries a data folder over to a PostgreSQL database: every line with its number, time and hash, and the shelf with
 * all its versions and sealed answers. Then both are read again and held against each other.
 *
 * @throws NotEqual when the database holds anything else than the folder afterwards
 */
export async function carryOver(folder: string, url: string, say: (sentence: string) => void): Promise<void> {
  /** What is to be ended, the last begun first. */
  const steps: (() => Promise<unknown>)[] = []
  try {
    steps.push(await takeLock(folder, { port: 0, startedAt: SYSTEM_CLOCK.now() }))
    const to = await openPostgres(url, { port: 0, say })
    steps.push(() => to.close())
    const path = join(folder, 'journal.jsonl')
    const file = await openLineFile(path, say)
    steps.push(() => file.close())
    const { begun: from, close } = await openPglite(
      join(folder, 'database'),
      { say, free: freeMB },
      async (db) => {
        await openStore(db, { file, path }, { clock: SYSTEM_CLOCK, say })
        const shelf = await openShelfJournal(join(folder, 'shelf.jsonl'), db, say)
        await shelf.journal.close()
        return db
      },
    )
    steps.push(close)
    const { ledger, notebooks } = await surveyDatabase(from)
    const there = await surveyDatabase(to.db)
    if (there.ledger !== null && there.ledger !== ledger)
      throw new NotEqual('The database holds another ledger already. Name an empty one.')
    if (ledger) await setLedgerId(to.db, ledger)
    for (const [id, { title, createdAt, count }] of notebooks) {
      await putNotebook(to.db, { id, title, createdAt })
      for await (const lines of linesAfter(from, id, 0))
        await putLines(
          to.db,
          lines.map((line) => ({ ...line, notebook: id })),
        )
      say(`${title}: ${count} lines.`)
    }
    await putRows(to.db, await shelfRows(from))
    const [one, other] = [await allOf(from), await allOf(to.db)]
    if (one !== other) throw new NotEqual('The content of the database differs from the folder.')
    say('The content of the database equals the folder exactly.')
  } finally {
    for (const step of steps.reverse()) await step()
  }
}

async function shelfRows(db: Database): Promise<readonly ShelfRow[]> {
  const rows = await db
    .select()
    .from(shelfItems)
    .orderBy(asc(shelfItems.sort), asc(shelfItems.id), asc(shelfItems.version))
  return rows as ShelfRow[]
}

/** All a database holds, as one text. */
async function allOf(db: Database): Promise<string> {
  const { ledger, notebooks } = await surveyDatabase(db)
  const lines: unknown[] = []
  for (const id of [...notebooks.keys()].sort())
    for await (const some of linesAfter(db, id, 0)) lines.push(...some)
  const shelf = [...(await shelfRows(db))].sort((p, q) => (keyOf(p) < keyOf(q) ? -1 : 1))
  return JSON.stringify([ledger, [...notebooks].sort(([p], [q]) => (p < q ? -1 : 1)), lines, shelf])
}

function keyOf({ sort, id, version }: ShelfRow): string {
  return JSON.stringify([sort, id, version])
}
