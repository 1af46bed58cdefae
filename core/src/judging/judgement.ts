import type { MeltingRange } from '../melting/meltingRange'
import type { Span } from './contributions'

export const VERDICTS = [
  'consistent with pure',
  'nearly pure',
  'impure',
  'not this compound',
  'cannot tell',
] as const
export type Verdict = (typeof VERDICTS)[number]

export const NEXT_STEPS = [
  'sign',
  'mixed melt',
  'grind again and repeat the mixture',
  'melt beside authentic',
  'check the thermometer',
  'repeat slower',
  'repeat with less, finer',
  'repeat as it was',
  'dry and repeat',
  'new tube, put in late',
  'recrystallize',
  'recrystallize from another solvent',
  'hot filter',
  'thin-layer plate',
  'find out what it is',
] as const
export type NextStep = (typeof NEXT_STEPS)[number]

/** Who may own degrees of a reading. */
export const CAUSES = [
  'heating',
  'melting time',
  'thermometer',
  'reading',
  'literature',
  'solvent',
  'late',
  'sample',
] as const
export type Cause = (typeof CAUSES)[number]

/** What one owner may have done to a reading: °C it was raised by at each end (below 0: lowered) and widened by. */
export interface BudgetRow {
  readonly owner: Cause
  readonly endC: { readonly onset: Span; readonly clear: Span; readonly width: Span }
  /** True where it may own as much as there is: how much is not known. */
  readonly isOpenEnded: boolean
  readonly sentence: string
}

export const FINDING_CODES = [
  'no-range',
  'sharp',
  'a-little-wide',
  'broad',
  'too-fast-to-tell',
  'agrees-with-literature',
  'low',
  'high',
  'agrees-with-authentic',
  'differs-from-authentic',
  'authentic-off',
  'no-literature',
  'decomposes',
  'residual-solid',
  'sublimes',
  'hydrate',
  'other-forms',
  'boiled-out',
  'possible-eutectic',
  'below-eutectic',
  'better-than-crude',
  'no-better-than-crude',
  'worse-than-crude',
  'impurity',
  'mixed-same',
  'mixed-different',
  'mixed-unclear',
  'plate-agrees',
  'plate-differs',
  'plate-more-spots',
  'plate-poor',
  'repeats-agree',
  'repeats-scatter',
  'set-aside',
  'later-solid',
  'zero-rate',
] as const
export type FindingCode = (typeof FINDING_CODES)[number]
export interface Finding {
  readonly code: FindingCode
  readonly numbers: Readonly<Record<string, number>>
  /** The number itself, as it is set in front of the sentence. */
  readonly headline: string
  readonly sentence: string
}

export interface Action {
  readonly code: NextStep
  readonly minutes?: number
  /** The rows of the budget it would empty or shrink. */
  readonly removes: readonly Cause[]
  readonly sentence: string
}

/** What a reading is held against, °C: the authentic sample of its run, or the literature. */
interface Against {
  readonly what: 'authentic' | 'literature'
  readonly lowC: number
  readonly highC: number
}
/** What was read, and how far it lies from where a pure sample would. */
export interface Measured {
  readonly range: MeltingRange
  readonly against: Against | null
  /** Each end from what it is held against, °C; below 0 it lies lower; 0 inside the literature. null for an unknown. */
  readonly distanceC: { readonly onset: number; readonly clear: number } | null
  readonly widthC: number
}

export interface Judgement {
  readonly verdict: Verdict
  /** null where there was no range to measure. */
  readonly measured: Measured | null
  /** What explains the degrees; the last row is the sample’s. Empty where there was no range. */
  readonly budget: readonly BudgetRow[]
  /** Mole fraction of what dissolves in the melt, least and most; null where a range cannot say. */
  readonly impurity: readonly [least: number, most: number] | null
  readonly findings: readonly Finding[]
  readonly actions: readonly Action[]
  /** What a signature leaves open, in words: which compound it is, the thermometer, the rate, that it is dry. */
  readonly notChecked: readonly string[]
}
