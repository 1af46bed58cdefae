import type { PeriodTask } from '../../src/planning/period/task'
import { randomSource } from '../../src/math/random'
import { sessionOf } from '../../src/planning/period/session'
import type { BenchSession } from '../../src/scheduling/session/compiled'
import type { MadePeriod } from './madePeriods'

const MINUTE_MS = 60_000

/** What the bench looks like at one minute of a day that is lived. */
export interface Bench {
  readonly nowMin: number
  readonly hands: number
  /** Every kept task of the period. */
  readonly tasks: readonly PeriodTask[]
  readonly startOf: ReadonlyMap<string, number>
  readonly endOf: ReadonlyMap<string, number>
  /** Of hands’ work that nobody has begun, what could be begun now. */
  readonly canBegin: readonly PeriodTask[]
  readonly session: BenchSession
}
/** Whoever stands there: which of what can be begun is begun now; null to wait. */
export type Student = (bench: Bench) => PeriodTask | null

/** How fast hands are, and how much that varies from task to task. */
export interface Pace {
  readonly pace: number
  readonly seed: number
}
export interface LivedDay {
  readonly endMin: number
  /** A block was at its window while the hands were at something else, min in all. */
  readonly lateAtLensMin: number
  /** Hot solvent, cold crystals, a plate: left longer than they should be. */
  readonly overWaited: number
  readonly changesOfPrep: number
  readonly handTasks: number
}

/** Every task is so much longer or shorter than the hands’ pace has it. */
const VARIES = [0.8, 1.25] as const
/** Nobody’s day is longer. */
const MOST_MIN = 2400

/**
 * Lives a period minute by minute: hands take their own time, clocks and melts theirs; what goes on by itself begins
 * when the hands leave it.
 */
export function liveDay({ tasks: all, terms }: MadePeriod, student: Student, { pace, seed }: Pace): LivedDay {
  const { session, aside } = sessionOf(all, terms, new Map(), terms.beginsAtMs)
  const tasks = all.filter(({ id }) => !aside.includes(id))
  const lasts = durationsOf(tasks, pace, seed)
  const startOf = new Map<string, number>()
  const endOf = new Map<string, number>()
  for (const { id, state } of tasks)
    if (state.is === 'done') {
      startOf.set(id, 0)
      endOf.set(id, 0)
    }
  for (let nowMin = 0; nowMin < MOST_MIN; nowMin++) {
    for (const { id } of tasks) {
      const from = startOf.get(id)
      if (from !== undefined && !endOf.has(id) && from + (lasts.get(id) ?? 0) <= nowMin)
        endOf.set(id, from + (lasts.get(id) ?? 0))
    }
    if (endOf.size === tasks.length) return outcomeOfPeriod(tasks, startOf, endOf, session)
    for (let again = true; again;) {
      again = false
      const bench = { nowMin, hands: terms.hands, tasks, startOf, endOf, session }
      for (const task of tasks)
        if (task.isAlone && !startOf.has(task.id) && isFree(bench, task)) {
          startOf.set(task.id, nowMin)
          again = true
        }
      const atWork = tasks.filter((task) => isHands(task) && startOf.has(task.id) && !endOf.has(task.id))
      if (atWork.length >= terms.hands) break
      const canBegin = tasks.filter((task) => isHands(task) && !startOf.has(task.id) && isFree(bench, task))
      const chosen = student({ ...bench, canBegin })
      if (chosen === null) continue
      startOf.set(chosen.id, nowMin)
      again = true
    }
  }
  throw new Error(
    `the day does not end: ${tasks.flatMap(({ id }) => (endOf.has(id) ? [] : [id])).join(', ')}`,
  )
}

export const isHands = ({ needs }: PeriodTask) => (needs['hands'] ?? 0) > 0
/** A melt with an eye at the lens: it takes what the heating takes. */
const isMelt = ({ run, isAlone }: PeriodTask) => run?.does === 'ends' && !isAlone

function durationsOf(tasks: readonly PeriodTask[], pace: number, seed: number): ReadonlyMap<string, number> {
  const { uniform: random } = randomSource(seed)
  return new Map(
    tasks.map((task) => {
      const varies = VARIES[0] + (VARIES[1] - VARIES[0]) * random()
      const isOwn = isHands(task) && !isMelt(task)
      return [task.id, isOwn ? Math.max(1, Math.round(task.planMin * pace * varies)) : task.durationMin]
    }),
  )
}

type Stand = Omit<Bench, 'canBegin'>

/** Whether a task could be begun now: what it waits for is over, and nothing it needs is taken. */
export function isFree(bench: Stand, task: PeriodTask): boolean {
  const { nowMin, tasks, startOf, endOf, session } = bench
  const isReady = task.after.every(({ task: before, waitMin = 0 }) => {
    if (!tasks.some(({ id }) => id === before)) return true
    const end = endOf.get(before)
    return end !== undefined && end + waitMin <= nowMin
  })
  if (!isReady) return false
  const cooled = (session.gaps ?? []).every(({ before, after, minutes }) => {
    if (after !== task.id || !startOf.has(before)) return true
    const end = endOf.get(before)
    return end !== undefined && end + minutes <= nowMin
  })
  if (!cooled) return false
  // What goes on by itself after it holds its things too, and is not broken off.
  const chain = chainOf(tasks, task)
  const lastMin = chain.reduce((sum, { durationMin }) => sum + durationMin, 0)
  const things = new Set(chain.flatMap(({ needs }) => Object.keys(needs)))
  for (const thing of things) {
    if (thing === 'hands') continue
    const most = session.capacity[thing] ?? 0
    const held = heldOf(bench, thing, task)
    // Tubes that are in are watched, whoever said that it would be theirs.
    const others = (session.busy ?? [])
      .filter(
        ({ resource, fromMin, toMin }) =>
          resource === thing && task.run?.does !== 'ends' && fromMin < nowMin + lastMin && toMin > nowMin,
      )
      .reduce((sum, { amount }) => sum + amount, 0)
    if (!task.isAlone && held + others + 1 > most) return false
  }
  const going = tasks.filter(({ id }) => startOf.has(id) && !endOf.has(id))
  return (session.never ?? []).every(([p, q]) => {
    const has = (one: PeriodTask, tag: string) => one.tags?.includes(tag) === true
    return !going.some((one) => (has(one, p) && has(task, q)) || (has(one, q) && has(task, p)))
  })
}

/** How much of a thing is at work, or stands loaded and waits for the hands: for others than these. */
function heldOf({ tasks, startOf, endOf }: Stand, thing: string, by: PeriodTask): number {
  return tasks.filter((one) => {
    if (one.id === by.id) return false
    const isBegun = startOf.has(one.id)
    if ((one.needs[thing] ?? 0) === 0) return false
    if (isBegun) return !endOf.has(one.id)
    // A block that is heated belongs to the melt that is to be watched on it.
    return one.run?.does === 'ends' && one.after.some(({ task }) => startOf.has(task))
  }).length
}

/** A task, what goes on by itself after it, and what may not be left waiting after that. */
export function chainOf(tasks: readonly PeriodTask[], task: PeriodTask): readonly PeriodTask[] {
  const next = tasks.find(({ after }) =>
    after.some(({ task: before, waitMaxMin }) => before === task.id && waitMaxMin === 0),
  )
  return next ? [task, ...chainOf(tasks, next)] : [task]
}

function outcomeOfPeriod(
  tasks: readonly PeriodTask[],
  startOf: ReadonlyMap<string, number>,
  endOf: ReadonlyMap<string, number>,
  { tasks: planned }: BenchSession,
): LivedDay {
  let [lateAtLensMin, overWaited] = [0, 0]
  for (const task of tasks)
    for (const { task: before, waitMaxMin } of planned.find(({ id }) => id === task.id)?.after ?? []) {
      if (waitMaxMin === undefined || task.isAlone || task.state.is === 'done') continue
      const byMin = (startOf.get(task.id) ?? 0) - (endOf.get(before) ?? 0) - waitMaxMin
      if (byMin <= 0) continue
      if (isMelt(task)) lateAtLensMin += byMin
      else overWaited++
    }
  const hands = tasks
    .filter((task) => isHands(task) && task.prep !== undefined)
    .sort((p, q) => (startOf.get(p.id) ?? 0) - (startOf.get(q.id) ?? 0))
  return {
    endMin: Math.max(...endOf.values()),
    lateAtLensMin,
    overWaited,
    changesOfPrep: hands.filter((task, i) => i > 0 && hands[i - 1]?.prep !== task.prep).length,
    handTasks: hands.length,
  }
}

/** The tasks as the app would tell them at that minute. */
export function tasksNow(
  { nowMin, tasks, startOf, endOf }: Bench,
  beginsAtMs: number,
): readonly PeriodTask[] {
  const at = (min: number) => beginsAtMs + min * MINUTE_MS
  return tasks.map((task): PeriodTask => {
    const [from, to] = [startOf.get(task.id), endOf.get(task.id)]
    if (from === undefined) return task
    if (to !== undefined) return { ...task, state: { is: 'done', fromMs: at(from), toMs: at(to) } }
    return {
      ...task,
      state: { is: 'running', fromMs: at(from), untilMs: at(Math.max(nowMin, from + task.durationMin)) },
    }
  })
}
