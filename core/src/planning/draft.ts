import { readReading } from '../weighing/reading'
import { workingTemperatures } from '../solubility/volume'
import type { Batch } from '../procedures/render'
import type { Compound, SolubilityRow, Solvent } from '../reference/shelf'
import type { Conventions } from '../conventions/conventions'
import type { Insert } from '../procedures/procedure'
import type { Shelf } from '../wire'
import type { SolubilityPoint } from '../solubility/solubilityAt'
import type { SolventCandidate } from '../solubility/rankSolvents'

/** A solubility point as it is being typed. */
export interface TypedPoint {
  readonly temperature: string
  readonly solubility: string
}

/** The plan as it is being typed. */
export interface Draft {
  readonly assayPercent: string
  readonly impurity: string
  readonly solvent: string
  readonly hotC: string
  readonly coldC: string
  readonly washML: string
  /** Empty: the proposed volume. */
  readonly volumeML: string
  readonly product: readonly TypedPoint[]
  readonly impurityPoints: readonly TypedPoint[]
  /** Id of a second solvent; empty for one alone. */
  readonly second: string
  readonly secondPoints: readonly TypedPoint[]
  readonly amount: Batch['amount']
  readonly inserts: readonly Insert[]
  /** Id of a procedure; empty: the proposed one. */
  readonly procedure: string
  /** House rules of this plan where they differ from the lab's: how dry, and where stones go. */
  readonly dryRule: 'minutes of air' | 'constant mass'
  readonly dryMin: string
  readonly toleranceG: string
  readonly stones: Conventions['boilingStones']
}
export type DraftField = keyof Draft

/** What a draft is planned with, besides what is typed. */
export interface Grounds {
  readonly crudeG: number
  readonly compound: Compound
  readonly shelf: Pick<Shelf, 'solvents' | 'procedures'>
}

export const OWN_POINTS = 'typed by this bench'

export function shelfPoints(
  shelf: Pick<Shelf, 'solubilities'>,
  compound: string,
  solvent: string,
): readonly SolubilityRow[] {
  return shelf.solubilities
    .filter((row) => row.compound === compound && row.solvent === solvent)
    .sort((p, q) => p.temperatureC - q.temperatureC)
}

export function typedPoints(rows: readonly SolubilityRow[]): TypedPoint[] {
  return rows.map((row) => ({ temperature: String(row.temperatureC), solubility: String(row.gPer100ML) }))
}
const pointOf = (row: SolubilityRow): SolubilityPoint => [row.temperatureC, row.gPer100ML]

/** Solvents with data for this compound first. */
export function solventsFor(
  shelf: Shelf,
  compound: Compound,
): readonly { readonly solvent: Solvent; readonly known: boolean }[] {
  const known = new Set(
    shelf.solubilities.filter((row) => row.compound === compound.id).map((row) => row.solvent),
  )
  return [...shelf.solvents]
    .map((solvent) => ({ solvent, known: known.has(solvent.id) }))
    .sort((p, q) => Number(q.known) - Number(p.known))
}

/** Every solvent of the shelf with what is known of product and impurity in it, for ranking. */
export function candidatesOf(
  shelf: Shelf,
  compound: Compound,
  impurity: Compound | null,
): readonly SolventCandidate[] {
  return shelf.solvents.map((solvent) => ({
    solvent,
    product: shelfPoints(shelf, compound.id, solvent.id).map(pointOf),
    impurity: impurity ? shelfPoints(shelf, impurity.id, solvent.id).map(pointOf) : [],
  }))
}

/** What changes in a draft when another solvent is picked: temperatures and points are of the new one. */
export function withSolvent(
  shelf: Shelf,
  compound: Compound,
  impurity: Compound | null,
  id: string,
): Partial<Draft> {
  const picked = shelf.solvents.find((one) => one.id === id)
  if (!picked) return { solvent: id }
  const { hotC, coldC } = workingTemperatures(picked, compound)
  return {
    solvent: id,
    hotC: String(hotC),
    coldC: String(coldC),
    volumeML: '',
    product: typedPoints(shelfPoints(shelf, compound.id, id)),
    impurityPoints: impurity ? typedPoints(shelfPoints(shelf, impurity.id, id)) : [],
  }
}

/** House rules as they stand in a draft before anything is changed. */
export function ruleFields({
  drying,
  boilingStones,
}: Conventions): Pick<Draft, 'dryRule' | 'dryMin' | 'toleranceG' | 'stones'> {
  return {
    dryRule: drying.constantMassToleranceG === null ? 'minutes of air' : 'constant mass',
    dryMin: String(drying.atLeastMin),
    toleranceG: String(drying.constantMassToleranceG ?? 0.002),
    stones: boilingStones,
  }
}

/**
 * The house rules a plan is made under: the lab's, with what this draft changes in them.
 *
 * @returns the rules, or the sentence about what cannot be read
 */
export function rulesOf(draft: Draft, lab: Conventions): Conventions | string {
  const minutes = readReading(draft.dryMin, 'The drying time')
  if (!minutes.ok) return minutes.problem.sentence
  const tolerance = draft.dryRule === 'constant mass' ? readReading(draft.toleranceG, 'The tolerance') : null
  if (tolerance && !tolerance.ok) return tolerance.problem.sentence
  if (minutes.value.value < 0 || minutes.value.value > 10_000)
    return 'A drying time runs from 0 to 10 000 min.'
  if (tolerance && tolerance.value.value <= 0)
    return 'Two weighings never agree to nothing: give a tolerance above 0 g.'
  const rules: Conventions = {
    ...lab,
    drying: {
      atLeastMin: minutes.value.value,
      constantMassToleranceG: tolerance ? tolerance.value.value : null,
    },
    boilingStones: draft.stones,
  }
  const changed =
    rules.drying.atLeastMin !== lab.drying.atLeastMin ||
    rules.drying.constantMassToleranceG !== lab.drying.constantMassToleranceG ||
    rules.boilingStones !== lab.boilingStones
  return changed && !lab.name.endsWith(CHANGED) ? { ...rules, name: `${lab.name}${CHANGED}` } : rules
}
const CHANGED = ', changed for this prep'

export function readPoints(points: readonly TypedPoint[]): SolubilityPoint[] | string {
  const read: SolubilityPoint[] = []
  for (const { temperature, solubility } of points) {
    if (temperature.trim() === '' && solubility.trim() === '') continue
    const c = readReading(temperature, 'The temperature of a solubility point')
    if (!c.ok) return c.problem.sentence
    const s = readReading(solubility, 'The solubility of a point')
    if (!s.ok) return s.problem.sentence
    read.push([c.value.value, s.value.value])
  }
  return read
}
