import type { BenchSession, Busy, Happened, SessionTask } from './session/compiled'

const NOTHING_YET: Happened = { nowMin: 0, started: {}, done: {} }

/**
 * When a session would be over in the order of the recipe: each task in the order given, nothing begun before what
 * stands above it is over, waits and all. What has begun is waited for first.
 *
 * @returns min from the start of the session
 * @example recipeOrderMin({ tasks: [cool, weigh], capacity: { hands: 1 } })
 */
export function recipeOrderMin(session: BenchSession, happened: Happened = NOTHING_YET): number {
  const { nowMin, started, done } = happened
  const ends = new Map<string, number>(Object.entries(done))
  for (const { id, durationMin } of session.tasks) {
    const fromMin = started[id]
    if (fromMin !== undefined && !ends.has(id)) ends.set(id, Math.max(nowMin, fromMin + durationMin))
  }
  let clockMin = Math.max(nowMin, ...[...ends.values()])
  for (const task of session.tasks) {
    if (ends.has(task.id)) continue
    for (const { task: before, waitMin = 0 } of task.after)
      clockMin = Math.max(clockMin, (ends.get(before) ?? 0) + waitMin)
    clockMin = freeFrom(task, clockMin, session) + task.durationMin
    ends.set(task.id, clockMin)
  }
  return clockMin
}

/** The first minute from which nothing a task needs is taken by others while it goes on. */
function freeFrom(
  task: SessionTask,
  fromMin: number,
  { busy = [], capacity, never = [] }: BenchSession,
): number {
  const isInTheWay = ({ resource, amount, tags = [] }: Busy) =>
    (task.needs[resource] ?? 0) > 0
      ? (task.needs[resource] ?? 0) + amount > (capacity[resource] ?? 0)
      : never.some(
          ([p, q]) =>
            (tags.includes(p) && task.tags?.includes(q)) || (tags.includes(q) && task.tags?.includes(p)),
        )
  let atMin = fromMin
  for (const one of [...busy].sort((p, q) => p.fromMin - q.fromMin))
    if (isInTheWay(one) && one.fromMin < atMin + task.durationMin && one.toMin > atMin) atMin = one.toMin
  return atMin
}
