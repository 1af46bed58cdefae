import type { Behaviour } from '../substances/behaviour'
import type { Conventions } from '../conventions/conventions'
import type { Grain } from '../heating/observedRange'
import type { Fusion } from '../melting/liquidus'
import type { MeltingRange } from '../melting/meltingRange'

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
type Sign = (typeof SIGNS)[number]
/** A sign with the temperature it was seen at, °C; null where that is not on record. */
export interface SignSeen {
  readonly sign: Sign
  readonly atC: number | null
}

export const THERMOMETER_STATES = [
  'never checked',
  'checked in place at this rate',
  'checked at another rate',
] as const
export const DRIED_HOW = ['constant mass', 'oven', 'minutes of air', 'not'] as const

/** A further tube of the same sample. */
export interface Repeat extends MeltingRange {
  readonly rateCPerMin: number
}

/** All that is known of one reading when it is judged; temperatures °C, after what correction there is. */
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
    readonly state: (typeof THERMOMETER_STATES)[number]
    /** Standard error of a corrected reading, °C; null when it is not known. */
    readonly errorC: number | null
    /** The reading lies beyond the last standard: there the check speaks for nothing. */
    readonly extrapolated: boolean
  }
  /** null: nothing was wet. */
  readonly dried: {
    readonly how: (typeof DRIED_HOW)[number]
    readonly minutes: number | null
    /** The highest boiling of the solvents it was wet with, °C; null when that is not on record. */
    readonly solventBoilsC: number | null
  } | null
  readonly signs: readonly SignSeen[]
  /** null for an unknown. */
  readonly literature: { readonly lowC: number; readonly highC: number } | null
  readonly behaviour: Behaviour
  readonly fusion: (Fusion & { readonly estimated?: boolean | undefined }) | null
  readonly crude: MeltingRange | null
  /** An authentic sample melted in the same run. */
  readonly authentic: MeltingRange | null
  readonly mixed: { readonly verdict: 'same' | 'different' | 'repeat'; readonly because: string } | null
  readonly plate: {
    readonly spots: number
    readonly sameHeight: boolean | null
    readonly isPoor: boolean
    readonly sentence: string
  } | null
  /** Further tubes of it made as this one: packed, dried, watched and corrected alike. */
  readonly repeats: readonly Repeat[]
  /** How many further tubes were not made alike, and are not counted. */
  readonly setAside: number
  /** A careful tube melted after this one was still solid at its stop, °C; absent where none was. */
  readonly laterSolidAtC?: number
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
  | 'startBelowC'
  | 'stopAboveC'
>
