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
  type Reliability,
  type ReliabilityInput,
  reliabilityOf,
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

/** Benches are told of in steps of so many. */
const TOLD_EVERY = 5

/** What takes long enough to be worked out beside the screen. */
export const heavy = {
  /** Answers once it has been fetched and runs. */
  isThere: () => true,
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
  /**
   * @param tell is told how many benches are done, and says whether to go on
   * @returns null when it was told to stop
   */
  async reliability(
    input: ReliabilityInput,
    tell: (done: number) => boolean | Promise<boolean>,
  ): Promise<Result<Reliability> | null> {
    const started = attempt(() => reliabilityOf(input))
    if (!started.ok) return started
    for (;;) {
      const next = attempt(() => started.value.next())
      if (!next.ok) return next
      if (next.value.done) return { ok: true, value: next.value.value }
      if (next.value.value % TOLD_EVERY !== 0) continue
      if (!(await tell(next.value.value))) return null
      // In this page, where there is no worker, the screen has its turn.
      await new Promise((resolve) => setTimeout(resolve))
    }
  },
}
export type Heavy = typeof heavy
