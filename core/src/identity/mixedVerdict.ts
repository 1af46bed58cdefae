import type { MeltingRange } from '../melting/meltingRange'
import type { Conventions } from '../conventions/conventions'
import { requireRange } from '../heating/observedRange'
import { tenths } from '../math/tenths'

export interface MixedVerdict {
  readonly verdict: 'same' | 'different' | 'repeat'
  readonly because: string
}

/** No pure compound melts so far below itself, °C: whatever its width, such a mixture is of two. */
const FAR_UNDER_C = 4

/** Less of one part than this moves the range of the other by too little to tell. */
const LEAST_PART = 0.25

type Rules = Pick<Conventions, 'repeatWithinC' | 'readingErrorC' | 'sharpWidthC'>

/** What a mixed melt is laid beside; all °C. */
export interface MixedInput {
  readonly unknown: MeltingRange
  readonly reference: MeltingRange
  readonly mixture: MeltingRange
  /** The unknown was melted in the run of the mixture: only then are heating and thermometer shared. */
  readonly sameRun: boolean
  /** How much of each part’s width heating and packing usually make, °C; 0 where it is not given. */
  readonly meltingTimeC?: number
  /** Mass fraction of the unknown in the mixture, 0 to 1; taken as half where it is not given. */
  readonly partOfUnknown?: number
}

/**
 * What a mixed melt says of identity: only that speaks for it, and only beside the unknown in the same run; ranges of
 * another run are at most “repeat”. Not lower than the sample alone and not broader: the same compound (a
 * little higher, even, if the unknown was impure). All liquid far below both, or lower at both ends and broader: a
 * different one. Where the authentic sample is wide by itself the mixture must begin below that too: else its own
 * impurity does it. Anything else, such as an onset alone that is lower: repeat.
 * Differences within what repeats differ by count as none.
 *
 * @param input all °C; the mixture is of unknown and reference
 * @param conventions house rules, for what repeats may differ by and what is sharp
 * @throws ImpossibleInput on an inverted range
 * @example mixedVerdict({ unknown: { onsetC: 93.6, clearC: 94.8 }, reference: { onsetC: 94.3, clearC: 95.6 }, mixture: { onsetC: 58, clearC: 76 }, sameRun: true }, rules).verdict // 'different'
 */
export function mixedVerdict(input: MixedInput, conventions: Rules): MixedVerdict {
  const found = laidBeside(input, conventions)
  const { partOfUnknown = 0.5 } = input
  if (found.verdict !== 'different' && Math.min(partOfUnknown, 1 - partOfUnknown) < LEAST_PART)
    return {
      verdict: 'repeat',
      because: `It was ground ${percent(partOfUnknown)} to ${percent(1 - partOfUnknown)}. So little of one hardly lowers the other, even if they are two compounds. Grind about equal parts and repeat.`,
    }
  if (input.sameRun || found.verdict === 'repeat') return found
  return {
    verdict: 'repeat',
    because: `The sample alone was melted in another run, so heating and thermometer could explain the difference (${found.verdict === 'same' ? 'unchanged' : 'lower'}, as far as that goes). Melt the two side by side.`,
  }
}

function laidBeside(input: MixedInput, conventions: Rules): MixedVerdict {
  const { unknown, reference, mixture } = input
  for (const range of [unknown, reference, mixture]) requireRange(range)
  const within = conventions.repeatWithinC
  const broaderC = width(mixture) - width(unknown)
  const aboveBothC = Math.min(mixture.clearC - unknown.clearC, mixture.clearC - reference.clearC)
  if (tenths(aboveBothC) > within)
    return {
      verdict: 'repeat',
      because: `The mixture was all liquid ${c(aboveBothC)} °C above both its parts, which no mixture does. Were two tubes swapped, or was it heated faster?`,
    }
  const onsetLowerC = unknown.onsetC - mixture.onsetC
  const clearLowerC = unknown.clearC - mixture.clearC
  const isLower = tenths(Math.min(onsetLowerC, clearLowerC)) > within
  const isBroader = tenths(broaderC) > (isLower ? 2 * conventions.readingErrorC : within)
  // An authentic sample with an impurity of its own brings that into the mixture, of the same compound too.
  const isOwnImpurity =
    width(reference) > conventions.sharpWidthC && tenths(reference.onsetC - mixture.onsetC) <= within
  if (isLower && isBroader && isOwnImpurity && tenths(mixture.clearC - reference.clearC) >= -within)
    return {
      verdict: 'repeat',
      because: `The authentic sample is itself ${c(width(reference))} °C wide, from ${c(reference.onsetC)} °C, and the mixture begins no lower. The impurity of the authentic sample could do this even if both are one compound. Repeat with a pure authentic sample.`,
    }
  if (isLower && isBroader)
    return {
      verdict: 'different',
      because: `The mixture begins ${c(onsetLowerC)} °C lower and is ${c(broaderC)} °C broader than the sample alone. Each is an impurity in the other, so they are two compounds.`,
    }
  const underBothC = Math.min(unknown.clearC, reference.clearC) - mixture.clearC
  if (tenths(underBothC) > FAR_UNDER_C)
    return {
      verdict: 'different',
      because: `The mixture is all liquid ${c(underBothC)} °C below both its parts. Each is an impurity in the other, so they are two compounds.`,
    }
  if (!isLower && tenths(Math.max(onsetLowerC, clearLowerC)) > within)
    return {
      verdict: 'repeat',
      because: `The mixture ${onsetLowerC > clearLowerC ? `begins ${c(onsetLowerC)} °C lower, and ends where the sample alone does` : `ends ${c(clearLowerC)} °C lower, and begins where the sample alone does`}. Two compounds do that near one end of the phase map, and so does a damp or unevenly ground tube. Grind it again and repeat.`,
    }
  if (!isLower && !isBroader)
    return Math.min(width(unknown), width(reference)) - (input.meltingTimeC ?? 0) > conventions.sharpWidthC
      ? {
          verdict: 'repeat',
          because: `Both parts are broad by themselves (${c(width(unknown))} °C and ${c(width(reference))} °C). A mixture of two impure samples shows little. Purify one of them and repeat.`,
        }
      : { verdict: 'same', because: sameBecause(unknown, mixture, within) }
  if (isLower)
    return {
      verdict: 'repeat',
      because: `The mixture melts ${c(clearLowerC)} °C lower but is hardly broader. Two compounds near their eutectic do that, and so does a damp or unevenly heated tube. Repeat with one part of the sample to two of the other.`,
    }
  // Only more of its own compound raises the clear point of an impure sample and leaves its eutectic where it is.
  if (
    tenths(reference.clearC - unknown.clearC) > 2 * within &&
    tenths(Math.abs(onsetLowerC)) <= within &&
    tenths(-clearLowerC) > within &&
    tenths(mixture.clearC - reference.clearC) <= within
  )
    return {
      verdict: 'same',
      because: `The mixture begins where the sample alone does and is all liquid ${c(clearLowerC)} °C higher. Adding more of the same compound dilutes the impurity of the sample. They are one compound, and the sample is impure.`,
    }
  return {
    verdict: 'repeat',
    because: `The mixture is ${c(broaderC)} °C broader but hardly lower. It could be ground unevenly or packed too full. Grind it again and repeat.`,
  }
}

function sameBecause(unknown: MeltingRange, mixture: MeltingRange, within: number): string {
  const higherC = mixture.onsetC - unknown.onsetC
  const rise =
    tenths(higherC) > within
      ? ` It begins ${c(higherC)} °C higher: mixing in the pure compound dilutes the impurity of the sample.`
      : ''
  return `The mixture is not lower than the sample alone and not broader (within ${c(within)} °C). They are one compound, if they behave ideally; mirror-image forms and molecular compounds can differ.${rise}`
}

function width(range: MeltingRange): number {
  return range.clearC - range.onsetC
}

function percent(part: number): string {
  return (100 * part).toFixed(0)
}

function c(value: number): string {
  return Math.abs(value).toFixed(1)
}
