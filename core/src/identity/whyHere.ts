import { type Candidate, expectationOf, type IdentityInput, optionsOf, requireIdentity } from './likelihood'

/** Why a candidate stands where it does: what it leads one to expect, beside what was seen. */
export interface WhyHere {
  readonly id: string
  /** Clear point of the unknown above the top of the literature range, °C; below 0 lower. */
  readonly aboveLiteratureC: number
  readonly mixtures: readonly {
    readonly reference: string
    readonly expectedClearC: number
    readonly seenClearC: number
    readonly isSame: boolean
  }[]
  readonly sentence: string
}

/** Within so many standard deviations a reading is as expected. */
const AS_EXPECTED_SD = 1.5
const AGAINST_SD = 2.5

/**
 * What speaks for and against each candidate, in words and numbers.
 *
 * @param nameOf what a reference is called
 * @throws ImpossibleInput as `rankCandidates`
 */
export function whyHere(input: IdentityInput, nameOf: (id: string) => string): readonly WhyHere[] {
  requireIdentity(input)
  return input.candidates.map((candidate) => whyOne(input, candidate, nameOf))
}

function whyOne(input: IdentityInput, candidate: Candidate, nameOf: (id: string) => string): WhyHere {
  const options = optionsOf(input)
  const aboveLiteratureC = input.unknown.clearC - candidate.meltHighC
  const mixtures = input.mixtures.map((mixture) => {
    const expected = expectationOf(input, candidate, mixture)
    return {
      reference: mixture.reference.id,
      expectedClearC: expected.clearC,
      seenClearC: mixture.clearC,
      isSame: expected.isSame,
      readClear: mixture.readClear,
      sd: expected.isSame ? options.undepressedSigmaC * Math.SQRT2 : options.mixtureSigmaC,
    }
  })
  const sentences = mixtures.map(({ reference, expectedClearC, seenClearC, isSame, readClear, sd }) => {
    const off = Math.abs(seenClearC - expectedClearC) / sd
    const word =
      off <= AS_EXPECTED_SD ? 'as expected' : off <= AGAINST_SD ? 'not quite as expected' : 'against it'
    const would = isSame ? 'it would melt as it does alone,' : 'it would be'
    return `With ${nameOf(reference)} ${would} all liquid near ${expectedClearC.toFixed(0)} °C; ${seenIn(seenClearC, readClear)}: ${word}.`
  })
  return {
    id: candidate.id,
    aboveLiteratureC,
    mixtures: mixtures.map(({ reference, expectedClearC, seenClearC, isSame }) => ({
      reference,
      expectedClearC,
      seenClearC,
      isSame,
    })),
    sentence: [aloneSentence(aboveLiteratureC, options.sigmaC), ...sentences].join(' '),
  }
}

/** What was read, and what it comes to without heating and thermometer; one number where the two agree. */
function seenIn(clearC: number, read: string | undefined): string {
  const comesTo = clearC.toFixed(1)
  return read === undefined || Number(read).toFixed(1) === comesTo
    ? `${comesTo} °C was seen`
    : `${read} °C was read, ${comesTo} °C after correction for thermometer and heating`
}

function aloneSentence(aboveC: number, sigmaC: number): string {
  const by = `${Math.abs(aboveC).toFixed(1)} °C`
  if (aboveC > 2 * sigmaC) return `The unknown melts ${by} above it, which an impurity cannot cause.`
  if (aboveC > 0.05) return `The clear point of the unknown lies ${by} above that in the literature.`
  if (aboveC > -0.05) return 'The clear point of the unknown is that in the literature.'
  return aboveC < -5 * sigmaC
    ? `The clear point of the unknown lies ${by} below that in the literature: it would have to be very impure.`
    : `The clear point of the unknown lies ${by} below that in the literature.`
}
