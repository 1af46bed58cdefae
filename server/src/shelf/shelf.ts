import { desc } from 'drizzle-orm'
import { Router } from 'express'
import type { Compound, Shelf } from '@ivory-crystal/core'
import type { Database } from '../db/open'
import { shelfItems } from '../db/schema'

/** The newest version of everything on the shelf. */
export async function readShelf(db: Database): Promise<Shelf> {
  const rows = await db.select().from(shelfItems).orderBy(desc(shelfItems.version))
  const newest = new Map<string, (typeof rows)[number]>()
  for (const row of rows) if (!newest.has(`${row.sort} ${row.id}`)) newest.set(`${row.sort} ${row.id}`, row)
  const of = <T>(sort: string) =>
    [...newest.values()].filter((row) => row.sort === sort).map((row) => row.body as T)
  return {
    compounds: of<Compound>('compound').sort((p, q) => p.name.localeCompare(q.name)),
    solvents: of('solvent'),
    solubilities: of('solubility'),
    instruments: of('instrument'),
    houseRules: of('house rules'),
  }
}

export function shelfRoutes(db: Database): Router {
  const router = Router()
  router.get('/shelf', async (_request, response) => {
    response.json(await readShelf(db))
  })
  return router
}
