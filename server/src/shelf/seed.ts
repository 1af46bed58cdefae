import { SCHOOLS } from '@ivory-crystal/core/conventions'
import { SIMULATED_INSTRUMENTS } from '@ivory-crystal/core/instruments'
import type { SolubilityRow } from '@ivory-crystal/core/substances'
import { CORE_VERSION } from '@ivory-crystal/core/version'
import { isDeepStrictEqual } from 'node:util'
import { count } from 'drizzle-orm'
import type { Clock } from '../clock'
import type { Database } from '../db/open'
import { shelfItems } from '../db/schema'
import { idOf, isOn, newestRows, putRows, shelfKey, type ShelfRow, TAKEN_OFF } from './items'

type Item = Pick<ShelfRow, 'sort' | 'id' | 'origin' | 'body'>

/**
 * Puts the reference values on an empty shelf. One that holds anything keeps what the lab made of it, and gains what a
 * later version brought: simulated instruments and schools that are missing, and a new version of every reference row
 * that was mended and that nobody here has changed. Preps keep the rows they were planned with.
 */
export async function seedShelf(db: Database, clock: Clock): Promise<void> {
  const [held] = await db.select({ rows: count() }).from(shelfItems)
  if ((held?.rows ?? 0) === 0) {
    await putFirst(db, clock, await referenceItems())
    return
  }
  await putFirst(db, clock, benchItems())
  await putMended(db, clock)
}

/** Keys that are worked out or name the build: they make no row another one. */
const WORKED_OUT = ['molarMassGPerMol', 'source'] as const

async function putMended(db: Database, clock: Clock): Promise<void> {
  const { REFERENCE_COMPOUNDS, REFERENCE_SOLVENTS, REFERENCE_SOLUBILITIES } =
    await import('@ivory-crystal/core/reference')
  const newest = await newestRows(db)
  const post = (body: object) => {
    const plain = JSON.parse(JSON.stringify(body)) as Record<string, unknown>
    return Object.fromEntries(Object.entries(plain).filter(([key]) => !WORKED_OUT.includes(key as never)))
  }
  const isMended = (sort: 'compound' | 'solvent', body: { readonly id: string }) => {
    const row = newest.get(shelfKey(sort, body.id))
    return row?.origin === REFERENCE && isOn(row) && !isDeepStrictEqual(post(row.body as object), post(body))
  }
  const mended = new Set([
    ...REFERENCE_COMPOUNDS.filter((row) => isMended('compound', row)).map(({ id }) =>
      shelfKey('compound', id),
    ),
    ...REFERENCE_SOLVENTS.filter((row) => isMended('solvent', row)).map(({ id }) => shelfKey('solvent', id)),
  ])
  // What a later version knows is added; to a pair that ever had points here, whoever's they were, nothing is.
  const pairs = new Set([...newest.keys()].flatMap((key) => PAIR_OF_KEY.exec(key)?.[1] ?? []))
  const isNew = (sort: 'compound' | 'solvent', id: string) => !newest.has(shelfKey(sort, id))
  const isAdded = ({ sort, id, body }: Item) =>
    sort === 'solubility'
      ? !pairs.has(pairOf(body as SolubilityRow))
      : (sort === 'compound' || sort === 'solvent') && isNew(sort, id)
  const isShort =
    REFERENCE_COMPOUNDS.some(({ id }) => isNew('compound', id)) ||
    REFERENCE_SOLVENTS.some(({ id }) => isNew('solvent', id)) ||
    REFERENCE_SOLUBILITIES.some((row) => !pairs.has(pairOf(row)))
  // Molar masses come from structures, a package of its own: only where something is to be written.
  if (mended.size === 0 && !isShort) return
  const reference = await referenceItems()
  await putFirst(db, clock, reference.filter(isAdded))
  const items = reference.filter(({ sort, id }) => mended.has(shelfKey(sort, id)))
  await putRows(
    db,
    items.map((item) => ({
      ...item,
      version: (newest.get(shelfKey(item.sort, item.id))?.version ?? 0) + 1,
      createdAt: clock.now(),
    })),
  )
}

const REFERENCE = 'reference'
/** The pair in the key of a point: compound and solvent, without the temperature. */
const PAIR_OF_KEY = /^solubility (.+)\/[^/]+$/
const pairOf = ({ compound, solvent }: Pick<SolubilityRow, 'compound' | 'solvent'>) =>
  `${compound}/${solvent}`

/**
 * Adds points of the bench's own, which are no reference values, to the shelf. A pair that was measured is known by its
 * own points: the reference values of it are taken off, and stay on record.
 */
export async function addOwnPoints(
  db: Database,
  clock: Clock,
  points: readonly SolubilityRow[],
): Promise<void> {
  const own = points.map((row): Item => ({ ...solubilityItem(row), origin: 'demo' }))
  const measured = new Set(points.map(pairOf))
  const ids = new Set(own.map(({ id }) => id))
  const newest = await newestRows(db)
  const taken = [...newest.values()].filter(
    (row) =>
      row.sort === 'solubility' &&
      row.origin === REFERENCE &&
      isOn(row) &&
      measured.has(pairOf(row.body as SolubilityRow)),
  )
  // Once: what stands there already, or was changed or taken off here, stays as it is.
  const before = (item: Item) => newest.get(shelfKey(item.sort, item.id))
  const missing = own.filter((item) => before(item) === undefined || before(item)?.origin === REFERENCE)
  await putRows(db, [
    ...missing.map((item) => ({
      ...item,
      version: (before(item)?.version ?? 0) + 1,
      createdAt: clock.now(),
    })),
    ...taken
      .filter(({ id }) => !ids.has(id))
      .map((row) => ({ ...row, version: row.version + 1, body: TAKEN_OFF, createdAt: clock.now() })),
  ])
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
  const madeFor = `, compiled ${reference.REFERENCE_COMPILED}; set of version ${CORE_VERSION}`
  const source = reference.REFERENCE_SOURCE + madeFor
  const origin = REFERENCE
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
    ...reference.REFERENCE_SOLUBILITIES.map((row) => ({
      ...solubilityItem({ ...row, source: row.source + madeFor }),
      origin,
    })),
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
