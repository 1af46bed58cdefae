import { queue } from '../queue'
import { isDeepStrictEqual } from 'node:util'
import { and, asc, eq } from 'drizzle-orm'
import { type Conventions, DEFAULT_HOUSE_RULES } from '@ivory-crystal/core/conventions'
import { SIMULATED_INSTRUMENTS, wholeInstrument, type Instrument } from '@ivory-crystal/core/instruments'
import type { Compound, Solvent } from '@ivory-crystal/core/substances'
import type { Shelf, ShelfReport, ShelfVersion } from '@ivory-crystal/core/wire'
import { type OwnSort, shelfRefusal, unstorable } from '@ivory-crystal/core/checks'
import type { Clock } from '../clock'
import type { Database } from '../db/open'
import { shelfItems } from '../db/schema'
import { HttpProblem } from '../http/problem'
import { idOf, isOn, newestRows, putRows, shelfKey, type ShelfRow, TAKEN_OFF } from './items'
import type { ShelfJournal } from './journal'
import { rowRefusal } from './rows'

export interface ShelfStore {
  read(): Promise<Shelf>
  /**
   * Puts rows on the shelf, each as a new version where it changes something; with `dryRun` only says what would be.
   *
   * @param author bench code of who does it; null when nobody said
   */
  put(sort: OwnSort, bodies: readonly unknown[], dryRun: boolean, author: string | null): Promise<ShelfReport>
  /** Takes one thing off the shelf; its versions stay on record. */
  takeOff(sort: OwnSort, id: string, author: string | null): Promise<void>
  versions(sort: OwnSort, id: string): Promise<readonly ShelfVersion[]>
  /**
   * Keeps an answer that no reading of the shelf shows.
   *
   * @param clashes whether another that is kept leaves no place for this one
   * @returns what stands: this one, or the one it clashes with
   */
  keepSealed(
    id: string,
    body: unknown,
    clashes?: (other: unknown) => boolean,
  ): Promise<{ readonly id: string; readonly body: unknown }>
  sealed(id: string): Promise<unknown>
  /** Takes versions in that are not here, as they are; answers with how many. With `dryRun` it only counts them. */
  takeIn(rows: readonly ShelfRow[], dryRun: boolean): Promise<number>
}

/** The shelf: ordinary rows, changed by new versions only. Plans keep the values they were made with. */
export function openShelf(db: Database, journal: ShelfJournal | null, clock: Clock): ShelfStore {
  /** One writer at a time, so that versions are counted without gaps. */
  const inTurn = queue()

  /** With a journal this process is the only writer, so the shelf is read once and kept up to date here. */
  let known: Map<string, ShelfRow> | null = null
  async function newest(): Promise<ReadonlyMap<string, ShelfRow>> {
    if (known && journal) return known
    known = new Map(await newestRows(db))
    return known
  }

  async function storeRows(rows: readonly ShelfRow[]): Promise<void> {
    const refused = rows.map(rowRefusal).find((sentence) => sentence !== null)
    if (refused) throw new HttpProblem(400, 'Cannot be saved', refused)
    await journal?.append(rows)
    await putRows(db, rows)
    for (const row of rows) known?.set(shelfKey(row.sort, row.id), row)
  }

  return {
    read: async () => shelfOf(await newest()),
    put: (sort, bodies, dryRun, author) =>
      inTurn(async () => {
        const before = await newest()
        const report = { added: 0, changed: 0, same: 0, refused: [] as { row: number; sentence: string }[] }
        const rows = new Map<string, ShelfRow>()
        const { finish } = await finisher(sort, before)
        for (const [i, raw] of bodies.entries()) {
          const finished = finish(raw)
          if ('sentence' in finished) {
            report.refused.push({ row: i + 1, sentence: finished.sentence })
            continue
          }
          const id = idOf(sort, finished.body)
          const standing = before.get(shelfKey(sort, id))
          if (rows.has(id)) {
            report.refused.push({
              row: i + 1,
              sentence: `“${id}” is in this file twice; the first one is used.`,
            })
            continue
          }
          if (standing && isDeepStrictEqual(standing.body, finished.body)) {
            report.same += 1
            continue
          }
          report[isOn(standing) ? 'changed' : 'added'] += 1
          rows.set(id, {
            sort,
            id,
            version: (standing?.version ?? 0) + 1,
            origin: 'own',
            body: finished.body,
            createdAt: clock.now(),
            author,
          })
        }
        if (!dryRun) await storeRows([...rows.values()])
        return report
      }),
    takeOff: (sort, id, author) =>
      inTurn(async () => {
        const before = (await newest()).get(shelfKey(sort, id))
        if (!isOn(before)) throw new HttpProblem(404, 'Not on the shelf', `“${id}” is not on the shelf.`)
        const version = before.version + 1
        await storeRows([
          { sort, id, version, origin: 'own', body: TAKEN_OFF, createdAt: clock.now(), author },
        ])
      }),
    keepSealed: (id, body, clashes = () => false) =>
      inTurn(async () => {
        const before = await newest()
        const standing = [...before.values()].find(
          (row) => row.sort === 'sealed answer' && (row.id === id || clashes(row.body)),
        )
        if (standing) return standing
        await storeRows([
          { sort: 'sealed answer', id, version: 1, origin: 'own', body, createdAt: clock.now() },
        ])
        return { id, body }
      }),
    takeIn: (rows, dryRun) =>
      inTurn(async () => {
        const here = new Set(
          (await db.select().from(shelfItems)).map(({ sort, id, version }) =>
            JSON.stringify([sort, id, version]),
          ),
        )
        const fresh = rows.filter(
          (row) => !here.has(JSON.stringify([row.sort, row.id, row.version])) && rowRefusal(row) === null,
        )
        if (!dryRun && fresh.length > 0) {
          await storeRows(fresh)
          // A version that came in need not be the newest.
          known = null
        }
        return fresh.length
      }),
    sealed: async (id) => (await newest()).get(shelfKey('sealed answer', id))?.body ?? null,
    async versions(sort, id) {
      const rows = await db
        .select()
        .from(shelfItems)
        .where(and(eq(shelfItems.sort, sort), eq(shelfItems.id, id)))
        .orderBy(asc(shelfItems.version))
      return rows.map(({ version, origin, createdAt, author, body }) => ({
        version,
        origin,
        createdAt,
        author,
        body,
      }))
    },
  }
}

type Finished = { readonly body: unknown } | { readonly sentence: string }

/** Checks a row and completes it: formula and molar mass of a compound come from its structure. */
async function finisher(
  sort: OwnSort,
  newest: ReadonlyMap<string, ShelfRow>,
): Promise<{ finish: (raw: unknown) => Finished }> {
  const structureOf =
    sort === 'compound' ? (await import('@ivory-crystal/core/structures')).structureOf : null
  const readFormula =
    sort === 'compound' ? (await import('@ivory-crystal/core/structures/formula')).readFormula : null
  const onShelf = (of: string, id: string) => isOn(newest.get(shelfKey(of, id)))
  return {
    finish(raw) {
      const completed = structureOf && readFormula ? withMass(raw, structureOf, readFormula) : { body: raw }
      if ('sentence' in completed) return completed
      const sentence = unstorable(completed.body) ?? shelfRefusal(sort, completed.body)
      if (sentence) return { sentence }
      if (sort === 'solubility') {
        const { compound, solvent } = completed.body as { compound: string; solvent: string }
        if (!onShelf('compound', compound))
          return { sentence: `There is no compound “${compound}” on the shelf to be dissolved.` }
        if (!onShelf('solvent', solvent))
          return { sentence: `There is no solvent “${solvent}” on the shelf.` }
      }
      if (sort === 'instrument' && isSimulated(newest.get(shelfKey(sort, idOf(sort, completed.body)))))
        return { sentence: 'That is a simulated instrument of the app. Give yours another name.' }
      return completed
    },
  }
}

function isSimulated(row: ShelfRow | undefined): boolean {
  return isOn(row) && (row.body as Instrument).simulated
}

const MASS_WITHIN_GPERMOL = 0.05

interface Weighed {
  readonly formula: string
  readonly molarMassGPerMol: number
}

function withMass(
  raw: unknown,
  structureOf: (smiles: string) => Weighed,
  readFormula: (typed: string) => Weighed | null,
): Finished {
  const body = raw as Partial<Compound> | null
  if (typeof body?.smiles !== 'string' || body.smiles === '') {
    const read = typeof body?.formula === 'string' ? readFormula(body.formula) : null
    return read && body?.molarMassGPerMol === undefined
      ? { body: { ...body, molarMassGPerMol: read.molarMassGPerMol } }
      : { body: raw }
  }
  try {
    const { formula, molarMassGPerMol } = structureOf(body.smiles)
    const given = body.molarMassGPerMol
    if (typeof given === 'number' && Math.abs(given - molarMassGPerMol) > MASS_WITHIN_GPERMOL)
      return {
        sentence: `The structure weighs ${molarMassGPerMol.toFixed(2)} g/mol, the row says ${given}: one of the two belongs to another compound.`,
      }
    return {
      body: { ...body, formula: body.formula || formula, molarMassGPerMol: given ?? molarMassGPerMol },
    }
  } catch {
    return { sentence: `“${body.smiles.slice(0, 60)}” cannot be read as a structure (SMILES).` }
  }
}

function shelfOf(newest: ReadonlyMap<string, ShelfRow>): Shelf {
  const rows = [...newest.values()].filter(isOn)
  const of = <T>(sort: ShelfRow['sort']) =>
    rows.filter((row) => row.sort === sort).map((row) => row.body as T)
  return {
    compounds: of<Compound>('compound').sort((p, q) => p.name.localeCompare(q.name)),
    solvents: of<Solvent>('solvent').sort((p, q) => p.name.localeCompare(q.name)),
    solubilities: of('solubility'),
    instruments: of('instrument').map(wholeInstrument).sort(simulatedLast),
    houseRules: of<Conventions>('house rules').sort(defaultFirst),
    procedures: of('procedure'),
  }
}

function simulatedLast(p: Instrument, q: Instrument): number {
  return (
    Number(p.simulated) - Number(q.simulated) || order(p.id) - order(q.id) || p.name.localeCompare(q.name)
  )
}
const SHIPPED = SIMULATED_INSTRUMENTS.map(({ id }) => id as string)
function order(id: string): number {
  return SHIPPED.indexOf(id)
}

/** The first set is in force where a notebook has taken none. */
function defaultFirst(p: Conventions, q: Conventions): number {
  const first = (one: Conventions) => Number(one.name !== DEFAULT_HOUSE_RULES.name)
  return first(p) - first(q) || p.name.localeCompare(q.name)
}
