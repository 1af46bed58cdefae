import type { CompositionFromRange } from '../melting/compositionFromRange'
import type { MeltingRange } from '../melting/meltingRange'

/** What the readings come to once heating rate and packing are taken off; all °C. */
export interface Evidence {
  readonly widthC: number
  /** Width with what is beyond ordinary rate and packing taken off. */
  readonly fairWidthC: number
  /** Both ends as infinitely slow heating would give them. */
  readonly slow: MeltingRange
  readonly lagShiftC: number
  readonly rateWideningC: number
  readonly fillWideningC: number
  /** The range to be met: the authentic sample's of the same run, or the literature's. */
  readonly target: { readonly lowC: number; readonly highC: number; readonly withinC: number }
  readonly onsetLowByC: number
  readonly clearLowByC: number
  readonly clearHighByC: number
  readonly isSharp: boolean
  readonly isBroad: boolean
  readonly agrees: boolean
  /** Upper bound from both ends, mole fraction; null without a fusion enthalpy. */
  readonly impurityAtMost: number | null
  /** What the range speaks for if it is of product and the impurity named; null where that cannot be said. */
  readonly composition: CompositionFromRange | null
  /** Where product and the impurity named melt together, °C; null when none is named. */
  readonly eutecticC: number | null
  /** True where a sharp range lies at that temperature. */
  readonly isAtEutectic: boolean
}
