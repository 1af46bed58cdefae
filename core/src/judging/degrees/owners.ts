import { meltMin } from '../../heating/observedRange'
import type { HouseWords, RangeEvidence } from './evidence'

/** From least to most, °C. */
export interface Span {
  readonly leastC: number
  readonly mostC: number
}

/** Minutes a sample lags behind what is read, typical. */
const LAG_MIN: Span = { leastC: 0.1, mostC: 0.5 }
/** Share of the typical melting time of a packed tube, from quick to slow. */
const MELT_SHARE: Span = { leastC: 0.6, mostC: 1.6 }
/** A planned rate may be this much of what was heated. */
const PLANNED: Span = { leastC: 0.6, mostC: 1.5 }
/** A thermometer nobody checked: so much, and more for each 100 °C above 100, °C. */
const UNCHECKED_C = 1.5
const UNCHECKED_PER_100_C = 1
/** What a checked thermometer may be off when its error is not on record, °C. */
const CHECKED_C = 1
/** Watching that began closer than this may have missed the onset, °C. */
const WATCHED_FROM_C = 5

/** Who may own degrees of a reading, from least to most. */
export interface Owners {
  /** Heating: how much later both ends are read than they come. */
  readonly heating: Span
  /** Melting takes time: how much of the width it may own beyond what the house counts as ordinary. */
  readonly meltingTime: Span
  /** The thermometer: how far both ends may be off together, either way. */
  readonly thermometerC: number
  /** Reading: how far one end may be off, either way. */
  readonly readingC: number
  /** Solvent left in the crystals may own any width and any lowering. */
  readonly mayBeWet: boolean
  /** The onset may have come before it was written. */
  readonly mayBeLate: boolean
  /** The mark written may not be the one the house reports. */
  readonly mayBeAnotherMark: boolean
  /** The rate breaks the house’s rules, or nobody measured it. */
  readonly isRateLoose: boolean
  /** The tube holds more, or coarser, than the house asks for. */
  readonly isPackedLoose: boolean
}

export function ownersOf(evidence: RangeEvidence, rules: HouseWords): Owners {
  const { rateCPerMin, rateMeasured, fillMm, grain, resolutionC } = evidence
  const rate = rateMeasured
    ? { leastC: rateCPerMin, mostC: rateCPerMin }
    : { leastC: PLANNED.leastC * rateCPerMin, mostC: PLANNED.mostC * rateCPerMin }
  const minutes = meltMin({ fillMm, grain })
  const ordinary = rules.meltRate.target * meltMin({ fillMm: rules.fillMm[0], grain: 'fine' })
  const beyond = (least: number) => Math.max(0, least - ordinary)
  return {
    heating: { leastC: rate.leastC * LAG_MIN.leastC, mostC: rate.mostC * LAG_MIN.mostC },
    meltingTime: {
      leastC: beyond(rate.leastC * minutes * MELT_SHARE.leastC),
      mostC: beyond(rate.mostC * minutes * MELT_SHARE.mostC),
    },
    thermometerC: thermometerC(evidence),
    readingC: 2 * rules.readingErrorC + resolutionC / 2,
    mayBeWet: !isShownDry(evidence),
    mayBeLate: evidence.watchedFromBelowOnsetC !== null && evidence.watchedFromBelowOnsetC < WATCHED_FROM_C,
    mayBeAnotherMark: rules.onsetRule === 'distinct drop' && evidence.signs.includes('wets'),
    isRateLoose: !rateMeasured || rateCPerMin > rules.meltRate.max,
    isPackedLoose: grain === 'coarse' || fillMm > rules.fillMm[1],
  }
}

function thermometerC({ thermometer, reading, rateCPerMin }: RangeEvidence): number {
  const { state, errorC } = thermometer
  if (state === 'never checked')
    return UNCHECKED_C + (UNCHECKED_PER_100_C * Math.max(0, reading.clearC - 100)) / 100
  const checked = errorC === null ? CHECKED_C : 2 * errorC
  return state === 'checked at another rate' ? checked + rateCPerMin * LAG_MIN.leastC : checked
}

/** Minutes of air that dry crystals of a solvent, by where it boils, °C; what boils higher is not shown dry by air. */
const AIR_DRIES: readonly (readonly [boilsBelowC: number, minutes: number])[] = [
  [50, 5],
  [70, 15],
  [90, 60],
]

/** Whether nothing of the solvent can be left: constant mass, the oven, or air for long enough. */
function isShownDry({ dried }: RangeEvidence): boolean {
  if (!dried || dried.solventBoilsC === null) return true
  switch (dried.how) {
    case 'constant mass':
    case 'oven':
      return true
    case 'minutes of air': {
      const needed = AIR_DRIES.find(([boilsBelowC]) => (dried.solventBoilsC ?? 0) < boilsBelowC)?.[1]
      return needed !== undefined && (dried.minutes ?? 0) >= needed
    }
    case 'not':
      return false
  }
}
