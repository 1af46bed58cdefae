import { inArray } from 'drizzle-orm'
import type { RawEntry } from '@ivory-crystal/core/notebook'
import type { Database } from '../db/open'
import { entries } from '../db/schema'
import { idOf, type Known, UUID } from './sortOut'

/** Ids asked for in one question: a database takes so many at most. */
const ASKED_AT_ONCE = 5000

/**
 * Those of the lines that the database holds already, by id.
 *
 * @param newest greatest id there is, so that later ones need not be asked for; null when that is not known
 */
export async function knownLines(
  db: Database,
  groups: readonly (readonly unknown[])[],
  newest: string | null,
): Promise<Known> {
  const ids = groups
    .flat()
    .map(idOf)
    .filter((id) => UUID.test(id) && (newest === null || id <= newest))
  const known = new Map<string, { seq: number; entry: RawEntry }>()
  for (let i = 0; i < ids.length; i += ASKED_AT_ONCE) {
    const rows = await db
      .select({ id: entries.id, seq: entries.seq, entry: entries.entry })
      .from(entries)
      .where(inArray(entries.id, ids.slice(i, i + ASKED_AT_ONCE)))
    for (const row of rows) known.set(row.id, row)
  }
  return known
}
