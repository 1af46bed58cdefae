import type { BenchSession } from './session/compiled'
import type { SessionPlan } from './planBenchSession'

interface Edge {
  readonly from: number
  readonly to: number
  /** Least start of `to` after the start of `from`, min. */
  readonly lagMin: number
}

/**
 * How much later each task may begin, in the order of a plan, without its end moving, min.
 *
 * @param plan of that session
 * @returns min by task; 0 for what everything waits for
 */
export function roomOf(session: BenchSession, plan: SessionPlan): Readonly<Record<string, number>> {
  const { tasks } = session
  const start = tasks.map(({ id }) => plan.starts[id] ?? 0)
  const index = new Map(tasks.map(({ id }, i) => [id, i]))
  const edges = edgesOf(session, start, index)
  const inOrder = tasks.map((_, i) => i).sort((p, q) => (start[p] ?? 0) - (start[q] ?? 0))
  const latest = tasks.map(({ durationMin }) => plan.makespanMin - durationMin)
  const back = () => {
    for (const i of [...inOrder].reverse())
      for (const { from, to, lagMin } of edges)
        if (from === i) latest[i] = Math.min(latest[i] ?? 0, (latest[to] ?? 0) - lagMin)
  }
  back()
  // What may not be left waiting cannot slip without what it waits for.
  for (const i of inOrder)
    for (const { task, waitMaxMin } of tasks[i]?.after ?? []) {
      const before = index.get(task)
      if (waitMaxMin === undefined || before === undefined) continue
      const most = (latest[before] ?? 0) + (tasks[before]?.durationMin ?? 0) + waitMaxMin
      latest[i] = Math.min(latest[i] ?? 0, most)
    }
  back()
  return Object.fromEntries(tasks.map(({ id }, i) => [id, Math.max(0, (latest[i] ?? 0) - (start[i] ?? 0))]))
}

function edgesOf(
  { tasks, capacity, never = [], gaps = [] }: BenchSession,
  start: readonly number[],
  index: ReadonlyMap<string, number>,
): readonly Edge[] {
  const edges: Edge[] = []
  tasks.forEach(({ after }, to) => {
    for (const { task, waitMin = 0 } of after) {
      const from = index.get(task)
      if (from !== undefined) edges.push({ from, to, lagMin: (tasks[from]?.durationMin ?? 0) + waitMin })
    }
  })
  tasks.forEach((one, from) => {
    tasks.forEach((other, to) => {
      if (from === to || (start[from] ?? 0) + one.durationMin > (start[to] ?? 0)) return
      const shares = Object.entries(one.needs).some(
        ([name, amount]) =>
          amount > 0 &&
          (other.needs[name] ?? 0) > 0 &&
          amount + (other.needs[name] ?? 0) > (capacity[name] ?? 0),
      )
      const isNever = never.some(
        ([p, q]) =>
          (one.tags?.includes(p) && other.tags?.includes(q)) ||
          (one.tags?.includes(q) && other.tags?.includes(p)),
      )
      const gapMin = gaps.find(({ before, after }) => before === one.id && after === other.id)?.minutes ?? 0
      if (shares || isNever) edges.push({ from, to, lagMin: one.durationMin + gapMin })
    })
  })
  return edges
}
