import {
  attempt,
  type Candidate,
  dialFrom,
  type DialLearned,
  type Entry,
  type IdentityInput,
  nextMixture,
  type NextMixture,
  planTubeRuns,
  rankCandidates,
  type Ranked,
  type Result,
  type TubeRunInput,
  type TubeRunPlan,
  whyNoMixture,
} from '@ivory-crystal/core'

/** Which compound an unknown may be, and which mixture would tell most. */
export interface Ranking {
  readonly ranked: readonly Ranked[]
  readonly next: readonly NextMixture[]
  readonly whyNone: string | null
}

/** What takes long enough to be worked out beside the screen. */
export const heavy = {
  learnDial: (heatings: readonly Entry<'heating logged'>[]): Result<DialLearned> => dialFrom(heatings),
  planRuns: (input: TubeRunInput): Result<TubeRunPlan> => attempt(() => planTubeRuns(input)),
  rank: (input: IdentityInput & { readonly references: readonly Candidate[] }): Result<Ranking> =>
    attempt(() => {
      const next = nextMixture(input)
      return {
        ranked: rankCandidates(input),
        next,
        whyNone: next.length > 0 ? null : whyNoMixture(input),
      }
    }),
}
export type Heavy = typeof heavy
