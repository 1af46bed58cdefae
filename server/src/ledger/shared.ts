import { eq, sql } from 'drizzle-orm'
import type { NotebookId } from '@ivory-crystal/core/ids'
import type { RawEntry } from '@ivory-crystal/core/notebook'
import type { Clock } from '../clock'
import type { Database } from '../db/open'
import { entries, notebooks } from '../db/schema'
import { beginningOf, chained, type Linked } from './chain'
import { inserted, type PlacedLine } from './tables'

/** A database that others may write to as well counts for all of them: their rows are locked, one after the other. */
export function writeShared(
  db: Database,
  clock: Clock,
  accepted: ReadonlyMap<NotebookId, readonly RawEntry[]>,
): Promise<readonly PlacedLine[]> {
  return db.transaction(async (tx) => {
    const placed: PlacedLine[] = []
    for (const [notebook, lines] of [...accepted].sort(([p], [q]) => (p < q ? -1 : 1))) {
      await tx.select().from(notebooks).where(eq(notebooks.id, notebook)).for('update')
      const [last] = await tx
        .select({ seq: entries.seq, hash: entries.hash })
        .from(entries)
        .where(eq(entries.notebook, notebook))
        .orderBy(sql`${entries.seq} desc`)
        .limit(1)
      const recordedAt = clock.now()
      const head = { seq: last?.seq ?? 0, hash: last?.hash ?? beginningOf(notebook) }
      const linked = lines.map((entry, i): Linked => ({ seq: head.seq + 1 + i, recordedAt, entry }))
      const hashed = chained(head.hash, linked).map((line) => ({ ...line, notebook }))
      await tx.execute(inserted(hashed))
      placed.push(...hashed)
    }
    return placed
  })
}
