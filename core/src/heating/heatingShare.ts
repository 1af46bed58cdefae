import type { MeltingRange } from '../melting/meltingRange'
import { type Grain, meltMin } from './observedRange'

/**
 * Net lag of a fine powder behind a metal probe in the same block, min: typical, and between what blocks differ
 * by. Shown as typical; an instrument's own calibration at the same rate replaces it.
 */
export const NET_LAG_MIN = { least: 0.1, typical: 0.2, most: 0.5 } as const
/** A packed tube melts through in so much of its typical time (`meltMin`), from quick to slow. */
export const MELT_TIME_SHARE = { least: 0.6, most: 1.6 } as const
/** The sample every rule of thumb about widths has in mind. */
export const ORDINARY_PACKING = { fillMm: 2, grain: 'fine' } as const

/** How a range was read. */
export interface Heated {
  readonly rateCPerMin: number
  readonly fillMm: number
  readonly grain: Grain
  /** A calibration made at the same rate with ordinary packing already holds what heating does. */
  readonly calibration: 'none' | 'in place' | 'at another rate'
}

/** What the heating and the packing add to a range, °C. */
export interface HeatingShare {
  /** Both ends read so much late. */
  readonly lagShiftC: number
  /** The top reads so much later still, for the rate. */
  readonly rateWideningC: number
  /** And so much for more or coarser powder than is ordinary; below 0 for less. */
  readonly fillWideningC: number
}

/**
 * What heating rate and packing add to a range (`observedRange`), charged once.
 *
 * @throws ImpossibleInput on a fill not above 0 mm
 * @example heatingShare({ rateCPerMin: 1, fillMm: 2, grain: 'fine', calibration: 'none' }) // { lagShiftC: 0.2, rateWideningC: 0.5, fillWideningC: 0 }
 */
export function heatingShare({ rateCPerMin, fillMm, grain, calibration }: Heated): HeatingShare {
  const ordinaryMin = meltMin(ORDINARY_PACKING)
  const inPlace = calibration === 'in place'
  return {
    lagShiftC: inPlace ? 0 : rateCPerMin * NET_LAG_MIN.typical,
    rateWideningC: inPlace ? 0 : rateCPerMin * ordinaryMin,
    fillWideningC: rateCPerMin * (meltMin({ fillMm, grain }) - ordinaryMin),
  }
}

/** The range as infinitely slow heating would give it; it never turns over. */
export function withoutHeating(range: MeltingRange, share: HeatingShare): MeltingRange {
  const { lagShiftC, rateWideningC, fillWideningC } = share
  return {
    onsetC: range.onsetC - lagShiftC,
    clearC: Math.max(range.onsetC, range.clearC - rateWideningC - fillWideningC) - lagShiftC,
  }
}
