import { MINUTE_MS, type PeriodTask } from './task'

/** From so many timed tasks on a period has a pace of its own. */
const TASKS_LEAST = 5
/** The plan’s own minutes count as much as so many tasks. */
const PLAN_COUNTS_AS = 1
/** Longer than so many times the plan’s minutes, something else was going on, or the end was noted late. */
const NOT_OVER_TIMES = 4

/** How this period’s hands compare with the plan’s minutes. */
interface TodaysPace {
  /** Minutes taken for one of the plan’s, drawn toward 1. */
  readonly factor: number
  readonly tasks: number
}

/**
 * How much longer hands’ work takes in this period than was planned: over all its tasks that are done and whose beginning
 * was noted. Melts and clocks keep their own time.
 *
 * @param begun tasks whose beginning was noted
 * @returns null with fewer than five
 */
export function todaysPace(
  tasks: readonly PeriodTask[],
  begun: { readonly has: (task: string) => boolean },
): TodaysPace | null {
  const timed = tasks.flatMap((task) => {
    if (task.state.is !== 'done' || !keepsPace(task) || !begun.has(task.id) || task.durationMin === 0)
      return []
    const tookMin = (task.state.toMs - task.state.fromMs) / MINUTE_MS
    return tookMin <= NOT_OVER_TIMES * task.durationMin ? [{ tookMin, plannedMin: task.durationMin }] : []
  })
  if (timed.length < TASKS_LEAST) return null
  const took = timed.reduce((sum, { tookMin }) => sum + tookMin, 0)
  const planned = timed.reduce((sum, { plannedMin }) => sum + plannedMin, 0)
  return {
    factor: ((timed.length * took) / planned + PLAN_COUNTS_AS) / (timed.length + PLAN_COUNTS_AS),
    tasks: timed.length,
  }
}

/** The tasks that are left, with their minutes at the pace of this period. */
export function atTodaysPace(
  tasks: readonly PeriodTask[],
  begun: { readonly has: (task: string) => boolean },
): readonly PeriodTask[] {
  const pace = todaysPace(tasks, begun)
  if (!pace) return tasks
  return tasks.map((task) => {
    if (task.state.is === 'done' || !keepsPace(task)) return task
    const durationMin = Math.max(1, Math.round(task.durationMin * pace.factor))
    if (durationMin === task.durationMin) return task
    const { state } = task
    return {
      ...task,
      durationMin,
      pace: { minutes: durationMin, medianMin: durationMin, times: pace.tasks, isToday: true },
      state:
        state.is === 'running'
          ? { ...state, untilMs: Math.max(state.untilMs, state.fromMs + durationMin * MINUTE_MS) }
          : state,
    }
  })
}

const keepsPace = ({ isAlone, needs, run }: PeriodTask) =>
  !isAlone && (needs['hands'] ?? 0) > 0 && run?.does !== 'ends'
