import { asc, eq } from 'drizzle-orm'
import type { Database } from '../db/open'
import { shelfItems } from '../db/schema'
import { hashOf } from '../ledger/chain'
import type { Damage } from '../ledger/journal'
import { openLineFile, readLines } from '../lineFile'
import { putRows, type ShelfRow } from './items'

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
  const written = new Map<string, ShelfRow>()
  const damages: Damage[] = []
  for await (const { number, text, said } of readLines(path)) {
    const row = rowIn(said)
    if (row) written.set(keyOf(row), row)
    else
      damages.push({
        line: number,
        text,
        reason: said === undefined ? 'It cannot be read.' : 'It is not as it was written.',
      })
  }
  await putRows(db, [...written.values()])
  const held = await db
    .select()
    .from(shelfItems)
    .where(eq(shelfItems.origin, 'own'))
    .orderBy(asc(shelfItems.createdAt), asc(shelfItems.version))
  const missing = (held as ShelfRow[]).filter((row) => !written.has(keyOf(row)))
  await file.append(missing.map(withHash))
  if (missing.length > 0)
    say(
      `${missing.length} things of the lab’s own were missing from ${path}; they are back from the database.`,
    )
  // As many came back as were damaged: nothing is lost.
  const lost = damages.slice(Math.min(missing.length, damages.length))
  for (const { line, reason } of lost) say(`Line ${line} of ${path} is set aside. ${reason} The rest stands.`)
  return {
    damages: lost,
    journal: { append: (rows) => file.append(rows.map(withHash)), close: () => file.close() },
  }
}

function withHash(row: ShelfRow): ShelfRow & { hash: string } {
  const { sort, id, version, origin, body, createdAt, author } = row
  // Versions of before authors were kept have the hash they were given then.
  const plain = { sort, id, version, origin, body, createdAt, ...(author ? { author } : {}) }
  return { ...plain, hash: hashOf(plain) }
}

function rowIn(said: unknown): ShelfRow | null {
  const row = said as (Partial<ShelfRow> & { hash?: string }) | null | undefined
  if (typeof row?.sort !== 'string' || typeof row.id !== 'string' || !Number.isInteger(row.version))
    return null
  if (row.hash !== undefined && row.hash !== hashOf(row)) return null
  const { hash: _, ...plain } = row
  return plain as ShelfRow
}

/** The rows of a shelf’s journal that are as they were written. */
export function rowsIn(journal: Uint8Array): readonly ShelfRow[] {
  return Buffer.from(journal)
    .toString('utf8')
    .split('\n')
    .filter((line) => line !== '')
    .flatMap((line) => {
      try {
        return rowIn(JSON.parse(line)) ?? []
      } catch {
        return []
      }
    })
}

function keyOf({ sort, id, version }: ShelfRow): string {
  return JSON.stringify([sort, id, version])
}
