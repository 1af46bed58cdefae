import type { Station } from '../stations/stations'
import type { Timer } from './timers'
import type { Takes } from './takes'
import type { PortionUse } from './portions'

/** What a step may depend on; it stands in the list when all of its conditions hold for this batch. */
export const CONDITIONS = [
  'grit expected',
  'no grit expected',
  'diluted after dissolving',
  'flammable solvent',
  'not flammable',
  'boils low',
  'does not boil low',
  'by portions',
  'measured volume',
  'stones in both flasks',
  'charcoal',
  'hot filtration',
  'constant mass',
  'rinsed',
  'held below boiling',
  'oil bath',
  'room to filter',
  'no room to filter',
  'nothing taken off hot',
  'kept back',
  'reflux',
  'open flask',
  'forms peroxides',
  'may stand',
  'in ice',
  'in cool water',
  'oven',
  'never dried so',
  'impurity named',
  'goes off',
  'stays',
  'guarded',
  'spread on',
  'not rinsed',
  'sparing rinse',
  'split hot',
  'by paper',
  'by pipette filter',
  'melts on the heat',
  'taken off hot',
  'boils',
  'solvent guarded',
] as const
export type Condition = (typeof CONDITIONS)[number]

/** What a step needs from the person besides a tick. */
export const STEP_ASKS = ['centrifuge partner', 'temperature', 'liquor kept'] as const
type StepAsk = (typeof STEP_ASKS)[number]

/** What a step does that other parts of the notebook rest on, whatever the step is called. */
export const STEP_MARKS = ['stones out', 'ice', 'liquor kept', 'put aside'] as const
export type StepMark = (typeof STEP_MARKS)[number]

/** Steps as they shipped before marks stood on them; a lab's own copies, and plans fixed then, still name them so. */
const MEANT_BY_ID: Readonly<Record<string, StepMark>> = {
  'pick-out-stones': 'stones out',
  'into-ice': 'ice',
  'keep-the-liquor': 'liquor kept',
  'keep-back': 'put aside',
}

/** The mark of a step: its own, or what a step of that name always did. */
export function markOfStep(step: { readonly id: string; readonly means?: StepMark }): StepMark | null {
  return step.means ?? MEANT_BY_ID[step.id] ?? null
}

/**
 * Minutes as they are, the house rule’s, what is left of the air the solvent takes, or what a small batch takes, more
 * for a larger one.
 */
export type Minutes = number | 'house rule' | 'rest of the air' | { readonly small: number }

export interface Caution {
  readonly text: string
  readonly when?: Condition
}
/** A step as data: its text holds amounts in braces, filled for each batch (procedures/amounts.ts). */
export interface StepTemplate {
  readonly id: string
  readonly station: Station
  readonly text: string
  readonly cautions?: readonly Caution[]
  readonly timer?: { readonly timer: Timer; readonly minutes: Minutes }
  /** Portions of solvent are logged at this step. */
  readonly portions?: PortionUse
  readonly asks?: StepAsk
  readonly means?: StepMark
  /** What to get ready while this step takes its time. */
  readonly meanwhile?: string
  /** A safe place to stop until next week: how it is left. */
  readonly stop?: string
  /** Only then may it stand. */
  readonly stopWhen?: Condition
  /** Minutes and things it takes, where the lab says so itself; the shipped steps’ stand in takes.ts. */
  readonly takes?: Takes
  readonly when?: readonly Condition[]
}
export const COLLECTS = [
  'large funnel',
  'small funnel',
  'Craig tube',
  'centrifuge tube',
  'watch glass',
] as const
export interface Procedure {
  readonly id: string
  readonly name: string
  /** How the crystals are collected: decides the glassware. */
  readonly collect: (typeof COLLECTS)[number]
  readonly solvents: 'one' | 'pair' | 'water only'
  /** Crude it suits, g. */
  readonly scaleG: readonly [number, number]
  readonly suits: string
  readonly steps: readonly StepTemplate[]
  readonly waste: readonly string[]
  /** The shipped procedure it was copied from, for a lab's own. */
  readonly copiedFrom?: string
}

/** A step with the amounts of one batch in it. */
export interface Step {
  readonly id: string
  readonly station: Station
  readonly text: string
  readonly caution?: string
  readonly timer?: { readonly timer: Timer; readonly minutes: number }
  readonly portions?: PortionUse
  readonly asks?: StepAsk
  readonly means?: StepMark
  readonly meanwhile?: string
  readonly stop?: string
  readonly takes?: Takes
}

export const INSERTS = ['hot filtration', 'charcoal'] as const
export type Insert = (typeof INSERTS)[number]
