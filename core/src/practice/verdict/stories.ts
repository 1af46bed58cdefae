import type { Grain } from '../../heating/observedRange'
import type { RangeEvidence } from '../../judging/evidence'
import type { Level } from '../exercise'

/** What may be behind a range, in the learner’s words. */
export const CAUSES = [
  'nothing: it is as it should be',
  'it was heated too fast',
  'the tube was too full or too coarse',
  'the thermometer',
  'solvent left in it',
  'watching began too late',
  'something else is in it',
  'it is another compound',
] as const

export type Cause = (typeof CAUSES)[number]

/** How a range came about: what the simulated run was given. */
interface Story {
  readonly cause: Cause
  readonly least: Level
  readonly impurity?: readonly [number, number]
  readonly rateCPerMin?: number
  readonly fillMm?: number
  readonly grain?: Grain
  readonly readsLowC?: number
  readonly thermometer?: RangeEvidence['thermometer']
  readonly dried?: RangeEvidence['dried']
  readonly watchedFromBelowC?: number
  readonly isAnother?: boolean
  readonly isDamp?: boolean
  readonly explanation: string
}

export const CHECKED: RangeEvidence['thermometer'] = {
  state: 'checked in place at this rate',
  errorC: 0.2,
  extrapolated: false,
}

export const STORIES: readonly Story[] = [
  {
    cause: 'nothing: it is as it should be',
    least: 1,
    explanation: 'A pure sample, heated slowly, on a checked thermometer.',
  },
  {
    cause: 'it was heated too fast',
    least: 1,
    rateCPerMin: 8,
    explanation: 'The sample was pure. At 8 °C/min both ends read too high and too far apart.',
  },
  {
    cause: 'something else is in it',
    least: 1,
    impurity: [0.04, 0.07],
    explanation: 'A few mol % of another compound: low and broad.',
  },
  {
    cause: 'it is another compound',
    least: 1,
    isAnother: true,
    explanation: 'Another compound, and pure: sharp, but in the wrong place.',
  },
  {
    cause: 'the thermometer',
    least: 2,
    readsLowC: 3,
    thermometer: { state: 'never checked', errorC: null, extrapolated: false },
    explanation: 'The sample was pure. The thermometer read some degrees too low and had not been checked.',
  },
  {
    cause: 'solvent left in it',
    least: 2,
    isDamp: true,
    impurity: [0.03, 0.05],
    dried: { how: 'not', minutes: null, solventBoilsC: 78 },
    explanation: 'It was not dried: solvent lowers the range like any impurity.',
  },
  {
    cause: 'the tube was too full or too coarse',
    least: 2,
    rateCPerMin: 2,
    fillMm: 8,
    grain: 'coarse',
    explanation: 'The sample was pure. A column of 8 mm of coarse grains takes minutes to melt through.',
  },
  {
    cause: 'watching began too late',
    least: 3,
    impurity: [0.05, 0.08],
    watchedFromBelowC: 0.5,
    explanation: 'It had begun before you looked: the onset you saw is where you began to look.',
  },
]
