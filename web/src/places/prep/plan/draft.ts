import {
  attempt,
  type Compound,
  type CrystallizationInput,
  type CrystallizationPlan,
  planCrystallization,
  proposedVolumeML,
  readReading,
  type Shelf,
  type SolubilityPoint,
  type SolubilityRow,
  type Solvent,
  withVolumeML,
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
}
export type DraftField = keyof Draft

interface Planned {
  readonly input: CrystallizationInput
  readonly plan: CrystallizationPlan
  readonly proposedML: number
}
export type Outcome =
  | { readonly ok: true; readonly value: Planned }
  | { readonly ok: false; readonly field: DraftField | null; readonly sentence: string }

export const OWN_POINTS = 'typed by this bench'

export function shelfPoints(shelf: Shelf, compound: string, solvent: string): readonly SolubilityRow[] {
  return shelf.solubilities
    .filter((row) => row.compound === compound && row.solvent === solvent)
    .sort((p, q) => p.temperatureC - q.temperatureC)
}

export function typedPoints(rows: readonly SolubilityRow[]): TypedPoint[] {
  return rows.map((row) => ({ temperature: String(row.temperatureC), solubility: String(row.gPer100ML) }))
}

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

/** Reads what is typed and plans with it, or says which field is in the way and why. */
export function outcomeOf(draft: Draft, crudeG: number): Outcome {
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
  const product = readPoints(draft.product)
  if (typeof product === 'string') return { ok: false, field: 'product', sentence: product }
  const impurity = readPoints(draft.impurityPoints)
  if (typeof impurity === 'string') return { ok: false, field: 'impurityPoints', sentence: impurity }
  const least = {
    crudeG,
    assay: assayPercent / 100,
    product,
    hotC,
    coldC,
    washML,
    excess: 0,
    ...(impurity.length > 0 ? { impurity } : {}),
  }
  return withVolume(least, draft.volumeML)
}

const FIELDS = [
  ['assayPercent', 'The product fraction'],
  ['hotC', 'The hot temperature'],
  ['coldC', 'The cold temperature'],
  ['washML', 'The rinse'],
] as const

function withVolume(least: CrystallizationInput, volumeML: string): Outcome {
  const first = attempt(() => planCrystallization(least))
  if (!first.ok) return { ok: false, field: null, sentence: first.problem.sentence }
  const proposedML = proposedVolumeML(first.value)
  const read = volumeML.trim() === '' ? null : readReading(volumeML, 'The volume')
  if (read && !read.ok) return { ok: false, field: 'volumeML', sentence: read.problem.sentence }
  const planned = attempt(() => {
    const input = withVolumeML(least, read ? read.value.value : proposedML)
    return { input, plan: planCrystallization(input), proposedML }
  })
  return planned.ok ? planned : { ok: false, field: 'volumeML', sentence: planned.problem.sentence }
}

function readPoints(points: readonly TypedPoint[]): SolubilityPoint[] | string {
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
