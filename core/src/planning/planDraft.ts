import { attempt } from '../problems'
import { chooseProcedure, type ProcedureChoice } from '../procedures/chooseProcedure'
import { fusionOf } from '../reference/fusionOf'
import { miscibilityDoubt, planSolventPair } from '../solubility/solventPair'
import { planBatch } from '../procedures/planBatch'
import {
  type CrystallizationInput,
  type CrystallizationPlan,
  planCrystallization,
} from '../solubility/planCrystallization'
import { pointsTrouble } from '../solubility/pointsTrouble'
import { PROCEDURES } from '../procedures/shipped'
import { proposedVolumeML, withVolumeML } from '../solubility/volume'
import { readReading } from '../weighing/reading'
import type { PlannedPair } from '../notebook/kinds/plan-fixed/kind'
import type { Procedure } from '../procedures/procedure'
import type { Shelf } from '../wire'
import type { SolubilityPoint } from '../solubility/solubilityAt'
import type { Solvent } from '../reference/shelf'
import { type Draft, type DraftField, type Grounds, readPoints } from './draft'

/** More good solvent than the least, in a pair, so that it stays dissolved while the second is added. */
const PAIR_EXCESS = 0.1

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
