import {
  type Candidate,
  type IdentityInput,
  nextMixture,
  type NextMixture,
  rankCandidates,
  type Reliability,
  type ReliabilityInput,
  reliabilityOf,
  type Ranked,
  whyNoMixture,
} from '@ivory-crystal/core/identity'
import { dialFrom, type DialLearned, type Entry, type TaskSetAside } from '@ivory-crystal/core/notebook'
import {
  replanPeriod,
  type PeriodPlan,
  type IfLate,
  ifLate,
  type PeriodTask,
  type PeriodTerms,
  type EarlierPlan,
  secondLook,
} from '@ivory-crystal/core/planning'
import { attempt, type Result } from '@ivory-crystal/core/problems'
import {
  type LabInput,
  type LabSimulation,
  meanOfDays,
  planTubeRuns,
  simulateLab,
  type TubeRunInput,
  type TubeRunPlan,
} from '@ivory-crystal/core/scheduling'

/** Which compound an unknown may be, and which mixture would tell most. */
export interface Ranking {
  readonly ranked: readonly Ranked[]
  readonly next: readonly NextMixture[]
  readonly whyNone: string | null
}

/** What the rest of a period is planned from. */
export interface PeriodRequest {
  readonly tasks: readonly PeriodTask[]
  readonly terms: PeriodTerms
  readonly putOff: ReadonlyMap<string, TaskSetAside>
  readonly nowMs: number
}

/** Benches are told of in steps of so many. */
const TOLD_EVERY = 5

/** Days of a class that are worked out before it is told. */
const DAYS_A_PART = 10

/** What takes long enough to be worked out beside the screen. */
export const heavy = {
  /** Answers once it has been fetched and runs. */
  isThere: () => true,
  learnDial: (heatings: readonly Entry<'heating logged'>[]): Result<DialLearned> => dialFrom(heatings),
  planPeriod: (
    { tasks, terms, putOff, nowMs }: PeriodRequest,
    before: EarlierPlan | null,
    effort = 1,
  ): Result<PeriodPlan> => attempt(() => replanPeriod(tasks, terms, putOff, nowMs, before, effort)),
  lookAgain: (
    { tasks, terms, putOff, nowMs }: PeriodRequest,
    plan: EarlierPlan,
    look: number,
  ): Result<PeriodPlan | null> => attempt(() => secondLook(tasks, terms, putOff, nowMs, plan, look)),
  whenLate: ({ tasks, terms, putOff, nowMs }: PeriodRequest, plan: PeriodPlan): Result<IfLate> =>
    attempt(() => ifLate(tasks, terms, putOff, nowMs, plan)),
  /**
   * A class’s day, many times over; told how many days are done.
   *
   * @returns null when it was told to stop
   */
  async classDay(
    input: LabInput,
    report: (done: number) => boolean | Promise<boolean>,
  ): Promise<Result<LabSimulation> | null> {
    const parts: LabSimulation[] = []
    for (let done = 0; done < input.runs; done += DAYS_A_PART) {
      const runs = Math.min(DAYS_A_PART, input.runs - done)
      const part = attempt(() => simulateLab({ ...input, runs, seed: input.seed + done }))
      if (!part.ok) return part
      parts.push(part.value)
      if (!(await report(done + runs))) return null
      await new Promise((resolve) => setTimeout(resolve))
    }
    return { ok: true, value: meanOfDays(parts) }
  },
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
   * @param report is told how many benches are done, and says whether to go on
   * @returns null when it was told to stop
   */
  async reliability(
    input: ReliabilityInput,
    report: (done: number) => boolean | Promise<boolean>,
  ): Promise<Result<Reliability> | null> {
    const started = attempt(() => reliabilityOf(input))
    if (!started.ok) return started
    for (;;) {
      const next = attempt(() => started.value.next())
      if (!next.ok) return next
      if (next.value.done) return { ok: true, value: next.value.value }
      if (next.value.value % TOLD_EVERY !== 0) continue
      if (!(await report(next.value.value))) return null
      // In this page, where there is no worker, the screen has its turn.
      await new Promise((resolve) => setTimeout(resolve))
    }
  },
}
export type Heavy = typeof heavy
