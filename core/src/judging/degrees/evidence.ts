import type { Conventions } from '../../conventions/conventions'
import type { Grain } from '../../heating/observedRange'
import type { Fusion } from '../../melting/liquidus'
import type { MeltingRange } from '../../melting/meltingRange'

/** What was seen at the lens beside the two moments. */
export const SIGNS = [
  'shrinks',
  'sweats',
  'wets',
  'slush',
  'changes form',
  'colours',
  'bubbles',
  'decomposes',
  'solid that never melts',
] as const
export type Sign = (typeof SIGNS)[number]

export type Behaviour = 'melts' | 'decomposes' | 'sublimes' | 'hydrate' | 'other forms'

/** A further tube of the same sample. */
export interface Repeat extends MeltingRange {
  readonly rateCPerMin: number
}

/** All that is known of one reading when it is judged; temperatures °C. */
export interface RangeEvidence {
  readonly reading: MeltingRange
  /** Smallest division that was read, °C. */
  readonly resolutionC: number
  readonly rateCPerMin: number
  /** False: the rate is what was planned, or what a setting usually gives. */
  readonly rateMeasured: boolean
  readonly fillMm: number
  readonly grain: Grain
  /** How far below the onset watching began, °C; null when that is not known. */
  readonly watchedFromBelowOnsetC: number | null
  readonly thermometer: {
    readonly state: 'never checked' | 'checked in place at this rate' | 'checked at another rate'
    /** Standard error of a corrected reading, °C; null when it is not known. */
    readonly errorC: number | null
  }
  readonly dried: {
    readonly how: 'constant mass' | 'oven' | 'minutes of air' | 'not'
    readonly minutes: number | null
    /** The highest boiling of the solvents it was wet with, °C; null when it was wet with none that is known. */
    readonly solventBoilsC: number | null
  } | null
  readonly signs: readonly Sign[]
  /** null for an unknown. */
  readonly literature: { readonly lowC: number; readonly highC: number } | null
  readonly behaviour: Behaviour
  readonly fusion: Fusion | null
  readonly crude: MeltingRange | null
  readonly authentic: MeltingRange | null
  readonly mixed: 'same' | 'different' | 'repeat' | null
  readonly plate: { readonly spots: number; readonly sameHeight: boolean | null } | null
  readonly repeats: readonly Repeat[]
  readonly impurity: { readonly name: string; readonly fusion: Fusion } | null
}

/** What the house asks for that a judgement needs. */
export type HouseWords = Pick<
  Conventions,
  | 'sharpWidthC'
  | 'broadWidthC'
  | 'literatureWithinC'
  | 'repeatWithinC'
  | 'readingErrorC'
  | 'meltRate'
  | 'fillMm'
  | 'onsetRule'
>
