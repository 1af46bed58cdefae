import { attempt, ok, type Result, refuse } from '../problems'
import { chooseProcedure, type ProcedureChoice } from '../procedures/chooseProcedure'
import { boilsFromC, boilsInWords } from '../substances/boiling'
import { reactionOf } from '../substances/reactions'
import { fusionOf } from '../substances/fusionOf'
import { proposedSolventPair } from '../solubility/solventPair'
import { planBatch } from '../procedures/planBatch'
import {
  type CrystallizationInput,
  type CrystallizationPlan,
  planCrystallization,
} from '../solubility/planCrystallization'
import { PROCEDURES } from '../procedures/shipped'
import { hottestOfPairC, type ProposedVolume, proposedVolume, withVolumeML } from '../solubility/volume'
import { proposedRinseML, rinsedBy } from '../solubility/rinse'
import { isHotDoubtful } from '../procedures/batch'
import { readReading } from '../weighing/reading'
import type { PlannedPair } from '../notebook/kinds/plan-fixed/kind'
import type { Procedure } from '../procedures/procedure'
import type { Shelf } from '../wire'
import type { SolubilityPoint } from '../solubility/solubilityAt'
import type { Confidence } from '../substances/shelf'
import { capital, listed } from '../words'
import { planRemarks } from './planRemarks'
import { confidenceOf, type Draft, type DraftField, type Grounds, keptBackG, readPoints } from './draft'

export interface Planned {
  readonly input: CrystallizationInput
  readonly plan: CrystallizationPlan
  /** Volume the app would take, and why. */
  readonly proposed: ProposedVolume
  readonly proposedWashML: number
  /** What of the weighed crude is kept back, g. */
  readonly keptBackG: number
  readonly solubilityConfidence: Confidence | null
  /** The least hot volume may be wrong. */
  readonly isHotDoubtful: boolean
  readonly pair: PlannedPair | null
  readonly procedure: Procedure
  readonly choices: readonly ProcedureChoice[]
  /** What needs a look but does not stop the plan. */
  readonly remarks: readonly string[]
}
export type Outcome = Result<Planned, DraftField>

function proceduresOf(shelf: Pick<Shelf, 'procedures'>): readonly Procedure[] {
  return [...PROCEDURES, ...shelf.procedures]
}

/** What the lab's list closes of a plan, as a sentence, or null. */
function closedIn(draft: Draft, { compound, shelf, closed }: Grounds): string | null {
  const solvents = shelf.solvents.filter(({ id }) => id === draft.solvent || id === draft.second)
  const shut = [compound, ...solvents].filter(({ id }) => closed.includes(id))
  return shut.length > 0
    ? `${capital(listed(shut.map(({ name }) => name)))}: not allowed by the house rules of this lab. Ask the person in charge, or choose another.`
    : null
}

/** That a solvent of the plan would turn the compound into something else, as a sentence, or null. */
function usedUpIn(draft: Draft, { compound, shelf }: Grounds): string | null {
  const reaction = shelf.solvents
    .filter(({ id }) => id === draft.solvent || id === draft.second)
    .map((one) => reactionOf(compound, one))
    .find((one) => one?.rulesOut)
  return reaction ? capital(reaction.sentence) : null
}

/** Reads what is typed and plans with it, or says which field is in the way and why. */
export function outcomeOf(draft: Draft, grounds: Grounds): Outcome {
  const shut = closedIn(draft, grounds) ?? usedUpIn(draft, grounds)
  if (shut) return refuse(shut, 'solvent')
  const numbers: Partial<Record<DraftField, number>> = {}
  for (const [field, name] of FIELDS) {
    if (field === 'washML' && draft.washML.trim() === '') continue
    const read = readReading(draft[field], name)
    if (!read.ok) return refuse(read.problem.sentence, field)
    numbers[field] = read.value.value
  }
  const { assayPercent = 0, hotC = 0, coldC = 0, washML = 0 } = numbers
  if (assayPercent <= 0 || assayPercent > 100)
    return refuse('The product fraction lies above 0 and up to 100 %.', 'assayPercent')
  if (assayPercent <= A_FRACTION)
    return refuse(
      `${draft.assayPercent.trim()} % of the crude leaves almost nothing to purify. Was ${Math.round(100 * assayPercent)} % meant?`,
      'assayPercent',
    )
  if (draft.impurity.trim().toLowerCase() === grounds.compound.name.toLowerCase())
    return refuse(
      `${capital(grounds.compound.name)} is the product itself. Name the impurity, or leave the field empty.`,
      'impurity',
    )
  const keptBack = keptBackG(draft, grounds.crudeG)
  if (!(keptBack >= 0 && keptBack < grounds.crudeG))
    return refuse('The mass kept back is 0 mg or more, and less than all of the crude.', 'keptBackMg')
  const points = readAll(draft)
  if (!points.ok) return points
  const read = points.value
  const least = {
    crudeG: Math.round(1e6 * (grounds.crudeG - keptBack)) / 1e6,
    assay: assayPercent / 100,
    product: read.product,
    hotC,
    coldC,
    washML,
    excess: 0,
    // One point of it says nothing hot or cold: it is then taken to stay dissolved, and that is said.
    ...(read.impurityPoints.length > 1 ? { impurity: read.impurityPoints } : {}),
    ...(read.product.length === 1 || read.secondPoints.length === 1
      ? { productFusionKJPerMol: fusionOf(grounds.compound).enthalpyKJPerMol }
      : {}),
  }
  return draft.second === ''
    ? withOne(draft, grounds, least)
    : withPair(draft, grounds, least, read.secondPoints)
}

/** So small a per cent was typed as a fraction of one. */
const A_FRACTION = 1

const FIELDS = [
  ['assayPercent', 'The product fraction'],
  ['hotC', 'The hot temperature'],
  ['coldC', 'The cold temperature'],
  ['washML', 'The rinse'],
] as const

/** A plan before its procedure is chosen. */
interface Draughted {
  readonly input: CrystallizationInput
  readonly proposed: ProposedVolume
  readonly pair: PlannedPair | null
}

function withOne(draft: Draft, grounds: Grounds, least: CrystallizationInput): Outcome {
  const first = attempt(() => planCrystallization(least))
  if (!first.ok) return refuse(first.problem.sentence, least.coldC >= least.hotC ? 'coldC' : undefined)
  const proposed = proposedVolume(first.value, least)
  const read = draft.volumeML.trim() === '' ? null : readReading(draft.volumeML, 'The volume')
  if (read && !read.ok) return refuse(read.problem.sentence, 'volumeML')
  const planned = attempt(() => withVolumeML(least, read ? read.value.value : proposed.ml))
  return planned.ok
    ? finished(draft, grounds, { input: planned.value, proposed, pair: null })
    : refuse(planned.problem.sentence, 'volumeML')
}

function withPair(
  draft: Draft,
  grounds: Grounds,
  least: CrystallizationInput,
  poor: readonly SolubilityPoint[],
): Outcome {
  const second = grounds.shelf.solvents.find(({ id }) => id === draft.second)
  const first = grounds.shelf.solvents.find(({ id }) => id === draft.solvent)
  if (!second || !first) return refuse('That solvent is not on the shelf.', 'second')
  const hottestC = hottestOfPairC(first, second)
  if (hottestC !== null && least.hotC > hottestC) {
    const lower = (boilsFromC(second) ?? Infinity) < (boilsFromC(first) ?? Infinity) ? second : first
    return refuse(
      `${capital(lower.name)} boils at ${boilsInWords(lower) ?? 'a temperature that is not known'}. Two solvents are used at least 5 °C below that. Plan the hot temperature at ${hottestC} °C or below, or choose a second solvent that boils higher.`,
      'hotC',
    )
  }
  if (poor.length === 0)
    return refuse(
      `No solubility in ${second.name} is known. Enter at least one point, even if the solvent is a poor one.`,
      'secondPoints',
    )
  const planned = attempt(() => proposedSolventPair({ ...least, good: least.product, poor }))
  if (!planned.ok) return refuse(planned.problem.sentence, 'second')
  const { goodML, poorML, input } = planned.value
  return finished(draft, grounds, {
    input,
    proposed: { ml: goodML + poorML, because: 'for recovery and room' },
    pair: { solvent: second, points: poor, goodML, poorML },
  })
}

function finished(draft: Draft, grounds: Grounds, draughted: Draughted): Outcome {
  const { crudeG, shelf, compound } = grounds
  const { proposed, pair } = draughted
  const solvent = shelf.solvents.find(({ id }) => id === draft.solvent)
  if (!solvent) return refuse('Choose a solvent of the shelf.', 'solvent')
  const first = planCrystallization(draughted.input)
  const proposedWashML = proposedRinseML(rinsedBy(draughted.input, first))
  const input = draft.washML.trim() === '' ? { ...draughted.input, washML: proposedWashML } : draughted.input
  const choices = chooseProcedure(proceduresOf(shelf), {
    crudeG: input.crudeG,
    plan: first,
    solvent,
    compound,
    isPair: pair !== null,
  })
  const chosen = choices.find(
    ({ procedure, fit }) => procedure.id === draft.procedure && fit !== 'not for this',
  )
  const choice = chosen ?? choices[0]
  if (!choice) return refuse('No procedure is on the shelf.', 'procedure')
  // Nothing is planned that no glass holds.
  if (choice.fit === 'not for this') return refuse(choice.because, 'volumeML')
  const { procedure } = choice
  const plan = planBatch(procedure.collect, input)
  const solubilityConfidence = confidenceOf(shelf, draft, compound)
  const known = { input, plan, proposed, pair, solvent, compound, solubilityConfidence, procedure, shelf }
  return ok({
    input,
    plan,
    proposed,
    proposedWashML,
    keptBackG: keptBackG(draft, crudeG),
    solubilityConfidence,
    isHotDoubtful: isHotDoubtful({ result: plan, solubilityConfidence }),
    pair,
    procedure,
    choices,
    remarks: planRemarks(draft, known),
  })
}

type Points = 'product' | 'impurityPoints' | 'secondPoints'
function readAll(draft: Draft): Result<Record<Points, SolubilityPoint[]>, DraftField> {
  const read: Record<Points, SolubilityPoint[]> = { product: [], impurityPoints: [], secondPoints: [] }
  for (const field of ['product', 'impurityPoints', 'secondPoints'] as const) {
    const points = readPoints(draft[field])
    if (typeof points === 'string') return refuse(points, field)
    read[field] = points
  }
  return ok(read)
}
