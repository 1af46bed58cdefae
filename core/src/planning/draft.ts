import { readReading } from '../weighing/reading'
import { workingTemperatures } from '../solubility/volume'
import type { Batch } from '../procedures/batch'
import { proposedKeptBackG } from '../procedures/batch'
import type { Compound, Confidence, SolubilityRow, Solvent } from '../substances/shelf'
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
  /** Empty: the proposed rinse. */
  readonly washML: string
  /** Crude put aside after the weighing, mg; empty: what is proposed. */
  readonly keptBackMg: string
  /** Who in charge was asked about what must not be used without. */
  readonly inCharge: string
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
  readonly shelf: Pick<Shelf, 'solvents' | 'procedures' | 'solubilities'>
  /** Ids of compounds and solvents the lab has closed. */
  readonly closed: readonly string[]
}

export const OWN_POINTS = 'typed at this bench'

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
  return shelf.solvents.map((solvent) => {
    const rows = shelfPoints(shelf, compound.id, solvent.id)
    return {
      solvent,
      product: rows.map(pointOf),
      impurity: impurity ? shelfPoints(shelf, impurity.id, solvent.id).map(pointOf) : [],
      confidence: lowestConfidence(rows),
    }
  })
}

const CONFIDENCES: readonly Confidence[] = ['low', 'medium', 'high']

/** The lowest confidence among rows; null where there are none, or one is the bench’s own. */
function lowestConfidence(rows: readonly SolubilityRow[]): Confidence | null {
  const confidences = rows.map(({ confidence }) => confidence)
  return confidences.includes(null) ? null : (CONFIDENCES.find((one) => confidences.includes(one)) ?? null)
}

/** The lowest confidence of the product’s points in a draft, as long as they are the shelf’s. */
export function confidenceOf(
  shelf: Pick<Shelf, 'solubilities'>,
  draft: Pick<Draft, 'solvent' | 'product'>,
  compound: Compound,
): Confidence | null {
  const rows = shelfPoints(shelf, compound.id, draft.solvent)
  const isOwn = JSON.stringify(typedPoints(rows)) !== JSON.stringify(draft.product)
  return isOwn ? null : lowestConfidence(rows)
}

/** Mass of crude kept back, g, as typed or proposed; NaN where what is typed is no number. */
export function keptBackG({ keptBackMg }: Pick<Draft, 'keptBackMg'>, weighedG: number): number {
  return keptBackMg.trim() === '' ? proposedKeptBackG(weighedG) : Number(keptBackMg) / 1000
}

/** What changes in a draft when another second solvent is picked: two work short of the lower boiling point. */
export function withSecond(
  shelf: Shelf,
  compound: Compound,
  draft: Pick<Draft, 'solvent'>,
  id: string,
): Partial<Draft> {
  const first = shelf.solvents.find((one) => one.id === draft.solvent)
  const second = shelf.solvents.find((one) => one.id === id) ?? null
  const at = first ? workingTemperatures(first, compound, second) : null
  return {
    second: id,
    secondPoints: second ? typedPoints(shelfPoints(shelf, compound.id, id)) : [],
    ...(at ? { hotC: String(at.hotC), coldC: String(at.coldC) } : {}),
  }
}

/** What changes in a draft when another solvent is picked: temperatures and points are of the new one. */
export function withSolvent(
  shelf: Shelf,
  compound: Compound,
  impurity: Compound | null,
  id: string,
  secondId = '',
): Partial<Draft> {
  const picked = shelf.solvents.find((one) => one.id === id)
  if (!picked) return { solvent: id }
  const second = shelf.solvents.find((one) => one.id === secondId) ?? null
  const { hotC, coldC } = workingTemperatures(picked, compound, second)
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
    return 'Two weighings never agree exactly. Enter a tolerance above 0 g.'
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
