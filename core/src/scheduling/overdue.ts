import type { BenchSession, Happened, SessionTask } from './session/compiled'

type Session = BenchSession & Happened

/**
 * What has waited too long already comes as soon as hands are free: with every minute it spoils further, so that a wait
 * that is over is not a wait that binds no more.
 *
 * @returns the session with each such wait lengthened to the earliest that is left, and no further
 */
export function overdueFirst(session: Session): Session {
  const { nowMin, started, done, tasks } = session
  const isOver = (id: string, { task: before, waitMaxMin }: After) => {
    const end = done[before]
    return (
      waitMaxMin !== undefined &&
      end !== undefined &&
      end + waitMaxMin < nowMin &&
      started[id] === undefined &&
      done[id] === undefined
    )
  }
  if (!tasks.some(({ id, after }) => after.some((one) => isOver(id, one)))) return session
  const earliest = earliestOf(session)
  return {
    ...session,
    tasks: tasks.map((task) => ({
      ...task,
      after: task.after.map((one) =>
        isOver(task.id, one)
          ? { ...one, waitMaxMin: Math.max(nowMin, earliest(task.id)) - (done[one.task] ?? 0) }
          : one,
      ),
    })),
  }
}
type After = SessionTask['after'][number]

/** The earliest each task could begin when nothing else but what it waits for were done, min. */
function earliestOf({ nowMin, started, done, tasks, capacity }: Session): (id: string) => number {
  const byId = new Map(tasks.map((task) => [task.id, task]))
  const endOf = ({ id, durationMin }: SessionTask) => {
    const from = started[id]
    return done[id] ?? (from === undefined ? null : Math.max(nowMin, from + durationMin))
  }
  const isHands = ({ needs }: SessionTask) => (needs['hands'] ?? 0) > 0
  const busy = tasks
    .filter((task) => isHands(task) && started[task.id] !== undefined && done[task.id] === undefined)
    .map((task) => endOf(task) ?? nowMin)
    .sort((p, q) => p - q)
  const handsFreeMin = busy.length < (capacity['hands'] ?? 1) ? nowMin : (busy[0] ?? nowMin)
  const known = new Map<string, number>()
  const startOf = (task: SessionTask): number => {
    const found = known.get(task.id)
    if (found !== undefined) return found
    // A circle is told elsewhere.
    known.set(task.id, nowMin)
    const after = task.after.map(({ task: id, waitMin = 0 }) => {
      const before = byId.get(id)
      return before ? (endOf(before) ?? startOf(before) + before.durationMin) + waitMin : 0
    })
    const start = Math.max(isHands(task) ? handsFreeMin : nowMin, ...after)
    known.set(task.id, start)
    return start
  }
  return (id) => {
    const task = byId.get(id)
    return task ? startOf(task) : nowMin
  }
}
