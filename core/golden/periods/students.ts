import { replanPeriod, type EarlierPlan } from '../../src/planning/period/replan'
import type { PeriodTask } from '../../src/planning/period/task'
import { atTodaysPace } from '../../src/planning/period/todaysPace'
import { type Bench, chainOf, isHands, type Student, tasksNow } from './bench'
import type { MadePeriod } from './madePeriods'

/** Each task in the order of the notes, nothing begun before all above it is over, waits and all. */
export const idleByRecipe: Student = ({ tasks, endOf, canBegin }) => {
  const next = tasks.find(({ id }) => !endOf.has(id))
  return next && canBegin.includes(next) ? next : null
}

/** One prep before the next, never idle inside it. */
export const rowByRow: Student = (bench) => {
  const row = bench.tasks.find((task) => isHands(task) && !bench.endOf.has(task.id))?.of
  return careful(bench).find((task) => task.of === row) ?? null
}

/** What can be begun, the next of the list first. */
export const nextOnTheList: Student = (bench) => careful(bench)[0] ?? null

/** First what leads to the longest wait, then what is short. */
export const waitsFirst: Student = (bench) =>
  best(bench, (task) => [-aloneAfter(bench.tasks, task), task.durationMin])

/** First what has the most to come after it. */
export const longestTail: Student = (bench) => best(bench, (task) => [-tailOf(bench.tasks, task)])

export const SIMPLE_STUDENTS: Readonly<Record<string, Student>> = {
  'next on the list': nextOnTheList,
  'waits first': waitsFirst,
  'longest tail': longestTail,
}

/** A plan is made anew so often while nothing happens, min. */
const ANEW_EVERY_MIN = 5

/** Does what the app says: planned anew whenever the hands are free, and every five minutes. */
export function planned({ terms }: MadePeriod, effort: number): Student {
  let plan: EarlierPlan | null = null
  let plannedAt = -Infinity
  let happened = ''
  return (bench) => {
    const seen = JSON.stringify([[...bench.startOf.keys()], [...bench.endOf.keys()]])
    if (seen !== happened || bench.nowMin >= plannedAt + ANEW_EVERY_MIN) {
      const nowMs = terms.beginsAtMs + bench.nowMin * 60_000
      const tasks = atTodaysPace(tasksNow(bench, terms.beginsAtMs), bench.startOf)
      plan = replanPeriod(tasks, terms, new Map(), nowMs, plan, effort)
      plannedAt = bench.nowMin
      happened = seen
    }
    const startOf = ({ id }: PeriodTask) => plan?.starts[id] ?? Infinity
    const due = bench.canBegin.filter((task) => startOf(task) <= bench.nowMin)
    return due.sort((p, q) => startOf(p) - startOf(q))[0] ?? null
  }
}

function best(bench: Bench, keyOf: (task: PeriodTask) => readonly number[]): PeriodTask | null {
  const isLess = (p: readonly number[], q: readonly number[]) => {
    const at = p.findIndex((value, i) => value !== q[i])
    return at >= 0 && (p[at] ?? 0) < (q[at] ?? 0)
  }
  let found: PeriodTask | null = null
  for (const task of careful(bench)) if (!found || isLess(keyOf(task), keyOf(found))) found = task
  return found
}

function aloneAfter(tasks: readonly PeriodTask[], task: PeriodTask): number {
  return chainOf(tasks, task)
    .slice(1)
    .reduce((sum, { isAlone, durationMin }) => sum + (isAlone ? durationMin : 0), 0)
}

const tails = new WeakMap<readonly PeriodTask[], Map<string, number>>()
function tailOf(tasks: readonly PeriodTask[], task: PeriodTask): number {
  const known = tails.get(tasks) ?? new Map<string, number>()
  tails.set(tasks, known)
  const cached = known.get(task.id)
  if (cached !== undefined) return cached
  const after = tasks.filter((one) => one.after.some(({ task: before }) => before === task.id))
  const tail = task.durationMin + Math.max(0, ...after.map((one) => tailOf(tasks, one)))
  known.set(task.id, tail)
  return tail
}

/** A piece of hands’ work that may not begin later than it says. */
interface Due {
  readonly fromMin: number
  readonly latestMin: number
  readonly lastsMin: number
  readonly tags: readonly string[]
}

/**
 * What can be begun without leaving anything that waits too long, by the minutes of the notes: who works with care looks
 * one step ahead.
 */
function careful(bench: Bench): readonly PeriodTask[] {
  const lost = dueOf(bench, null).filter(({ latestMin }) => latestMin < bench.nowMin)
  // What waits too long already is done before anything else.
  const atOnce = bench.canBegin.filter(({ id }) => lost.some((one) => one.id === id))
  if (atOnce.length > 0) return atOnce
  return bench.canBegin.filter((task) =>
    fits(
      bench,
      task,
      dueOf(bench, task).filter(({ id }) => id !== task.id && !lost.some((one) => one.id === id)),
    ),
  )
}

/** What may not be left waiting, with what its hands have to do before, if this were begun now. */
function dueOf(
  { tasks, startOf, endOf, nowMin }: Bench,
  begun: PeriodTask | null,
): readonly (Due & { readonly id: string })[] {
  const isOpen = (task: PeriodTask) => isHands(task) && !startOf.has(task.id) && task !== begun
  return tasks.filter(isOpen).flatMap((task) => {
    const first = tasks.filter(
      (one) => isOpen(one) && task.after.some(({ task: before }) => before === one.id),
    )
    const firstMin = first.reduce((sum, { durationMin }) => sum + durationMin, 0)
    return task.after.flatMap(({ task: before, waitMaxMin }) => {
      const one = tasks.find(({ id }) => id === before)
      const began = startOf.get(before)
      if (waitMaxMin === undefined || !one || began === undefined) return []
      const overMin = endOf.get(before) ?? Math.max(nowMin, began + one.durationMin)
      return [
        {
          id: task.id,
          fromMin: firstMin > 0 ? nowMin : overMin,
          latestMin: overMin + waitMaxMin - firstMin,
          lastsMin: firstMin + task.durationMin,
          tags: task.tags ?? [],
        },
      ]
    })
  })
}

/** Whether everything that is due can still be begun in time when this is begun now. */
function fits({ nowMin, hands, tasks, session }: Bench, task: PeriodTask, due: readonly Due[]): boolean {
  const [first, ...rest] = chainOf(tasks, task)
  if (!first) return true
  let atMin = nowMin + first.durationMin
  const alone: { readonly fromMin: number; readonly toMin: number; readonly tags: readonly string[] }[] = []
  const later: Due[] = []
  for (const one of rest) {
    if (one.isAlone) alone.push({ fromMin: atMin, toMin: atMin + one.durationMin, tags: one.tags ?? [] })
    else later.push({ fromMin: atMin, latestMin: atMin, lastsMin: one.durationMin, tags: one.tags ?? [] })
    atMin += one.durationMin
  }
  const isApart = (p: readonly string[], q: readonly string[]) =>
    (session.never ?? []).some(
      ([a, b]) => (p.includes(a) && q.includes(b)) || (p.includes(b) && q.includes(a)),
    )
  const all = [...due, ...later].sort((p, q) => p.latestMin - q.latestMin)
  const free = Array.from({ length: hands }, (_, i) => (i === 0 ? nowMin + first.durationMin : nowMin))
  return all.every((one) => {
    free.sort((p, q) => p - q)
    let start = Math.max(free[0] ?? 0, one.fromMin)
    for (const { fromMin, toMin, tags } of alone)
      if (isApart(tags, one.tags) && fromMin < start + one.lastsMin && toMin > start) start = toMin
    free[0] = start + one.lastsMin
    return start <= one.latestMin
  })
}
