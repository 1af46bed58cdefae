import { type AsOne, asOne, bestAlone, scatterC } from './asOne'
import { companionAt } from './companion'
import type { MeltingRange } from '../melting/meltingRange'
import type { NextStep, Verdict } from './judgement'
import type { HouseWords, RangeEvidence } from './evidence'
import { tenths } from '../math/tenths'
import {
  byChanceC,
  decomposes,
  hasOtherForms,
  isChecked,
  isShownDry,
  type Owners,
  ownersOf,
  saw,
  type Span,
} from './owners'

/** What a reading comes to once everybody has been charged what is theirs. */
export interface Settled {
  readonly verdict: Verdict
  /** What to do next, what would settle most first. */
  readonly next: readonly [NextStep, ...NextStep[]]
  readonly owners: Owners
  /** The evidence as it was judged: several tubes as one, several rates looked back to none. */
  readonly evidence: RangeEvidence
  /** How several tubes were taken together. */
  readonly by: AsOne['by']
  /** What of the width only the sample can own beyond what the house’s words allow for, °C. */
  readonly sampleWidth: Span
  /** True where heating or packing that break the house’s rules might own enough to change the word for a width. */
  readonly isTooFastToTell: boolean
}

/** Solvent makes a solid melt low and wide: sharp, and further down than this, it is not the solvent’s doing, °C. */
const WET_AND_SHARP_C = 10
/** A thermometer nobody checked may read so much too high, °C: a parted column, a stem far out of the bath. */
const PARTED_C = 10
/** Sharp and so much too low, more than anybody owns, it is something else, °C. */
const FAR_BELOW_C = 10
/** A tube that has been hot for so long below its melting has had time to sublime away, °C below the onset. */
const LONG_HOT_C = 25

/**
 * The verdict on a range: every degree between reading and literature, and of the width, belongs to somebody; what
 * nobody else can own is the sample’s. Where that straddles a border because of something that can be mended it
 * cannot be told, and the mending comes first.
 */
export function settle(read: RangeEvidence, rules: HouseWords): Settled {
  const together = settleOne(asOne(read, rules), rules)
  // Another tube never makes a product purer than the best measured of them does alone.
  const [best] = bestAlone(read, rules)
    .map((one) => settleOne(one, rules))
    .sort((p, q) => badness(p.verdict) - badness(q.verdict))
  return best && badness(together.verdict) < badness(best.verdict) ? best : together
}

/** How bad a verdict that is one says it is; what cannot be told stands apart. */
function badness(verdict: Verdict): number {
  return verdict === 'cannot tell'
    ? NaN
    : ['consistent with pure', 'nearly pure', 'impure', 'not this compound'].indexOf(verdict)
}

function settleOne({ evidence, share, by }: AsOne, rules: HouseWords): Settled {
  const owners = ownersOf(evidence, rules, share)
  const widthC = width(evidence.reading)
  const sampleWidth = {
    leastC: Math.max(0, widthC - owners.beyondOrdinary.mostC - byChanceC(owners)),
    mostC: widthC,
  }
  const judged = { owners, sampleWidth }
  const [verdict, ...next] =
    outright(evidence, rules) ?? beside(evidence, owners, rules) ?? alone(evidence, judged, rules)
  return {
    verdict,
    next: withoutDone(next, evidence, owners),
    owners,
    evidence,
    by,
    sampleWidth,
    isTooFastToTell: isLoose(owners) && straddles(sampleWidth, rules),
  }
}

/** What was done already, or is as it should be, is not asked for again, except first: then it is to be repeated. */
function withoutDone(
  [first = 'repeat as it was', ...rest]: readonly NextStep[],
  { mixed, plate, authentic, thermometer }: RangeEvidence,
  owners: Owners,
): readonly [NextStep, ...NextStep[]] {
  const isDone = (step: NextStep) =>
    (step === 'mixed melt' && mixed !== null) ||
    (step === 'thin-layer plate' && plate !== null) ||
    (step === 'melt beside authentic' && authentic !== null) ||
    (step === 'dry and repeat' && !owners.mayBeWet) ||
    (step === 'repeat slower' && !owners.isRateLoose && !owners.mayBeLate) ||
    (step === 'check the thermometer' && thermometer.state === 'checked in place at this rate')
  return [first, ...rest.filter((step) => !isDone(step))]
}

type Judged = Pick<Settled, 'owners' | 'sampleWidth'>
type Said = readonly [Verdict, ...NextStep[]]

/** What stands whatever the range says. */
function outright(evidence: RangeEvidence, rules: HouseWords): Said | null {
  const { mixed, behaviour, reading, authentic } = evidence
  if (mixed?.verdict === 'different') return ['not this compound', 'find out what it is', 'thin-layer plate']
  if (saw(evidence, 'solid that never melts')) return ['impure', 'hot filter']
  // Beside an authentic sample other runs’ tubes differ by what the two of this run share.
  if (
    !heedsAuthentic(evidence, rules) &&
    tenths(scatterC([reading, ...evidence.repeats])) > rules.repeatWithinC
  )
    return ['cannot tell', 'repeat as it was', 'check the thermometer', 'melt beside authentic']
  const longHot = (evidence.watchedFromBelowOnsetC ?? 0) > LONG_HOT_C
  // A decomposition point measures no purity: what it is, and that it is one, a mixed melt says; then it is signed.
  if (decomposes(evidence) && !authentic) {
    if (mixed?.verdict === 'same') return ['consistent with pure', 'sign', 'thin-layer plate']
    return longHot
      ? ['cannot tell', 'new tube, put in late', 'mixed melt', 'melt beside authentic']
      : ['cannot tell', 'mixed melt', 'melt beside authentic', 'thin-layer plate']
  }
  if (behaviour === 'sublimes' && longHot)
    return ['cannot tell', 'new tube, put in late', 'melt beside authentic']
  const isWide = width(reading) > rules.sharpWidthC
  const loses = saw(evidence, 'sweats') || saw(evidence, 'bubbles')
  // What a hydrate holds leaves before it melts, and widens it: it is held against another of its kind, or got without.
  if (behaviour === 'hydrate' && isWide && !authentic)
    return loses && !isShownDry(evidence)
      ? ['cannot tell', 'dry and repeat', 'melt beside authentic', 'recrystallize from another solvent']
      : ['cannot tell', 'melt beside authentic', 'recrystallize from another solvent']
  return null
}

/** An authentic sample that is itself low and wide, on a thermometer that is right, speaks for nothing. */
export function heedsAuthentic(evidence: RangeEvidence, rules: HouseWords): boolean {
  const { authentic, reading } = evidence
  if (!authentic) return false
  return !isChecked(evidence) || width(authentic) <= width(reading) + rules.sharpWidthC
}

/** Beside an authentic sample of the same run heating and thermometer cancel. */
function beside(evidence: RangeEvidence, owners: Owners, rules: HouseWords): Said | null {
  const { authentic, reading, literature } = evidence
  if (!authentic || !heedsAuthentic(evidence, rules)) return null
  const chanceC = byChanceC(owners)
  const lowerC = authentic.onsetC - reading.onsetC
  const apartC = Math.max(Math.abs(lowerC), Math.abs(authentic.clearC - reading.clearC))
  const tooFast = evidence.rateCPerMin > rules.meltRate.max && evidence.behaviour !== 'decomposes'
  const widerC = width(reading) - width(authentic)
  if (apartC <= chanceC || (widerC <= chanceC && Math.abs(lowerC) <= chanceC)) {
    const against = contradicted(evidence)
    if (against) return against
    const bothOffC = Math.abs(authenticOffC(evidence))
    if (isAgainstCheck(evidence, owners, rules))
      return ['consistent with pure', 'check the thermometer', 'mixed melt', 'sign']
    const isOff = !isChecked(evidence) && bothOffC > rules.literatureWithinC
    if (tooFast) return ['consistent with pure', 'repeat slower', 'sign', 'mixed melt']
    const off = isOff ? (['check the thermometer'] as const) : []
    return ['consistent with pure', 'sign', ...off, 'mixed melt', 'thin-layer plate']
  }
  // Only the mixed melt speaks for identity: one compound, then, and what it lies lower by is in it.
  if (evidence.mixed?.verdict === 'same')
    return lowerC > 0
      ? ['impure', owners.mayBeWet ? 'dry and repeat' : 'recrystallize', 'repeat as it was']
      : ['consistent with pure', 'sign', 'thin-layer plate']
  const isLow = literature === null || reading.onsetC < literature.lowC
  if (owners.mayBeWet && lowerC > 0 && isLow) return ['cannot tell', 'dry and repeat', 'mixed melt']
  if (widerC > rules.sharpWidthC) return ['impure', 'recrystallize', 'repeat slower']
  if (widerC > chanceC) return ['nearly pure', 'recrystallize', 'thin-layer plate']
  return ['not this compound', 'mixed melt', 'find out what it is', 'thin-layer plate']
}

/**
 * How far an authentic sample of the same run lies outside the literature, °C, below 0 for lower. A decomposition point
 * depends on how it was reached: 0.
 */
export function authenticOffC(evidence: RangeEvidence): number {
  const { authentic, literature } = evidence
  if (!authentic || !literature || decomposes(evidence)) return 0
  return Math.min(0, authentic.onsetC - literature.lowC) + Math.max(0, authentic.clearC - literature.highC)
}

/** Whether an authentic sample lies further off than a checked thermometer may own: the check is wrong, or the sample. */
export function isAgainstCheck(evidence: RangeEvidence, owners: Owners, rules: HouseWords): boolean {
  const ownedC = owners.heating.mostC + ownC(owners)
  return isChecked(evidence) && Math.abs(authenticOffC(evidence)) - ownedC > rules.literatureWithinC
}

/** What thermometer and reading may own of where one end lies, °C. */
function ownC({ thermometerC, readingC }: Owners): number {
  return thermometerC + readingC
}

function alone(evidence: RangeEvidence, judged: Judged, rules: HouseWords): Said {
  const widthC = tenths(judged.sampleWidth.mostC)
  return widthC <= rules.sharpWidthC ? sharp(evidence, judged, rules) : wide(evidence, judged, rules)
}

function sharp(evidence: RangeEvidence, { owners }: Judged, rules: HouseWords): Said {
  const { literature, reading, mixed, plate } = evidence
  if (!literature) return ['cannot tell', 'mixed melt', 'find out what it is']
  const withinC = rules.literatureWithinC
  const lowByC = literature.lowC - reading.onsetC
  const highByC = reading.clearC - literature.highC
  if (tenths(Math.max(lowByC, highByC)) <= withinC) {
    if (mayLieLower({ owners }, -lowByC, rules) && mixed?.verdict !== 'same')
      return contradicted(evidence) ?? ['cannot tell', 'repeat slower', 'melt beside authentic']
    return agreeing(evidence, owners)
  }
  // Heating may own what is too high; that it does is for a slower tube to show.
  if (owners.isRateLoose && highByC - owners.heating.mostC <= withinC && lowByC <= withinC)
    return ['cannot tell', 'repeat slower', 'melt beside authentic']
  if (mixed?.verdict === 'repeat') return UNCLEAR_MIXTURE
  // Only the mixed melt speaks for identity: then what is off is the thermometer, whatever its check said.
  if (mixed?.verdict === 'same')
    return isChecked(evidence)
      ? ['consistent with pure', 'check the thermometer', 'sign']
      : ['consistent with pure', 'sign', 'check the thermometer']
  if (owners.mayBeWet && lowByC > 0 && lowByC <= WET_AND_SHARP_C)
    return ['cannot tell', 'dry and repeat', 'melt beside authentic']
  // A column that parted, a stem out of the bath: what reads high on a thermometer nobody checked is checked first.
  if (highByC > withinC && !isChecked(evidence) && highByC <= PARTED_C)
    return ['cannot tell', 'check the thermometer', 'melt beside authentic', 'mixed melt']
  // What nobody but the sample can own of the distance.
  const sampleC = Math.max(lowByC, highByC) - ownC(owners)
  if (sampleC <= withinC)
    return !isChecked(evidence)
      ? ['cannot tell', 'check the thermometer', 'melt beside authentic', 'mixed melt']
      : ['cannot tell', 'melt beside authentic', 'check the thermometer', 'mixed melt']
  if (evidence.behaviour === 'hydrate' && lowByC > 0)
    return ['cannot tell', 'dry and repeat', 'melt beside authentic', 'mixed melt']
  if (hasOtherForms(evidence))
    return ['cannot tell', 'mixed melt', 'recrystallize from another solvent', 'melt beside authentic']
  const companion = companionAt(evidence)
  if (companion === 'itself') return ['not this compound', 'find out what it is', 'mixed melt']
  if (companion === 'eutectic')
    return ['impure', 'mixed melt', 'recrystallize from another solvent', 'find out what it is']
  if (plate?.sameHeight === false) return ['not this compound', 'find out what it is', 'mixed melt']
  if (highByC > 3 * withinC) return ['not this compound', 'find out what it is', 'mixed melt']
  // Sharp, dry, on a thermometer that is right, and far below: no lowering leaves it sharp.
  if (isChecked(evidence) && lowByC - ownC(owners) > FAR_BELOW_C)
    return ['not this compound', 'find out what it is', 'mixed melt']
  return ['cannot tell', 'mixed melt', 'melt beside authentic', 'find out what it is']
}

/**
 * Heated faster than the house asks, or at a rate nobody measured, both ends read late: what reads where it should may
 * truly lie lower than the house allows.
 *
 * @param aboveLowC how far the onset reads above the low end of the literature, °C
 */
export function mayLieLower(
  { owners }: Pick<Settled, 'owners'>,
  aboveLowC: number,
  rules: HouseWords,
): boolean {
  return owners.isRateLoose && tenths(owners.heating.mostC - aboveLowC) > rules.literatureWithinC
}

const UNCLEAR_MIXTURE: Said = ['cannot tell', 'grind again and repeat the mixture', 'thin-layer plate']

/** A mixture that was unclear and a plate speak against a range that agrees. */
function contradicted({ mixed, plate }: RangeEvidence): Said | null {
  if (mixed?.verdict === 'repeat') return UNCLEAR_MIXTURE
  if (plate && plate.spots > 1) return ['nearly pure', 'recrystallize', 'thin-layer plate']
  if (plate?.sameHeight === false && mixed?.verdict !== 'same')
    return ['cannot tell', 'mixed melt', 'thin-layer plate']
  return null
}

/** Sharp and where it should be: only what could still make that a mistake is left. */
function agreeing(evidence: RangeEvidence, owners: Owners): Said {
  const against = contradicted(evidence)
  if (against) return against
  if (owners.mayBeLate) return ['cannot tell', 'repeat slower', 'repeat as it was']
  if (companionAt(evidence) === 'itself' && evidence.mixed?.verdict !== 'same')
    return ['consistent with pure', 'mixed melt', 'thin-layer plate', 'sign']
  return ['consistent with pure', 'sign', 'mixed melt', 'thin-layer plate']
}

function wide(evidence: RangeEvidence, { owners, sampleWidth }: Judged, rules: HouseWords): Said {
  const { literature, reading, crude } = evidence
  if (owners.mayBeWet) return ['cannot tell', 'dry and repeat']
  const topC = literature ? reading.clearC - literature.highC : 0
  // The measurement may own what decides: it is mended before the sample is treated. An impurity raises no top.
  if (isLoose(owners) && (straddles(sampleWidth, rules) || topC > rules.literatureWithinC))
    return owners.isRateLoose
      ? ['cannot tell', 'repeat slower', 'melt beside authentic']
      : ['cannot tell', 'repeat with less, finer']
  const lowByC = literature ? literature.lowC - reading.onsetC : 0
  const isImpure = tenths(sampleWidth.leastC) >= rules.broadWidthC || lowByC > 2 * rules.literatureWithinC
  if (owners.mayBeAnotherMark) return ['cannot tell', 'repeat as it was', 'dry and repeat']
  // Had it begun before it was seen, it would only be the more impure.
  if (!isImpure && owners.mayBeLate) return ['cannot tell', 'repeat slower', 'repeat as it was']
  if (crude && isNoBetter(reading, crude, rules))
    return ['impure', 'recrystallize from another solvent', 'thin-layer plate', 'find out what it is']
  if (topC - owners.heating.mostC - owners.thermometerC > rules.literatureWithinC)
    return ['impure', 'thin-layer plate', 'recrystallize']
  // Broad as it was read, and not for certain the sample’s: neither word is right yet.
  const isBroad = tenths(width(reading)) > rules.broadWidthC
  if (!isImpure && isBroad && evidence.repeats.length === 0)
    return ['cannot tell', 'repeat as it was', 'melt beside authentic', 'recrystallize']
  if (isImpure || isBroad) return ['impure', 'recrystallize', 'thin-layer plate']
  // Where nothing is the sample’s for certain, a tube costs less than another crystallization.
  return tenths(sampleWidth.leastC) <= 0 && lowByC <= rules.literatureWithinC && evidence.repeats.length === 0
    ? ['nearly pure', 'repeat as it was', 'recrystallize', 'thin-layer plate']
    : ['nearly pure', 'recrystallize', 'thin-layer plate']
}

/** Rate or packing break the house’s rules. */
function isLoose({ isRateLoose, isPackedLoose }: Owners): boolean {
  return isRateLoose || isPackedLoose
}

/** Whether what is the sample’s own of a width may lie on either side of a word for it. */
function straddles({ leastC, mostC }: Span, { sharpWidthC, broadWidthC }: HouseWords): boolean {
  return [sharpWidthC, broadWidthC].some((border) => tenths(leastC) <= border && tenths(mostC) > border)
}

function width({ onsetC, clearC }: MeltingRange): number {
  return clearC - onsetC
}

/** Whether a range begins no higher and is no narrower than repeats differ by. */
export function isNoBetter(now: MeltingRange, before: MeltingRange, rules: HouseWords): boolean {
  const gainedC = Math.max(
    now.onsetC - before.onsetC,
    before.clearC - before.onsetC - (now.clearC - now.onsetC),
  )
  return gainedC <= rules.repeatWithinC
}
