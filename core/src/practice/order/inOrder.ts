import type { BenchSession, SessionTask } from '../../scheduling/session/compiled'
import type { OrderExercise } from './make'

/** Where every task stands, min. */
export interface Ordered {
  readonly starts: Readonly<Record<string, number>>
  readonly endMin: number
  /** Tasks that could not be begun where they stood, and had to wait for what comes after them in the list. */
  readonly movedBack: readonly string[]
  /** Tasks begun later than they may be after what they follow. */
  readonly tooLate: readonly string[]
}

/**
 * The period in a learner’s order: each task with hands begins as soon as it can after the one before it in the list,
 * and what goes by itself begins as soon as it can.
 *
 * @param order the ids of `handed`, each once
 */
export function inOrder({ session }: OrderExercise, order: readonly string[]): Ordered {
  const starts: Record<string, number> = {}
  const ends = new Map<string, number>()
  const movedBack: string[] = []
  const byId = new Map(session.tasks.map((task) => [task.id, task]))
  const isReady = (task: SessionTask) => task.after.every(({ task: before }) => ends.has(before))
  const place = (task: SessionTask, fromMin: number) => {
    const at = freeFrom(
      task,
      Math.max(fromMin, ...task.after.map(({ task: before }) => ends.get(before) ?? 0)),
      starts,
      session,
    )
    starts[task.id] = at
    ends.set(task.id, at + task.durationMin)
    return at
  }
  const byItself = () => {
    for (let placed = true; placed;) {
      placed = false
      for (const task of session.tasks)
        if (!ends.has(task.id) && !task.needs['hands'] && isReady(task)) {
          place(task, 0)
          placed = true
        }
    }
  }
  let handsFromMin = 0
  const queue = [...order]
  while (queue.length > 0) {
    byItself()
    const i = queue.findIndex((id) => {
      const task = byId.get(id)
      return task !== undefined && isReady(task)
    })
    if (i < 0) break
    movedBack.push(...queue.slice(0, i).filter((id) => !movedBack.includes(id)))
    const task = byId.get(queue[i] as string) as SessionTask
    queue.splice(i, 1)
    handsFromMin = place(task, handsFromMin)
  }
  byItself()
  const tooLate = session.tasks
    .filter((task) =>
      task.after.some(
        ({ task: before, waitMaxMin }) =>
          waitMaxMin !== undefined && (starts[task.id] ?? 0) - (ends.get(before) ?? 0) > waitMaxMin,
      ),
    )
    .map(({ id }) => id)
  return { starts, endMin: Math.max(0, ...ends.values()), movedBack, tooLate }
}

function freeFrom(
  task: SessionTask,
  fromMin: number,
  starts: Readonly<Record<string, number>>,
  { tasks, capacity }: BenchSession,
): number {
  const placed = tasks.filter(({ id }) => starts[id] !== undefined)
  for (let at = fromMin; ; at++) {
    const fits = Object.entries(task.needs).every(([what, amount]) => {
      for (let minute = at; minute < at + task.durationMin; minute++) {
        const taken = placed.reduce((sum, other) => {
          const start = starts[other.id] as number
          const holds = minute >= start && minute < start + other.durationMin
          return sum + (holds ? (other.needs[what] ?? 0) : 0)
        }, 0)
        if (taken + amount > (capacity[what] ?? 0)) return false
      }
      return true
    })
    if (fits) return at
  }
}
