import type { MixtureRun } from '../../identity/likelihood'
import { nextMixture } from '../../identity/nextMixture'
import { type Ranked, rankCandidates } from '../../identity/rankCandidates'
import { type MixtureExercise, mixtureRun } from './make'

const OPTIONS = { unlistedPrior: 0.001, sigmaC: 2.5 }

/** The planner stops once one is so likely. */
const SURE = 0.95

const RUNS_MOST = 6

/** What the runs so far say of the candidates, likeliest first. */
export function rankedAfter(
  { candidates, unknown }: MixtureExercise,
  runs: readonly MixtureRun[],
): readonly Ranked[] {
  return [...rankCandidates({ unknown, candidates, mixtures: runs, options: OPTIONS })].sort(
    (p, q) => q.probability - p.probability,
  )
}

/** The planner’s own way: the mixtures it would have made until it was sure. */
export function plannersRuns(exercise: MixtureExercise): readonly MixtureRun[] {
  const runs: MixtureRun[] = []
  const { candidates, unknown } = exercise
  while (runs.length < RUNS_MOST && (rankedAfter(exercise, runs)[0]?.probability ?? 0) < SURE) {
    const [next] = nextMixture({
      unknown,
      candidates,
      mixtures: runs,
      references: candidates.filter(({ id }) => !runs.some(({ reference }) => reference.id === id)),
      options: OPTIONS,
    })
    if (!next) break
    runs.push(mixtureRun(exercise, next.reference))
  }
  return runs
}
