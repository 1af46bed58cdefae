import { createHash } from 'node:crypto'
import { type Conventions, DEFAULT_HOUSE_RULES } from '@ivory-crystal/core/conventions'
import { desc, sql } from 'drizzle-orm'
import type { Database } from '../db/open'
import { shelfItems } from '../db/schema'

export type ShelfSort =
  | 'compound'
  | 'solvent'
  | 'solubility'
  | 'instrument'
  | 'house rules'
  | 'procedure'
  /** Answers to unknowns: kept with the rest, shown to nobody. */
  | 'sealed answer'
/** One version of one thing on the shelf. */
export interface ShelfRow {
  readonly sort: ShelfSort
  readonly id: string
  readonly version: number
  readonly origin: string
  readonly body: unknown
  readonly createdAt: number
  /** Bench code of who put it there; null or missing where nobody said. */
  readonly author?: string | null
}

/** The body of a version that takes a thing off the shelf. */
export const TAKEN_OFF = { takenOff: true } as const
export function isOn(row: ShelfRow | undefined): row is ShelfRow {
  return row !== undefined && !(row.body as Partial<typeof TAKEN_OFF>).takenOff
}

const ROWS_AT_ONCE = 500

/** Writes rows; a version that is there already stays as it is. */
export async function putRows(db: Database, rows: readonly ShelfRow[]): Promise<void> {
  for (let from = 0; from < rows.length; from += ROWS_AT_ONCE)
    await db
      .insert(shelfItems)
      .values(rows.slice(from, from + ROWS_AT_ONCE))
      .onConflictDoNothing()
}

/** Writes rows; a version that is there and says something else is put right. */
export async function putRightRows(db: Database, rows: readonly ShelfRow[]): Promise<void> {
  for (let from = 0; from < rows.length; from += ROWS_AT_ONCE)
    await db
      .insert(shelfItems)
      .values(rows.slice(from, from + ROWS_AT_ONCE))
      .onConflictDoUpdate({
        target: [shelfItems.sort, shelfItems.id, shelfItems.version],
        set: {
          origin: sql`excluded.origin`,
          body: sql`excluded.body`,
          createdAt: sql`excluded.created_at`,
          author: sql`excluded.author`,
        },
      })
}

/** The newest version of everything, those taken off included. */
export async function newestRows(db: Database): Promise<ReadonlyMap<string, ShelfRow>> {
  const rows = await db.select().from(shelfItems).orderBy(desc(shelfItems.version))
  const newest = new Map<string, ShelfRow>()
  for (const row of rows) {
    const key = shelfKey(row.sort, row.id)
    if (!newest.has(key)) newest.set(key, row as ShelfRow)
  }
  return newest
}

export function shelfKey(sort: string, id: string): string {
  return `${sort} ${id}`
}

/** Solubilities and house rules have no id of their own: theirs is what they are of, or their name. */
export function idOf(sort: ShelfSort, body: unknown): string {
  if (sort === 'house rules') return rulesId(body as Conventions)
  if (sort !== 'solubility') return (body as { id: string }).id
  const { compound, solvent, temperatureC } = body as {
    compound: string
    solvent: string
    temperatureC: number
  }
  return `${compound}/${solvent}/${temperatureC}`
}

/** House rules are known by their name; the set every shelf began with keeps the id it was given then. */
function rulesId({ name }: Conventions): string {
  if (name === DEFAULT_HOUSE_RULES.name) return 'default'
  const short = name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 60)
  // Letters the short name leaves out would make one set replace another.
  const isAll = /^[\x20-\x7e]*$/.test(name) && short !== ''
  return isAll ? short : `${short}-${createHash('sha256').update(name).digest('hex').slice(0, 12)}`
}
