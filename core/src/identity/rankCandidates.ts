import {
  type Candidate,
  expectationOf,
  type IdentityInput,
  logAlone,
  mixtureDensity,
  optionsOf,
  requireIdentity,
} from './likelihood'

/** A place in the ranking; null stands for a compound that is not on the list. */
export interface Ranked {
  readonly id: string | null
  readonly probability: number
}

/**
 * Which compound an unknown is, from its own clear point and those of its mixtures with authentic samples.
 *
 * Bayes: every candidate is as likely as any other before; the unknown's clear point lies below the candidate's
 * by an exponential depression with a normal error; a mixture is undepressed if reference and candidate are the
 * same, else melts where the ideal liquidus says, give or take; a small chance of no visible depression and of
 * a mishap (tubes swapped, wrong jar) keeps one run from deciding all.
 *
 * @param input ranges °C with the share of the heating taken off; the reference of a mixture need not be a candidate
 * @returns in the order of the candidates, the unlisted last; probabilities sum to 1
 * @throws ImpossibleInput on an inverted range, a candidate twice, or impossible options
 * @example rankCandidates({ unknown: { onsetC: 93.6, clearC: 94.8 }, candidates, mixtures: [] })[0] // { id: 'glutaric acid', probability: 0.135 }
 */
export function rankCandidates(input: IdentityInput): readonly Ranked[] {
  requireIdentity(input)
  const options = optionsOf(input)
  const { candidates, unknown, mixtures } = input
  const hypotheses: readonly (Candidate | null)[] = [...candidates, null]
  const prior = (candidate: Candidate | null) =>
    candidate
      ? Math.log((1 - options.unlistedPrior) / candidates.length)
      : Math.log(candidates.length === 0 ? 1 : options.unlistedPrior)
  const logs = hypotheses.map((candidate) => {
    let log = prior(candidate) + logAlone(unknown, candidate, options)
    for (const mixture of mixtures)
      log += Math.log(mixtureDensity(mixture.clearC, expectationOf(input, candidate, mixture), options))
    return log
  })
  const most = Math.max(...logs.filter(Number.isFinite))
  const weights = logs.map((log) => Math.exp(log - most))
  const total = weights.reduce((sum, weight) => sum + weight, 0)
  return hypotheses.map((candidate, i) => ({
    id: candidate?.id ?? null,
    probability: (weights[i] ?? 0) / total,
  }))
}
