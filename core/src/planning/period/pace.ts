import type { View } from '../../notebook/fold'
import { memoize } from '../../notebook/read'
import { median } from '../../math/median'
import { periodsOf } from './periodFacts'
import { MINUTE_MS, type OwnPace, workOf } from './task'

/** From so many times on a bench has a pace of its own. */
const TIMES_LEAST = 3
/** The plan’s minutes count as much as so many times. */
const PLAN_COUNTS_AS = 3
/** Longer than so many times the plan’s minutes, something else was going on, or the end was noted late. */
const NOT_OVER_TIMES = 4

/** Minutes each sort of work took on this bench in periods that are over, where its beginning was noted. */
const minutesBefore = memoize((view: View): ReadonlyMap<string, readonly number[]> => {
  const found = new Map<string, number[]>()
  for (const { begun, closed } of periodsOf(view))
    for (const { task, toAtMs } of closed?.body.done ?? []) {
      const fromMs = begun.get(task)
      if (fromMs === undefined || toAtMs <= fromMs) continue
      const work = workOf(task)
      found.set(work, [...(found.get(work) ?? []), (toAtMs - fromMs) / MINUTE_MS])
    }
  return found
})

/**
 * A bench’s own minutes for a sort of work: the median of at least three times it was done, drawn toward the plan’s.
 *
 * @param planMin what the plan says it takes, min
 * @returns null with too few times to tell
 */
export function paceOf(view: View, work: string, planMin: number): OwnPace | null {
  const times = (minutesBefore(view).get(work) ?? []).filter((min) => min <= NOT_OVER_TIMES * planMin)
  if (times.length < TIMES_LEAST) return null
  const medianMin = median([...times].sort((p, q) => p - q))
  const drawn = (times.length * medianMin + PLAN_COUNTS_AS * planMin) / (times.length + PLAN_COUNTS_AS)
  return { minutes: Math.max(1, Math.round(drawn)), medianMin, times: times.length, isToday: false }
}
