import type { EpochMs } from '../../ids'
import type { TaskSetAside } from '../../notebook/kinds/task-set-aside/kind'
import { latestStart, whatFits } from '../../scheduling/whatFits'
import { loosened } from '../../scheduling/softened'
import type { Chain } from '../../scheduling/whatFits'
import type { BenchSession } from '../../scheduling/session/compiled'
import type { PeriodPlan } from './replan'
import { BENCH_HAS, isTask, type PeriodTerms, sessionOf } from './session'
import type { PeriodTask } from './task'

/** The last moment for a task, and where its row stops if that is missed. */
interface LastStart {
  readonly task: string
  readonly atMin: number
  /** How things are left then; null with no safe stop before it. */
  readonly stop: string | null
}
/** What becomes of the period when it gets late. */
export interface IfLate {
  readonly lastStarts: readonly LastStart[]
  /** Where not everything fits: how far each row gets, the most important first. */
  readonly leave: readonly {
    readonly of: string
    readonly gets: 'to a stop' | 'not begun' | 'over time'
    readonly stop: string | null
    readonly setAside: readonly string[]
  }[]
}

/** Rows whose last start is looked for: each takes a search of its own. */
const ROWS_MOST = 3

/**
 * While everything fits: for each row that still has a safe stop ahead, the latest that what follows it could begin, so
 * that all is over in time. Where it does not fit: what to leave, and at which stop.
 *
 * @throws ImpossibleInput as `planBenchSession`
 */
export function ifLate(
  tasks: readonly PeriodTask[],
  terms: PeriodTerms,
  putOff: ReadonlyMap<string, TaskSetAside>,
  nowMs: EpochMs,
  plan: PeriodPlan,
): IfLate {
  const asked = sessionOf(tasks, terms, putOff, nowMs)
  const { chains, deadlineMin } = asked
  const session = loosened(asked.session, plan.broken)
  const { started, done, nowMin } = session
  const planned: readonly Chain[] = chains.map((chain) => ({
    ...chain,
    tasks: chain.tasks.filter((id) => session.tasks.some((task) => task.id === id)),
    stops: chain.stops.filter(({ after }) => session.tasks.some((task) => task.id === after)),
  }))
  if (plan.makespanMin > deadlineMin) {
    const fits = whatFits({ ...session, deadlineMin, chains: planned, happened: { started, done, nowMin } })
    return {
      lastStarts: [],
      leave: fits.chains.flatMap(({ chain, gets, stop, setAside }) =>
        gets === 'to its end' ? [] : [{ of: chain, gets, stop: stop?.words ?? null, setAside }],
      ),
    }
  }
  const isUnderWay = (id: string) => started[id] !== undefined || done[id] !== undefined
  const lastStarts = planned
    .flatMap((chain) => {
      const found = afterTheLastStop(chain, session, plan, isUnderWay)
      return found ? [found] : []
    })
    .sort((p, q) => (plan.room[p.task] ?? 0) - (plan.room[q.task] ?? 0))
    .slice(0, ROWS_MOST)
    .map(({ task, stop }) => ({
      task,
      stop,
      atMin: latestStart(session, task, plan.starts[task] ?? nowMin, deadlineMin),
    }))
  return { lastStarts, leave: [] }
}

/** The task that would be begun too late: the first with a shared instrument after the row’s last stop ahead. */
function afterTheLastStop(
  chain: Chain,
  session: BenchSession,
  plan: PeriodPlan,
  isUnderWay: (id: string) => boolean,
): { readonly task: string; readonly stop: string | null } | null {
  const open = chain.tasks
    .filter((id) => isTask(id) && !isUnderWay(id))
    .sort((p, q) => (plan.starts[p] ?? 0) - (plan.starts[q] ?? 0))
  const endOf = (id: string) =>
    (plan.starts[id] ?? 0) + (session.tasks.find((task) => task.id === id)?.durationMin ?? 0)
  const stops = [...chain.stops].sort((p, q) => endOf(p.after) - endOf(q.after))
  // The last stop after which something is left to do.
  const stop = stops.findLast(({ after }) => open.some((id) => (plan.starts[id] ?? 0) >= endOf(after)))
  const rest = stop ? open.filter((id) => (plan.starts[id] ?? 0) >= endOf(stop.after)) : open
  const needs = (id: string) => Object.keys(session.tasks.find((task) => task.id === id)?.needs ?? {})
  const first = rest.find((id) => needs(id).some((name) => !isOwn(name)))
  return first === undefined ? null : { task: first, stop: stop?.words ?? null }
}
/** What every bench has for itself. */
const isOwn = (name: string) => name === 'hands' || name in BENCH_HAS
