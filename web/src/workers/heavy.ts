import {
  attempt,
  dialFrom,
  planTubeRuns,
  type DialLearned,
  type Entry,
  type Result,
  type TubeRunInput,
  type TubeRunPlan,
} from '@ivory-crystal/core'

/** What takes long enough to be worked out beside the screen. */
export const heavy = {
  learnDial: (heatings: readonly Entry<'heating logged'>[]): Result<DialLearned> => dialFrom(heatings),
  planRuns: (input: TubeRunInput): Result<TubeRunPlan> => attempt(() => planTubeRuns(input)),
}
export type Heavy = typeof heavy
