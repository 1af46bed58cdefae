import { type MeltingRange, meltingRange } from '../melting/meltingRange'
import type { Conventions } from '../conventions/conventions'
import {
  type Candidate,
  expectationOf,
  type IdentityInput,
  mixtureDensity,
  optionsOf,
  RANK_OPTIONS,
  type RankOptions,
  unlistedPartners,
} from './likelihood'
import { moleFractionFromMassFraction } from '../melting/eutectic'
import { rankCandidates } from './rankCandidates'

/** What grinding the unknown with one authentic sample would tell. */
export interface NextMixture {
  readonly reference: string
  /** Expected fall of the entropy over the candidates. */
  readonly bits: number
  /** The mixture's range if the unknown is this candidate; null: not on the list. */
  readonly outcomes: readonly MixtureOutcome[]
}
interface MixtureOutcome extends MeltingRange {
  readonly id: string | null
  /** Between which clear points it may lie when equal parts are taken by eye. */
  readonly clearByEyeC: readonly [low: number, high: number]
}

/** Two parts taken by eye are equal within about this much of the whole. */
export const BY_EYE_WITHIN = 0.15

/** A mixture that would tell less than this is not worth the tube, bits. */
const WORTH_BITS = 0.02
/** Candidates less likely than this do not change what is learned, but cost time. */
const COUNTS_ABOVE = 1e-6
const STEPS_PER_SIGMA = 4
const SIGMAS = 5

/**
 * Which authentic sample to grind with the unknown next: the one whose mixture is expected to lower the
 * entropy over the candidates most (Lindley 1956), over the predictive distribution of its clear point.
 *
 * @param input as for `rankCandidates`; references are the authentic samples at hand
 * @returns best first, °C and bits; empty when none would tell (`whyNoMixture` says why)
 * @throws ImpossibleInput as `rankCandidates`
 */
export function nextMixture(
  input: IdentityInput & { readonly references: readonly Candidate[] },
): readonly NextMixture[] {
  const likely = likelyOf(input)
  const options = { ...RANK_OPTIONS, ...input.options }
  return input.references
    .map((reference) => ({ reference, bits: bitsOf(input, likely, reference) }))
    .filter(({ bits }) => bits >= WORTH_BITS)
    .sort((p, q) => q.bits - p.bits)
    .map(({ reference, bits }) => ({
      reference: reference.id,
      bits,
      outcomes: outcomesOf(input, reference, options),
    }))
}

interface Likely {
  readonly candidate: Candidate | null
  readonly probability: number
}

function likelyOf(input: IdentityInput): readonly Likely[] {
  const byId = new Map(input.candidates.map((candidate) => [candidate.id, candidate]))
  return rankCandidates(input)
    .filter(({ probability }) => probability > COUNTS_ABOVE)
    .map(({ id, probability }) => ({ candidate: id === null ? null : (byId.get(id) ?? null), probability }))
}

/** Σ p ∫ f·log₂(f/f̄): what the clear point is expected to tell of which candidate it is. */
function bitsOf(input: IdentityInput, likely: readonly Likely[], reference: Candidate): number {
  const options = optionsOf(input)
  const expected = likely.map(({ candidate }) => expectationOf(input, candidate, { reference }))
  const centres = expected.flatMap(({ clearC, undepressedC }) => [clearC, undepressedC])
  const around = SIGMAS * options.mixtureSigmaC
  const [from, to] = [Math.min(...centres) - around, Math.max(...centres) + around]
  const step = Math.min(options.undepressedSigmaC, options.mixtureSigmaC) / STEPS_PER_SIGMA
  const grid = Array.from({ length: Math.ceil((to - from) / step) + 1 }, (_, i) => from + i * step)
  const norm = likely.reduce((sum, { probability }) => sum + probability, 0)
  const mean = new Float64Array(grid.length)
  const weighted = expected.map((one, h) => {
    const values = Float64Array.from(grid, (clearC) => mixtureDensity(clearC, one, options))
    const total = values.reduce((sum, value) => sum + value, 0)
    const weight = (likely[h]?.probability ?? 0) / norm
    for (let i = 0; i < values.length; i++) {
      const density = (values[i] ?? 0) / total
      values[i] = density
      mean[i] = (mean[i] ?? 0) + weight * density
    }
    return { weight, values }
  })
  let bits = 0
  for (const { weight, values } of weighted)
    for (let i = 0; i < values.length; i++) {
      const density = values[i] ?? 0
      if (density > 0) bits += weight * density * Math.log2(density / (mean[i] ?? 1))
    }
  return bits
}

type Known = Pick<IdentityInput, 'unknown' | 'candidates'>
type Visible = Pick<RankOptions, 'visibleLiquidFraction'>

/** The range of the mixture, candidate by candidate and for one nobody listed. */
function outcomesOf(known: Known, reference: Candidate, options: Visible): NextMixture['outcomes'] {
  return [...known.candidates, null].map((candidate) => ({
    id: candidate?.id ?? null,
    ...mixedRange(known, candidate, reference, 0.5, options),
    clearByEyeC: byEye(known, candidate, reference, options),
  }))
}

/** The clear points at both ends of what the eye takes for equal; nothing changes if both are one compound. */
function byEye(
  known: Known,
  candidate: Candidate | null,
  reference: Candidate,
  options: Visible,
): readonly [number, number] {
  const clears = [0.5 - BY_EYE_WITHIN, 0.5, 0.5 + BY_EYE_WITHIN].map(
    (share) => mixedRange(known, candidate, reference, share, options).clearC,
  )
  return [Math.min(...clears), Math.max(...clears)]
}

function mixedRange(
  known: Known,
  candidate: Candidate | null,
  reference: Candidate,
  massFractionUnknown: number,
  options: Visible,
): MeltingRange {
  const { unknown } = known
  if (candidate?.id === reference.id)
    return {
      onsetC: (unknown.onsetC + Math.max(unknown.onsetC, reference.meltLowC)) / 2,
      clearC: (unknown.clearC + reference.meltHighC) / 2,
    }
  const ranges = (candidate ? [candidate.fusion] : unlistedPartners(known, reference)).map((partner) => {
    const x = moleFractionFromMassFraction(
      massFractionUnknown,
      partner.molarMassGPerMol,
      reference.fusion.molarMassGPerMol,
    )
    return meltingRange(partner, reference.fusion, x, options)
  })
  const mean = (end: keyof MeltingRange) => ranges.reduce((sum, range) => sum + range[end], 0) / ranges.length
  return { onsetC: mean('onsetC'), clearC: mean('clearC') }
}

/** Entropy over the candidates under which the question counts as settled, bits. */
const SETTLED_BITS = 0.1

/**
 * Why no mixture would tell, in a sentence; null when one would.
 *
 * @throws ImpossibleInput as `rankCandidates`
 */
export function whyNoMixture(
  input: IdentityInput & { readonly references: readonly Candidate[] },
): string | null {
  if (nextMixture(input).length > 0) return null
  const ranked = rankCandidates(input)
  const bits = ranked.reduce((sum, { probability: p }) => (p > 0 ? sum - p * Math.log2(p) : sum), 0)
  if (bits < SETTLED_BITS)
    return 'The ranges already point to one answer. Another mixture would hardly change it.'
  if (input.references.length === 0)
    return 'Press “I have an authentic sample” beside each candidate that you have. Then you can choose a mixture.'
  return 'The mixtures with the authentic samples you have would all melt too much alike to separate the candidates.'
}

/** A depression smaller than this is hardly seen in a range, °C. */
const SEEN_FROM_C = 3

/** A warning when the mixture would look unchanged even with another compound, or null. */
export function depressionDoubt({ reference, outcomes }: NextMixture): string | null {
  const same = outcomes.find(({ id }) => id === reference)
  const alike = outcomes.filter(
    ({ id, onsetC }) => same && id !== reference && same.onsetC - onsetC < SEEN_FROM_C,
  )
  return alike.length === 0
    ? null
    : `Some of these mixtures would begin to melt less than ${SEEN_FROM_C} °C below the pure compound. So small a depression is easily missed. Choose another mixture, or heat more slowly.`
}

/** How a mixture's range would look beside the pure compound's, in words. */
export function outcomeWords(
  outcome: MeltingRange & { readonly id: string | null },
  reference: string,
  rules: Pick<Conventions, 'sharpWidthC'>,
): string {
  if (outcome.id === reference) return 'same compound: range unchanged'
  return outcome.clearC - outcome.onsetC <= rules.sharpWidthC ? 'lower, but sharp' : 'lower and broader'
}
