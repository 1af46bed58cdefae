import { WATCHED_FROM_C } from '../heating/room'
import { MELT_TIME_SHARE, NET_LAG_MIN, ORDINARY_PACKING } from '../heating/heatingShare'
import { meltMin } from '../heating/observedRange'
import { isTooFast } from '../heating/watching'
import { tenths } from '../math/tenths'
import { airMinutesFor } from '../weighing/airDrying'
import type { HouseWords, RangeEvidence } from './evidence'

/** From least to most, °C. */
export interface Span {
  readonly leastC: number
  readonly mostC: number
}

/** A planned rate may be this much of what was heated. */
const PLANNED = { least: 0.6, most: 1.5 }
/** A thermometer nobody checked: so much, and more for each 100 °C above 100, °C. */
const UNCHECKED_C = 1.5
const UNCHECKED_PER_100_C = 1
/** What a checked thermometer may be off when its error is not on record, °C. */
const CHECKED_C = 1

/** Who may own degrees of a reading, from least to most. */
export interface Contributions {
  /** Heating: how much later both ends are read than they come. */
  readonly heating: Span
  /** Melting takes time: how much of the width it owns, the ordinary tube’s included. */
  readonly meltingTime: Span
  /** How much of the width it may own beyond what the house’s own words for a width allow for. */
  readonly beyondOrdinary: Span
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

/**
 * @param share of the error of one mark that the reading carries: less where it is the mean of several tubes, more
 * where several rates are looked back to none
 */
export function contributionsOf(evidence: RangeEvidence, rules: HouseWords, share = 1): Contributions {
  const { rateCPerMin, rateMeasured, fillMm, grain, resolutionC, reading } = evidence
  const rate = rateMeasured
    ? { least: rateCPerMin, most: rateCPerMin }
    : { least: PLANNED.least * rateCPerMin, most: PLANNED.most * rateCPerMin }
  const minutes = meltMin({ fillMm, grain })
  const ordinaryC = rules.meltRate.target * meltMin(ORDINARY_PACKING)
  const meltingTime = {
    leastC: rate.least * minutes * MELT_TIME_SHARE.least,
    mostC: rate.most * minutes * MELT_TIME_SHARE.most,
  }
  // Nobody owns more of a width than was read.
  const widthC = reading.clearC - reading.onsetC
  const inPlace = evidence.thermometer.state === 'checked in place at this rate'
  const readC = readingC(rules, resolutionC, share)
  return {
    heating: inPlace
      ? { leastC: 0, mostC: 0 }
      : inTenths({ leastC: rate.least * NET_LAG_MIN.least, mostC: rate.most * NET_LAG_MIN.most }),
    meltingTime: inTenths({
      leastC: Math.min(widthC, meltingTime.leastC),
      mostC: Math.min(widthC, meltingTime.mostC),
    }),
    beyondOrdinary: {
      leastC: Math.max(0, meltingTime.leastC - ordinaryC),
      mostC: Math.max(0, meltingTime.mostC - ordinaryC),
    },
    thermometerC: tenths(thermometerC(evidence)),
    readingC: readC,
    mayBeWet:
      !isShownDry(evidence) &&
      (boiledOut(evidence) || !isSharpInPlace(evidence, rules, thermometerC(evidence) + readC)),
    mayBeLate: evidence.watchedFromBelowOnsetC !== null && evidence.watchedFromBelowOnsetC < WATCHED_FROM_C,
    mayBeAnotherMark: rules.onsetRule === 'distinct drop' && isMarkedAtWetness(evidence),
    isRateLoose: !rateMeasured || isTooFast(rateCPerMin, rules.meltRate),
    isPackedLoose: grain === 'coarse' || fillMm > rules.fillMm[1],
  }
}

/** What is typical is known to a tenth at best, and shown so: sums on one screen agree. */
function inTenths({ leastC, mostC }: Span): Span {
  return { leastC: tenths(leastC), mostC: tenths(mostC) }
}

function readingC({ readingErrorC }: Pick<HouseWords, 'readingErrorC'>, resolutionC: number, share: number) {
  return tenths(2 * readingErrorC * share + resolutionC / 2)
}

/** How far two marks of one temperature, each read to a tenth, may differ by chance under house rules, °C. */
export function twoReadingsC(rules: Pick<HouseWords, 'readingErrorC'>): number {
  return byChanceC({ readingC: readingC(rules, 0.1, 1) })
}

/** How far two readings of one temperature may differ by chance, °C: twice √2 times the error of one. */
export function byChanceC({ readingC }: Pick<Contributions, 'readingC'>): number {
  return tenths(Math.SQRT2 * readingC)
}

/** Wetness this near the mark of the onset may be what was marked, °C. */
const SAME_MARK_C = 0.3

/** Wetness was named where the onset was marked, or nobody wrote where: the mark may be of the wetness. */
function isMarkedAtWetness({ signs, reading }: RangeEvidence): boolean {
  return signs.some(
    ({ sign, atC }) => sign === 'wets' && (atC === null || atC >= reading.onsetC - SAME_MARK_C),
  )
}

/**
 * A range so sharp where it should be shows that nothing was left to widen or lower it: its onset lies no lower than
 * thermometer and reading explain.
 */
function isSharpInPlace({ reading, literature }: RangeEvidence, rules: HouseWords, ownC: number): boolean {
  if (!literature) return false
  const lowByC = literature.lowC - reading.onsetC
  const highByC = reading.clearC - literature.highC
  return (
    tenths(reading.clearC - reading.onsetC) <= rules.sharpWidthC &&
    tenths(Math.max(lowByC, highByC)) <= rules.literatureWithinC &&
    tenths(lowByC) <= tenths(ownC)
  )
}

/** A check that ends below the reading is none. */
export function isChecked({ thermometer }: Pick<RangeEvidence, 'thermometer'>): boolean {
  return thermometer.state !== 'never checked' && !thermometer.extrapolated
}

/** Decomposes by what is known of it, or was seen to. */
export function decomposes(evidence: Pick<RangeEvidence, 'behaviour' | 'signs'>): boolean {
  return evidence.behaviour === 'decomposes' || saw(evidence, 'decomposes')
}

/** Has other crystal forms by what is known of it, or changed form on the way. */
export function hasOtherForms(evidence: Pick<RangeEvidence, 'behaviour' | 'signs'>): boolean {
  return evidence.behaviour === 'other forms' || saw(evidence, 'changes form')
}

export function saw({ signs }: Pick<RangeEvidence, 'signs'>, sign: (typeof signs)[number]['sign']): boolean {
  return signs.some((seen) => seen.sign === sign)
}

function thermometerC(evidence: RangeEvidence): number {
  const { thermometer, reading, rateCPerMin } = evidence
  const uncheckedC = UNCHECKED_C + (UNCHECKED_PER_100_C * Math.max(0, reading.clearC - 100)) / 100
  if (thermometer.state === 'never checked') return uncheckedC
  const checkedC = thermometer.errorC === null ? CHECKED_C : 2 * thermometer.errorC
  const hereC = thermometer.state === 'checked at another rate' ? rateCPerMin * NET_LAG_MIN.least : 0
  return thermometer.extrapolated ? Math.max(uncheckedC, checkedC + hereC) : checkedC + hereC
}

/** Bubbles within so much of where the solvent boils are its own, °C. */
const BOILS_WITHIN_C = 5

/** Bubbles where the solvent boils: whatever the drying, some was left. */
export function boiledOut({ signs, dried }: Pick<RangeEvidence, 'signs' | 'dried'>): boolean {
  const boilsC = dried?.solventBoilsC ?? null
  return (
    boilsC !== null &&
    signs.some(
      ({ sign, atC }) => sign === 'bubbles' && atC !== null && Math.abs(atC - boilsC) <= BOILS_WITHIN_C,
    )
  )
}

/** Whether nothing of the solvent can be left: constant mass, the oven, or air for long enough. */
export function isShownDry({ dried, signs }: Pick<RangeEvidence, 'dried' | 'signs'>): boolean {
  if (boiledOut({ dried, signs })) return false
  if (!dried) return true
  switch (dried.how) {
    case 'constant mass':
    case 'oven':
      return true
    case 'minutes of air':
      return dried.solventBoilsC !== null && (dried.minutes ?? 0) >= airMinutesFor(dried.solventBoilsC)
    case 'not':
      return false
  }
}
