import { asc, eq, sql } from 'drizzle-orm'
import type { NotebookId } from '@ivory-crystal/core/ids'
import type { Database } from '../db/open'
import { entries, notebooks } from '../db/schema'
import { knownLines } from './known'
import type { LedgerStore } from './storeTypes'

/**
 * What is asked of the tables.
 *
 * @param tablesFollow until everything that was answered for stands in them
 */
export function readsOf(
  db: Database,
  tablesFollow: () => Promise<void>,
): Pick<LedgerStore, 'notebooks' | 'known' | 'authors' | 'ofKind' | 'ofSubject'> {
  return {
    async notebooks() {
      await tablesFollow()
      const rows = await db.select().from(notebooks).orderBy(asc(notebooks.createdAt), asc(notebooks.id))
      return rows.map(({ id, title, createdAt }) => ({ id: id as NotebookId, title, createdAt }))
    },
    async known(lines) {
      await tablesFollow()
      return knownLines(db, [lines], null)
    },
    async authors(notebook) {
      await tablesFollow()
      const author = sql<string>`${entries.entry}->>'author'`
      const rows = await db.selectDistinct({ author }).from(entries).where(eq(entries.notebook, notebook))
      return rows.map((row) => row.author)
    },
    async ofKind(kind) {
      await tablesFollow()
      const rows = await db
        .select({ entry: entries.entry })
        .from(entries)
        .where(eq(entries.kind, kind))
        .orderBy(asc(entries.id))
      return rows.map((row) => row.entry)
    },
    async ofSubject(notebook, subject) {
      await tablesFollow()
      const rows = await db
        .select({ entry: entries.entry })
        .from(entries)
        .where(sql`${entries.notebook} = ${notebook} and ${entries.subject} = ${subject}`)
        .orderBy(asc(entries.id))
      return rows.map((row) => row.entry)
    },
  }
}
