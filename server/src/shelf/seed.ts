import {
  CORE_VERSION,
  DEFAULT_HOUSE_RULES,
  PROGRAMMABLE_BLOCK,
  type Instrument,
  type InstrumentId,
  type SolubilityRow,
} from '@ivory-crystal/core'
import { count } from 'drizzle-orm'
import type { Clock } from '../clock'
import type { Database } from '../db/open'
import { shelfItems } from '../db/schema'
import { idOf, putRows, type ShelfRow } from './items'

type Item = Pick<ShelfRow, 'sort' | 'id' | 'origin' | 'body'>

const PROGRAMMABLE: Instrument = {
  id: 'programmable-block' as InstrumentId,
  name: 'Programmable block',
  sort: 'programmable block',
  simulated: true,
  character: PROGRAMMABLE_BLOCK,
}

/** Puts the reference values on an empty shelf. A shelf that holds anything is left as it is. */
export async function seedShelf(db: Database, clock: Clock): Promise<void> {
  const [held] = await db.select({ rows: count() }).from(shelfItems)
  if ((held?.rows ?? 0) > 0) return
  await putFirst(db, clock, await referenceItems())
}

/** Adds points of the bench's own, which are no reference values, to the shelf. */
export async function addOwnPoints(
  db: Database,
  clock: Clock,
  points: readonly SolubilityRow[],
): Promise<void> {
  await putFirst(db, clock, points.map(solubilityItem))
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
    { sort: 'instrument', id: PROGRAMMABLE.id, origin: 'simulated', body: PROGRAMMABLE },
    { sort: 'house rules', id: 'default', origin: 'default', body: DEFAULT_HOUSE_RULES },
  ]
}

function solubilityItem(row: SolubilityRow): Item {
  return { sort: 'solubility', id: idOf('solubility', row), origin: 'own', body: row }
}
