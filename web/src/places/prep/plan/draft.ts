import {
  attempt,
  type Batch,
  chooseProcedure,
  type Compound,
  type Conventions,
  type CrystallizationInput,
  type CrystallizationPlan,
  fusionOf,
  type Insert,
  miscibilityDoubt,
  planBatch,
  planCrystallization,
  type PlannedPair,
  planSolventPair,
  pointsTrouble,
  type Procedure,
  type ProcedureChoice,
  PROCEDURES,
  proposedVolumeML,
  readReading,
  type Shelf,
  type SolubilityPoint,
  type SolubilityRow,
  type Solvent,
  type SolventCandidate,
  withVolumeML,
  workingTemperatures,
} from '@ivory-crystal/core'
import type { TypedPoint } from './PointsField'

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

export interface Planned {
  readonly input: CrystallizationInput
  readonly plan: CrystallizationPlan
  readonly proposedML: number
  readonly pair: PlannedPair | null
  readonly procedure: Procedure
  readonly choices: readonly ProcedureChoice[]
  /** What needs a look but does not stop the plan. */
  readonly remarks: readonly string[]
}
export type Outcome =
  | { readonly ok: true; readonly value: Planned }
  | { readonly ok: false; readonly field: DraftField | null; readonly sentence: string }

export const OWN_POINTS = 'typed by this bench'
/** More good solvent than the least, in a pair, so that it stays dissolved while the second is added. */
const PAIR_EXCESS = 0.1

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

function proceduresOf(shelf: Pick<Shelf, 'procedures'>): readonly Procedure[] {
  return [...PROCEDURES, ...shelf.procedures]
}

/** Reads what is typed and plans with it, or says which field is in the way and why. */
export function outcomeOf(draft: Draft, grounds: Grounds): Outcome {
  const numbers: Partial<Record<DraftField, number>> = {}
  for (const [field, name] of FIELDS) {
    const read = readReading(draft[field], name)
    if (!read.ok) return { ok: false, field, sentence: read.problem.sentence }
    numbers[field] = read.value.value
  }
  const { assayPercent = 0, hotC = 0, coldC = 0, washML = 0 } = numbers
  if (assayPercent <= 0 || assayPercent > 100)
    return {
      ok: false,
      field: 'assayPercent',
      sentence: 'The product fraction lies above 0 and up to 100 %.',
    }
  const read = readAll(draft)
  if ('sentence' in read) return { ok: false, ...read }
  const least = {
    crudeG: grounds.crudeG,
    assay: assayPercent / 100,
    product: read.product,
    hotC,
    coldC,
    washML,
    excess: 0,
    ...(read.impurityPoints.length > 0 ? { impurity: read.impurityPoints } : {}),
    ...(read.product.length === 1 || read.secondPoints.length === 1
      ? { productFusionKJPerMol: fusionOf(grounds.compound).enthalpyKJPerMol }
      : {}),
  }
  return draft.second === ''
    ? withOne(draft, grounds, least)
    : withPair(draft, grounds, least, read.secondPoints)
}

const FIELDS = [
  ['assayPercent', 'The product fraction'],
  ['hotC', 'The hot temperature'],
  ['coldC', 'The cold temperature'],
  ['washML', 'The rinse'],
] as const

function withOne(draft: Draft, grounds: Grounds, least: CrystallizationInput): Outcome {
  const first = attempt(() => planCrystallization(least))
  if (!first.ok) return { ok: false, field: null, sentence: first.problem.sentence }
  const proposedML = proposedVolumeML(first.value)
  const read = draft.volumeML.trim() === '' ? null : readReading(draft.volumeML, 'The volume')
  if (read && !read.ok) return { ok: false, field: 'volumeML', sentence: read.problem.sentence }
  const planned = attempt(() => withVolumeML(least, read ? read.value.value : proposedML))
  return planned.ok
    ? finished(draft, grounds, planned.value, proposedML, null)
    : { ok: false, field: 'volumeML', sentence: planned.problem.sentence }
}

function withPair(
  draft: Draft,
  grounds: Grounds,
  least: CrystallizationInput,
  poor: readonly SolubilityPoint[],
): Outcome {
  const solvent = grounds.shelf.solvents.find(({ id }) => id === draft.second)
  if (!solvent) return { ok: false, field: 'second', sentence: 'That solvent is not on the shelf.' }
  if (poor.length === 0)
    return {
      ok: false,
      field: 'secondPoints',
      sentence: `No solubility in ${solvent.name} is known. Add at least one point: a poor solvent has one too.`,
    }
  const planned = attempt(() => planSolventPair({ ...least, good: least.product, poor, excess: PAIR_EXCESS }))
  if (!planned.ok) return { ok: false, field: 'second', sentence: planned.problem.sentence }
  const { goodML, poorML, input } = planned.value
  return finished(draft, grounds, input, goodML + poorML, { solvent, points: poor, goodML, poorML })
}

function finished(
  draft: Draft,
  { crudeG, shelf }: Grounds,
  input: CrystallizationInput,
  proposedML: number,
  pair: PlannedPair | null,
): Outcome {
  const solvent = shelf.solvents.find(({ id }) => id === draft.solvent)
  if (!solvent) return { ok: false, field: 'solvent', sentence: 'Choose a solvent of the shelf.' }
  const first = planCrystallization(input)
  const choices = chooseProcedure(proceduresOf(shelf), {
    crudeG,
    plan: first,
    solvent,
    isPair: pair !== null,
  })
  const chosen = choices.find(
    ({ procedure, fit }) => procedure.id === draft.procedure && fit !== 'not for this',
  )
  const procedure = (chosen ?? choices[0])?.procedure
  if (!procedure) return { ok: false, field: 'procedure', sentence: 'There is no procedure to choose from.' }
  const plan = planBatch(procedure.collect, input)
  const remarks = [...remarksOf(draft, input, solvent, pair), ...glassRemarks(choices, procedure)]
  return { ok: true, value: { input, plan, proposedML, pair, procedure, choices, remarks } }
}

function glassRemarks(choices: readonly ProcedureChoice[], procedure: Procedure): string[] {
  const choice = choices.find((one) => one.procedure === procedure)
  return choice?.fit === 'not for this' ? [choice.because] : []
}

function remarksOf(
  draft: Draft,
  input: CrystallizationInput,
  solvent: Solvent,
  pair: PlannedPair | null,
): string[] {
  const product = readPoints(draft.product)
  const impurity = readPoints(draft.impurityPoints)
  const said = [
    ...(typeof product === 'string' ? [] : pointsTrouble(product, solvent)),
    ...(typeof impurity === 'string' ? [] : pointsTrouble(impurity, solvent)),
  ]
  if (pair) {
    const doubt = miscibilityDoubt(solvent, pair.solvent)
    if (doubt) said.push(doubt)
  }
  if (solvent.freezingPointC !== null && input.coldC < solvent.freezingPointC + 1)
    said.push(
      `${input.coldC} °C is at or under where ${solvent.name} freezes (${solvent.freezingPointC} °C): the whole flask would turn solid. Stay some degrees above.`,
    )
  if (solvent.boilingPointC !== null && input.hotC > solvent.boilingPointC + 0.5)
    said.push(
      `${input.hotC} °C is above where ${solvent.name} boils (${solvent.boilingPointC} °C): it cannot get that hot.`,
    )
  return said
}

type Points = 'product' | 'impurityPoints' | 'secondPoints'
function readAll(
  draft: Draft,
): Record<Points, SolubilityPoint[]> | { readonly field: DraftField; readonly sentence: string } {
  const read: Record<Points, SolubilityPoint[]> = { product: [], impurityPoints: [], secondPoints: [] }
  for (const field of ['product', 'impurityPoints', 'secondPoints'] as const) {
    const points = readPoints(draft[field])
    if (typeof points === 'string') return { field, sentence: points }
    read[field] = points
  }
  return read
}

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
