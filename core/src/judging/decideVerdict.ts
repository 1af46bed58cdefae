import { type CombinedRepeats, combineRepeats, bestAlone, scatterC } from './combineRepeats'
import { alone, contradicted, isLoose, ownC, type VerdictWithSteps, straddles, width } from './alone'
import type { NextStep, Verdict } from './judgement'
import type { HouseWords, RangeEvidence } from './evidence'
import { isTooFast } from '../heating/watching'
import { tenths } from '../math/tenths'
import {
  byChanceC,
  decomposes,
  isChecked,
  isShownDry,
  type Contributions,
  contributionsOf,
  saw,
  type Span,
} from './contributions'

/** What a reading comes to once everybody has been charged what is theirs. */
export interface Decision {
  readonly verdict: Verdict
  /** What to do next, what would settle most first. */
  readonly next: readonly [NextStep, ...NextStep[]]
  readonly contributions: Contributions
  /** The evidence as it was judged: several tubes as one, several rates looked back to none. */
  readonly evidence: RangeEvidence
  /** How several tubes were taken together. */
  readonly by: CombinedRepeats['by']
  /** What of the width only the sample can own beyond what the house’s words allow for, °C. */
  readonly sampleWidth: Span
  /** True where heating or packing that break the house’s rules might own enough to change the word for a width. */
  readonly isTooFastToTell: boolean
}

/** A tube that has been hot for so long below its melting has had time to sublime away, °C below the onset. */
const LONG_HOT_C = 25
/** So many tubes beside the first that do not agree are enough. */
const SCATTERED_ENOUGH = 2
/** How it is heated moves a decomposition point by so much; further down something else is in it, °C. */
const DECOMPOSES_LOWER_C = 6

/**
 * The verdict on a range: every degree between reading and literature, and of the width, belongs to somebody; what
 * nothing else can explain is the sample’s. Where that straddles a border because of something that can be mended it
 * cannot be told, and the mending comes first.
 */
export function decideVerdict(read: RangeEvidence, rules: HouseWords): Decision {
  const together = settleOne(combineRepeats(read, rules), rules)
  if (together.verdict === 'cannot tell') return together
  // Another tube never makes a product purer than the best measured of them does alone.
  const alone = bestAlone(read, rules).map((one) => settleOne(one, rules))
  const decided = alone.filter(({ verdict }) => verdict !== 'cannot tell')
  if (decided.length < alone.length || decided.length === 0) return together
  const best = decided.reduce((p, q) => (badness(q) < badness(p) ? q : p))
  return badness(together) < badness(best) ? best : together
}

/** Verdicts that are one, from the best. */
const FROM_THE_BEST: readonly Verdict[] = [
  'consistent with pure',
  'nearly pure',
  'impure',
  'not this compound',
]
function badness({ verdict }: Decision): number {
  return FROM_THE_BEST.indexOf(verdict)
}

function settleOne({ evidence, share, by }: CombinedRepeats, rules: HouseWords): Decision {
  const contributions = contributionsOf(evidence, rules, share)
  const widthC = width(evidence.reading)
  const sampleWidth = {
    leastC: Math.max(0, widthC - contributions.beyondOrdinary.mostC - byChanceC(contributions)),
    mostC: widthC,
  }
  const judged = { contributions, sampleWidth }
  const [verdict, ...next] =
    outright(evidence, rules) ?? beside(evidence, contributions, rules) ?? alone(evidence, judged, rules)
  return {
    verdict,
    next: withoutDone(next, evidence, contributions),
    contributions,
    evidence,
    by,
    sampleWidth,
    isTooFastToTell: isLoose(contributions) && straddles(sampleWidth, rules),
  }
}

/** What was done already, or is as it should be, is not asked for again, except first: then it is to be repeated. */
function withoutDone(
  [first = 'repeat as it was', ...rest]: readonly NextStep[],
  { mixed, plate, authentic, thermometer }: RangeEvidence,
  contributions: Contributions,
): readonly [NextStep, ...NextStep[]] {
  const isDone = (step: NextStep) =>
    (step === 'mixed melt' && mixed !== null) ||
    (step === 'thin-layer plate' && plate !== null) ||
    (step === 'melt beside authentic' && authentic !== null) ||
    (step === 'dry and repeat' && !contributions.mayBeWet) ||
    (step === 'repeat slower' && !contributions.isRateLoose && !contributions.mayBeLate) ||
    (step === 'check the thermometer' && thermometer.state === 'checked in place at this rate')
  return [first, ...rest.filter((step) => !isDone(step))]
}

/** What stands whatever the range says. */
function outright(evidence: RangeEvidence, rules: HouseWords): VerdictWithSteps | null {
  const { mixed, behaviour, reading, authentic, literature } = evidence
  if (mixed?.verdict === 'different') return ['not this compound', 'find out what it is', 'thin-layer plate']
  if (saw(evidence, 'solid that never melts')) return ['impure', 'hot filter']
  // Beside an authentic sample other runs’ tubes differ by what the two of this run share.
  if (
    !usesAuthentic(evidence, rules) &&
    tenths(scatterC([reading, ...evidence.repeats])) > rules.repeatWithinC
  )
    // Three that do not agree are not mended by a fourth: beside an authentic sample what they do not share is shared.
    return evidence.repeats.length >= SCATTERED_ENOUGH
      ? ['cannot tell', 'melt beside authentic', 'check the thermometer', 'repeat as it was']
      : ['cannot tell', 'repeat as it was', 'check the thermometer', 'melt beside authentic']
  if (isLaterSolid(evidence, rules))
    return ['cannot tell', 'repeat as it was', 'melt beside authentic', 'check the thermometer']
  const longHot = (evidence.watchedFromBelowOnsetC ?? 0) > LONG_HOT_C
  // A decomposition point measures no purity: what it is, and that it is one, a mixed melt says; then it is signed.
  if (decomposes(evidence) && !authentic) {
    const isFarLow = literature !== null && literature.lowC - reading.onsetC > DECOMPOSES_LOWER_C
    // Damp it decomposes lower and wider too: that is mended before anything is ground with it.
    if (!isShownDry(evidence) && (isFarLow || width(reading) > rules.sharpWidthC) && !mixed)
      return ['cannot tell', 'dry and repeat', 'mixed melt', 'melt beside authentic']
    if (mixed?.verdict === 'same')
      return isFarLow
        ? ['impure', 'recrystallize', 'melt beside authentic', 'thin-layer plate']
        : ['consistent with pure', 'sign', 'thin-layer plate']
    // Far below, or after a second tube, putting it in later tells nothing more.
    return longHot && !isFarLow && evidence.repeats.length === 0
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

/** A later tube of it was still solid well above where this one was all liquid. */
export function isLaterSolid(
  { laterSolidAtC, reading }: RangeEvidence,
  { repeatWithinC }: Pick<HouseWords, 'repeatWithinC'>,
): boolean {
  return (laterSolidAtC ?? -Infinity) > reading.clearC + repeatWithinC
}

/** An authentic sample that is itself low and wide, on a thermometer that is right, speaks for nothing. */
export function usesAuthentic(evidence: RangeEvidence, rules: HouseWords): boolean {
  const { authentic, reading } = evidence
  if (!authentic) return false
  return !isChecked(evidence) || width(authentic) <= width(reading) + rules.sharpWidthC
}

/** Beside an authentic sample of the same run heating and thermometer cancel. */
function beside(
  evidence: RangeEvidence,
  contributions: Contributions,
  rules: HouseWords,
): VerdictWithSteps | null {
  const { authentic, reading, literature } = evidence
  if (!authentic || !usesAuthentic(evidence, rules)) return null
  const chanceC = byChanceC(contributions)
  const lowerC = authentic.onsetC - reading.onsetC
  const apartC = Math.max(Math.abs(lowerC), Math.abs(authentic.clearC - reading.clearC))
  const tooFast = isTooFast(evidence.rateCPerMin, rules.meltRate) && evidence.behaviour !== 'decomposes'
  const widerC = width(reading) - width(authentic)
  if (apartC <= chanceC || (widerC <= chanceC && Math.abs(lowerC) <= chanceC)) {
    const against = contradicted(evidence)
    if (against) return against
    const bothOffC = Math.abs(authenticOffC(evidence))
    if (isAgainstCheck(evidence, contributions, rules))
      return ['consistent with pure', 'check the thermometer', 'mixed melt', 'sign']
    const isOff = !isChecked(evidence) && bothOffC > rules.literatureWithinC
    if (tooFast) return ['consistent with pure', 'repeat slower', 'sign', 'mixed melt']
    const off = isOff ? (['check the thermometer'] as const) : []
    return ['consistent with pure', 'sign', ...off, 'mixed melt', 'thin-layer plate']
  }
  // Only the mixed melt speaks for identity: one compound, then, and what it lies lower by is in it.
  if (evidence.mixed?.verdict === 'same')
    return lowerC > 0
      ? Math.max(lowerC, widerC) - chanceC <= rules.literatureWithinC
        ? [
            'nearly pure',
            ...(contributions.mayBeWet ? (['dry and repeat'] as const) : []),
            ...(evidence.repeats.length === 0 ? (['repeat as it was'] as const) : []),
            'recrystallize',
          ]
        : ['impure', contributions.mayBeWet ? 'dry and repeat' : 'recrystallize', 'repeat as it was']
      : ['consistent with pure', 'sign', 'thin-layer plate']
  const isLow = literature === null || reading.onsetC < literature.lowC
  if (contributions.mayBeWet && lowerC > 0 && isLow) return ['cannot tell', 'dry and repeat', 'mixed melt']
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
export function isAgainstCheck(
  evidence: RangeEvidence,
  contributions: Contributions,
  rules: HouseWords,
): boolean {
  const ownedC = contributions.heating.mostC + ownC(contributions)
  return isChecked(evidence) && Math.abs(authenticOffC(evidence)) - ownedC > rules.literatureWithinC
}
