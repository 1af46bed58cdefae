import { tenths } from '../math/tenths'
import type { MeltingRange } from '../melting/meltingRange'
import { impurityExplains } from './impurityExplains'
import type { HouseWords, RangeEvidence } from './evidence'
import type { NextStep, Verdict } from './judgement'
import { hasOtherForms, isChecked, type Contributions, type Span } from './contributions'

/** Solvent makes a solid melt low and wide: sharp, and further down than this, it is not the solvent’s doing, °C. */
export const WET_AND_SHARP_C = 10
/** A thermometer nobody checked may read so much too high, °C: a parted column, a stem far out of the bath. */
const PARTED_C = 10
/** Sharp and so much too low, more than anybody owns, it is something else, °C. */
const FAR_BELOW_C = 10

/** A verdict, and what to do next, what would settle most first. */
export type VerdictWithSteps = readonly [Verdict, ...NextStep[]]
/** Who may own degrees of a reading, and what of its width only the sample can. */
export interface Attributed {
  readonly contributions: Contributions
  readonly sampleWidth: Span
}

/** What thermometer and reading may own of where one end lies, °C. */
export function ownC({ thermometerC, readingC }: Contributions): number {
  return thermometerC + readingC
}

export function alone(evidence: RangeEvidence, judged: Attributed, rules: HouseWords): VerdictWithSteps {
  const widthC = tenths(judged.sampleWidth.mostC)
  return widthC <= rules.sharpWidthC ? sharp(evidence, judged, rules) : wide(evidence, judged, rules)
}

function sharp(evidence: RangeEvidence, { contributions }: Attributed, rules: HouseWords): VerdictWithSteps {
  const { literature, reading, mixed, plate } = evidence
  if (!literature) return ['cannot tell', 'mixed melt', 'find out what it is']
  const withinC = rules.literatureWithinC
  const lowByC = literature.lowC - reading.onsetC
  const highByC = reading.clearC - literature.highC
  if (tenths(Math.max(lowByC, highByC)) <= withinC) {
    if (mayLieLower({ contributions }, -lowByC, rules) && mixed?.verdict !== 'same')
      return contradicted(evidence) ?? ['cannot tell', 'repeat slower', 'melt beside authentic']
    return agreeing(evidence, contributions)
  }
  // Heating may own what is too high; that it does is for a slower tube to show.
  if (contributions.isRateLoose && highByC - contributions.heating.mostC <= withinC && lowByC <= withinC)
    return ['cannot tell', 'repeat slower', 'melt beside authentic']
  if (mixed?.verdict === 'repeat') return UNCLEAR_MIXTURE
  // Only the mixed melt speaks for identity: then what is off is the thermometer, whatever its check said.
  if (mixed?.verdict === 'same')
    return isChecked(evidence)
      ? ['consistent with pure', 'check the thermometer', 'sign']
      : ['consistent with pure', 'sign', 'check the thermometer']
  if (contributions.mayBeWet && lowByC > 0 && lowByC <= WET_AND_SHARP_C)
    return ['cannot tell', 'dry and repeat', 'melt beside authentic']
  // A column that parted, a stem out of the bath: what reads high on a thermometer nobody checked is checked first.
  if (highByC > withinC && !isChecked(evidence) && highByC <= PARTED_C)
    return ['cannot tell', 'check the thermometer', 'melt beside authentic', 'mixed melt']
  // What nobody but the sample can own of the distance.
  const sampleC = Math.max(lowByC, highByC) - ownC(contributions)
  if (sampleC <= withinC)
    return !isChecked(evidence)
      ? ['cannot tell', 'check the thermometer', 'melt beside authentic', 'mixed melt']
      : ['cannot tell', 'melt beside authentic', 'check the thermometer', 'mixed melt']
  if (evidence.behaviour === 'hydrate' && lowByC > 0)
    return ['cannot tell', 'dry and repeat', 'melt beside authentic', 'mixed melt']
  if (hasOtherForms(evidence))
    return ['cannot tell', 'mixed melt', 'recrystallize from another solvent', 'melt beside authentic']
  const companion = impurityExplains(evidence)
  if (companion === 'itself') return ['not this compound', 'find out what it is', 'mixed melt']
  if (companion === 'eutectic')
    return ['impure', 'mixed melt', 'recrystallize from another solvent', 'find out what it is']
  if (plate?.sameHeight === false) return ['not this compound', 'find out what it is', 'mixed melt']
  if (highByC > 3 * withinC) return ['not this compound', 'find out what it is', 'mixed melt']
  // Sharp, dry, on a thermometer that is right, and far below: no lowering leaves it sharp.
  if (isChecked(evidence) && lowByC - ownC(contributions) > FAR_BELOW_C)
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
  { contributions }: Pick<Attributed, 'contributions'>,
  aboveLowC: number,
  rules: HouseWords,
): boolean {
  return (
    contributions.isRateLoose && tenths(contributions.heating.mostC - aboveLowC) > rules.literatureWithinC
  )
}

const UNCLEAR_MIXTURE: VerdictWithSteps = [
  'cannot tell',
  'grind again and repeat the mixture',
  'thin-layer plate',
]

/** A mixture that was unclear and a plate speak against a range that agrees. */
export function contradicted({ mixed, plate }: RangeEvidence): VerdictWithSteps | null {
  if (mixed?.verdict === 'repeat') return UNCLEAR_MIXTURE
  if (plate && plate.spots > 1) return ['nearly pure', 'recrystallize', 'thin-layer plate']
  if (plate?.sameHeight === false && mixed?.verdict !== 'same')
    return ['cannot tell', 'mixed melt', 'thin-layer plate']
  return null
}

/** Sharp and where it should be: only what could still make that a mistake is left. */
function agreeing(evidence: RangeEvidence, contributions: Contributions): VerdictWithSteps {
  const against = contradicted(evidence)
  if (against) return against
  if (contributions.mayBeLate) return ['cannot tell', 'repeat slower', 'repeat as it was']
  if (impurityExplains(evidence) === 'itself' && evidence.mixed?.verdict !== 'same')
    return ['consistent with pure', 'mixed melt', 'thin-layer plate', 'sign']
  return ['consistent with pure', 'sign', 'mixed melt', 'thin-layer plate']
}

function wide(
  evidence: RangeEvidence,
  { contributions, sampleWidth }: Attributed,
  rules: HouseWords,
): VerdictWithSteps {
  const { literature, reading, crude } = evidence
  if (contributions.mayBeWet) return ['cannot tell', 'dry and repeat']
  const topC = literature ? reading.clearC - literature.highC : 0
  // The measurement may own what decides: it is mended before the sample is treated. An impurity raises no top.
  if (isLoose(contributions) && (straddles(sampleWidth, rules) || topC > rules.literatureWithinC))
    return contributions.isRateLoose
      ? ['cannot tell', 'repeat slower', 'melt beside authentic']
      : ['cannot tell', 'repeat with less, finer']
  const lowByC = literature ? literature.lowC - reading.onsetC : 0
  const isImpure = tenths(sampleWidth.leastC) >= rules.broadWidthC || lowByC > 2 * rules.literatureWithinC
  if (contributions.mayBeAnotherMark) return ['cannot tell', 'repeat as it was', 'dry and repeat']
  // Had it begun before it was seen, it would only be the more impure.
  if (!isImpure && contributions.mayBeLate) return ['cannot tell', 'repeat slower', 'repeat as it was']
  if (crude && isNoBetter(reading, crude, rules))
    return ['impure', 'recrystallize from another solvent', 'thin-layer plate', 'find out what it is']
  if (topC - contributions.heating.mostC - contributions.thermometerC > rules.literatureWithinC)
    return ['impure', 'thin-layer plate', 'recrystallize']
  // Broad as it was read, and not for certain the sample’s: neither word is right yet.
  const isBroad = tenths(width(reading)) > rules.broadWidthC
  if (!isImpure && isBroad && isOnlyTube(evidence))
    return ['cannot tell', 'repeat as it was', 'melt beside authentic', 'recrystallize']
  if (isImpure || isBroad) return ['impure', 'recrystallize', 'thin-layer plate']
  // Where nothing is the sample’s for certain, a tube costs less than another crystallization.
  return tenths(sampleWidth.leastC) <= 0 && lowByC <= rules.literatureWithinC && isOnlyTube(evidence)
    ? ['nearly pure', 'repeat as it was', 'recrystallize', 'thin-layer plate']
    : ['nearly pure', 'recrystallize', 'thin-layer plate']
}

/** No further tube of it is in the reading, neither beside it nor looked back to no rate with it. */
function isOnlyTube({ repeats, rateCPerMin }: RangeEvidence): boolean {
  return repeats.length === 0 && rateCPerMin > 0
}

/** Rate or packing break the house’s rules. */
export function isLoose({ isRateLoose, isPackedLoose }: Contributions): boolean {
  return isRateLoose || isPackedLoose
}

/** Whether what is the sample’s own of a width may lie on either side of a word for it. */
export function straddles({ leastC, mostC }: Span, { sharpWidthC, broadWidthC }: HouseWords): boolean {
  return [sharpWidthC, broadWidthC].some((border) => tenths(leastC) <= border && tenths(mostC) > border)
}

export function width({ onsetC, clearC }: MeltingRange): number {
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
