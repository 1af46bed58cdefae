import { CORE_VERSION, SCHOOLS, SIMULATED_INSTRUMENTS, type SolubilityRow } from '@ivory-crystal/core'
import { count } from 'drizzle-orm'
import type { Clock } from '../clock'
import type { Database } from '../db/open'
import { shelfItems } from '../db/schema'
import { idOf, putRows, type ShelfRow } from './items'

type Item = Pick<ShelfRow, 'sort' | 'id' | 'origin' | 'body'>

/**
 * Puts the reference values on an empty shelf. One that holds anything keeps what it has, and gains only the
 * simulated instruments and schools a later version brought.
 */
export async function seedShelf(db: Database, clock: Clock): Promise<void> {
  const [held] = await db.select({ rows: count() }).from(shelfItems)
  await putFirst(db, clock, (held?.rows ?? 0) > 0 ? benchItems() : await referenceItems())
}

/** Adds points of the bench's own, which are no reference values, to the shelf. */
export async function addOwnPoints(
  db: Database,
  clock: Clock,
  points: readonly SolubilityRow[],
): Promise<void> {
  await putFirst(
    db,
    clock,
    points.map((row) => ({ ...solubilityItem(row), origin: 'demo' })),
  )
}

async function putFirst(db: Database, clock: Clock, items: readonly Item[]): Promise<void> {
  await putRows(
    db,
    items.map((item) => ({ ...item, version: 1, createdAt: clock.now() })),
  )
}

async function referenceItems(): Promise<Item[]> {
  const [reference, { structureOf }] = await Promise.all([
    import('@ivory-crystal/core/reference'),
    import('@ivory-crystal/core/structures'),
  ])
  const source = `${reference.REFERENCE_SOURCE}; set of version ${CORE_VERSION}`
  const origin = 'reference'
  return [
    ...reference.REFERENCE_COMPOUNDS.map((row): Item => {
      const { molarMassGPerMol } = structureOf(row.smiles)
      return { sort: 'compound', id: row.id, origin, body: { ...row, molarMassGPerMol, source } }
    }),
    ...reference.REFERENCE_SOLVENTS.map((row): Item => ({
      sort: 'solvent',
      id: row.id,
      origin,
      body: { ...row, source },
    })),
    ...reference.REFERENCE_SOLUBILITIES.map((row) => ({ ...solubilityItem({ ...row, source }), origin })),
    ...benchItems(),
  ]
}

/** Simulated instruments and schools: an upgrade adds what is missing, and overwrites nothing. */
function benchItems(): Item[] {
  return [
    ...SIMULATED_INSTRUMENTS.map((body): Item => ({
      sort: 'instrument',
      id: body.id,
      origin: 'simulated',
      body,
    })),
    ...SCHOOLS.map((body): Item => ({
      sort: 'house rules',
      id: idOf('house rules', body),
      origin: 'default',
      body,
    })),
  ]
}

function solubilityItem(row: SolubilityRow): Item {
  return { sort: 'solubility', id: idOf('solubility', row), origin: 'own', body: row }
}
