import type { ExerciseAbout, Level } from '../exercise'

/** An exercise at the lens: what it says of itself, and what its tubes are. */
export interface LensAbout extends ExerciseAbout {
  readonly played: 'lens'
  readonly tubes: 1 | 3
  /** What does not belong in a tube, as a mole fraction, from a least to a most; [0, 0] for a pure one. */
  readonly impurity: readonly [least: number, most: number]
  /** What that is a fraction of. */
  readonly impurityOf: 'whole' | 'eutectic'
  readonly rateCPerMin: Readonly<Record<Level, number>>
  /** Small jobs that want the eye meanwhile. */
  readonly jobs: number
}

export const BOTH_ENDS = 'both ends of every tube within the reading error of the house rules'
