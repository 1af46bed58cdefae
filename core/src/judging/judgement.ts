import type { Grain } from '../heating/observedRange'
import type { MeltingRange } from '../melting/meltingRange'
import type { Fusion } from '../melting/liquidus'

export type Verdict = 'consistent with pure' | 'nearly pure' | 'impure' | 'not this compound' | 'cannot tell'
export const FINDING_CODES = [
  'sharp',
  'a-little-wide',
  'broad',
  'low-and-broad',
  'sharp-but-low',
  'agrees-with-literature',
  'high',
  'top-passes-literature',
  'rate-explains',
  'fill-explains',
  'calibration-missing',
  'damp-possible',
  'decomposes',
  'residual-solid',
  'better-than-crude',
  'agrees-with-authentic',
  'differs-from-authentic',
  'impurity-at-most',
  'impurity-estimate',
  'possible-eutectic',
  'thermometer-explains',
  'mixed-same',
  'mixed-different',
  'mixed-unclear',
  'plate-agrees',
  'plate-differs',
  'plate-more-spots',
  'plate-poor',
  'repeats-scatter',
] as const
export type FindingCode = (typeof FINDING_CODES)[number]
export interface Finding {
  readonly code: FindingCode
  readonly numbers: Readonly<Record<string, number>>
  /** The number itself, as it is set in front of the sentence. */
  readonly headline: string
  readonly sentence: string
}
export const ACTION_CODES = [
  'sign',
  'mixed-melt',
  'recrystallize',
  'dry-and-repeat',
  'repeat-slower',
  'repeat-with-less',
  'calibrate',
  'melt-beside-authentic',
  'hot-filter',
  'new-tube-fast-start',
  'repeat-mixed-melt',
  'find-what-it-is',
  'plate',
  'repeat',
] as const
export type ActionCode = (typeof ACTION_CODES)[number]
export interface Action {
  readonly code: ActionCode
  readonly minutes?: number
  readonly sentence: string
}
export interface JudgeInput {
  readonly corrected: MeltingRange
  readonly literature: { readonly lowC: number; readonly highC: number }
  readonly fusion?: Fusion | undefined
  readonly rateCPerMin: number
  readonly fillMm: number
  readonly grain: Grain
  readonly calibration: 'none' | 'in place' | 'at another rate'
  readonly dried: boolean
  readonly decomposed?: boolean | undefined
  readonly residualSolid?: boolean | undefined
  readonly crude?: MeltingRange | undefined
  readonly authenticSameRun?: MeltingRange | undefined
  readonly impurity?: { readonly name: string; readonly fusion: Fusion } | undefined
  /** How far a corrected reading may still be off by the calibration itself; null when that is not known. */
  readonly thermometerErrorC?: number | null | undefined
  /** What a mixed melt with an authentic sample of the compound said. */
  readonly mixed?: { readonly verdict: 'same' | 'different' | 'repeat'; readonly because: string } | undefined
  /** What a thin-layer plate beside an authentic sample said. */
  readonly plate?:
    | {
        readonly spots: number
        readonly agrees: boolean | null
        readonly isPoor: boolean
        readonly sentence: string
      }
    | undefined
  /** Several determinations: how far apart their ends are. */
  readonly repeats?: { readonly count: number; readonly spreadC: number } | undefined
}
export interface Judgement {
  readonly verdict: Verdict
  readonly findings: readonly Finding[]
  readonly actions: readonly Action[]
}
