import type { Conventions } from '../src/conventions/conventions'
import { DEFAULT_HOUSE_RULES } from '../src/conventions/schools'
import { type Draft, ruleFields, withSolvent } from '../src/planning/draft'
import { type Outcome, outcomeOf, type Planned } from '../src/planning/planDraft'
import type { Batch } from '../src/procedures/batch'
import { renderSteps, renderWaste } from '../src/procedures/render'
import type { Compound, Solvent } from '../src/substances/shelf'
import type { Shelf } from '../src/wire'
import { REFERENCE_SOLUBILITIES, REFERENCE_SOLVENTS } from '../src/reference/reference'
import { referenceSolvent } from './reference'

/** The reference set as a shelf to plan from. */
export const PLANNING_SHELF = {
  solvents: REFERENCE_SOLVENTS.map(({ id }) => referenceSolvent(id)),
  procedures: [],
  solubilities: REFERENCE_SOLUBILITIES,
} as unknown as Shelf

/** Compounds and solvents the shelf has solubilities for. */
export const KNOWN_PAIRS = [
  ...new Set(REFERENCE_SOLUBILITIES.map((row) => `${row.compound} in ${row.solvent}`)),
].map((pair) => pair.split(' in ') as [compound: string, solvent: string])
export const BATCHES_G = [0.1, 1, 10, 100]

/** A draft as the plan’s form begins it, for a compound from a solvent. */
export function draftFor(
  of: Compound,
  id: string,
  change: Partial<Draft> = {},
  shelf: Shelf = PLANNING_SHELF,
): Draft {
  return {
    ...ruleFields(DEFAULT_HOUSE_RULES),
    assayPercent: '90',
    impurity: '',
    solvent: id,
    hotC: '',
    coldC: '2',
    washML: '',
    keptBackMg: '',
    inCharge: '',
    volumeML: '',
    product: [],
    impurityPoints: [],
    second: '',
    secondPoints: [],
    amount: 'least hot solvent',
    inserts: [],
    procedure: '',
    ...withSolvent(shelf, of, null, id),
    ...change,
  }
}

export function outcomeFor(
  of: Compound,
  draft: Draft,
  crudeG: number,
  shelf: Shelf = PLANNING_SHELF,
): Outcome {
  return outcomeOf(draft, { crudeG, compound: of, shelf, closed: [] })
}

/** A plan as it is read from start to end. */
export interface ReadPlan {
  readonly planned: Planned
  readonly batch: Batch
  readonly steps: ReturnType<typeof renderSteps>
  readonly waste: string
  /** Every word of the steps, with cautions and the rest. */
  readonly words: string
}

/** @throws where it cannot be planned, with the sentence */
export function readPlan(
  of: Compound,
  draft: Draft,
  crudeG: number,
  shelf: Shelf = PLANNING_SHELF,
  conventions: Conventions = DEFAULT_HOUSE_RULES,
): ReadPlan {
  const outcome = outcomeFor(of, draft, crudeG, shelf)
  if (!outcome.ok) throw new Error(`${of.name} in ${draft.solvent}, ${crudeG} g: ${outcome.problem.sentence}`)
  const planned = outcome.value
  const batch: Batch = {
    crudeText: crudeG.toFixed(4),
    keptBackG: planned.keptBackG,
    compound: of,
    impurity: null,
    solvent: shelf.solvents.find(({ id }) => id === draft.solvent) as Solvent,
    pair: planned.pair,
    amount: draft.amount,
    inserts: draft.inserts,
    input: planned.input,
    result: planned.plan,
    conventions,
    solubilityConfidence: planned.solubilityConfidence,
    inCharge: null,
  }
  const steps = renderSteps(planned.procedure, batch)
  const words = steps
    .map(({ text, caution = '', stop = '', meanwhile = '' }) => `${text} ${caution} ${stop} ${meanwhile}`)
    .join('\n')
  return { planned, batch, steps, words, waste: renderWaste(planned.procedure, batch).join('\n') }
}

/** What a plan may be refused for: each names what to do instead. */
const REFUSED =
  /fits no common flask|does not fit|more than a watch glass|reacts with it|is not below|does not rise|No proportion/

/** The plan of a batch, or null where it is refused for a reason that is said. */
export function planOrRefusal(of: Compound, draft: Draft, crudeG: number): ReadPlan | null {
  const outcome = outcomeFor(of, draft, crudeG)
  if (!outcome.ok && REFUSED.test(outcome.problem.sentence)) return null
  return readPlan(of, draft, crudeG)
}
