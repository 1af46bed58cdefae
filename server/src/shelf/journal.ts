import { asc, eq } from 'drizzle-orm'
import { basename } from 'node:path'
import type { Database } from '../db/open'
import { shelfItems } from '../db/schema'
import type { Damage } from '../ledger/journal'
import { openLineFile } from '../lineFile'
import { putRightRows, type ShelfRow } from './items'
import { hashedRow, readShelfFile, rowRefusal } from './rows'

export interface ShelfJournal {
  /** Appends rows and flushes them: when this resolves they outlive a power cut. */
  append(rows: readonly ShelfRow[]): Promise<void>
  close(): Promise<void>
}

/**
 * Opens the journal of what the lab itself puts on the shelf, one JSON object a line, beside the ledger's and for
 * the same reason: the database never flushes to disk and can be made again from it. What the database lacks of it
 * goes into the database, and what it lacks of the database (a journal that was taken away, or damaged) into it.
 *
 * @returns the journal, and the lines of it that are not as they were written and that nothing could replace
 */
export async function openShelfJournal(
  path: string,
  db: Database,
  say: (sentence: string) => void,
): Promise<{ readonly journal: ShelfJournal; readonly damages: readonly Damage[] }> {
  const file = await openLineFile(path, say)
  const { rows, damages, last: read } = await readShelfFile(path)
  let last = read
  const written = new Map(rows.map((row) => [keyOf(row), row]))
  await putRightRows(db, [...written.values()])
  const held = await db
    .select()
    .from(shelfItems)
    .where(eq(shelfItems.origin, 'own'))
    .orderBy(asc(shelfItems.createdAt), asc(shelfItems.version))
  const missing = (held as ShelfRow[]).filter((row) => !written.has(keyOf(row)) && rowRefusal(row) === null)
  const append = async (more: readonly ShelfRow[]) => {
    let before = last
    const chained = more.map((row) => {
      const hashed = hashedRow(row, before)
      before = hashed.hash
      return hashed
    })
    await file.append(chained)
    last = before
  }
  await append(missing)
  if (missing.length > 0)
    say(
      `${missing.length} entries of the lab’s own were missing from ${path}; they were restored from the database.`,
    )
  // As many came back as were damaged: nothing is lost.
  const losses = damages.filter(({ isLoss }) => isLoss)
  const lost = losses.slice(Math.min(missing.length, losses.length))
  for (const { line, reason } of lost)
    say(`Line ${line} of ${path} is set aside. ${reason} The rest is valid.`)
  const allDamages = [...damages.filter(({ isLoss }) => !isLoss), ...lost]
  return {
    damages: allDamages.map((damage) => ({
      ...damage,
      line: null,
      reason: `Line ${damage.line} of ${basename(path)}${damage.isLoss ? ' is set aside' : ''}: ${damage.reason}`,
    })),
    journal: { append, close: () => file.close() },
  }
}

function keyOf({ sort, id, version }: ShelfRow): string {
  return JSON.stringify([sort, id, version])
}
