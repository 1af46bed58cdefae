import type { Compiled } from './compiled'
import { at } from './lags'

/**
 * No order of the session ends before this, min: the longest path, and for each shared thing what is left to do on it
 * between the earliest it can begin and what must still follow.
 *
 * @param lags longest paths; row 0 holds the earliest starts
 * @param tails longest paths from each start to the end
 */
export function boundOf(compiled: Compiled, lags: Int32Array, tails: Int32Array): number {
  const { durations, resources, tasks } = compiled
  let bound = 0
  for (let i = 1; i <= tasks.length; i++) bound = Math.max(bound, at(lags, i) + at(tails, i))
  for (const { capacity, demand } of resources) {
    const users: number[] = []
    for (let i = 1; i <= tasks.length; i++) if (at(demand, i) > 0 && at(durations, i) > 0) users.push(i)
    if (users.length < 2 || capacity === 0) continue
    if (capacity === 1) bound = Math.max(bound, oneAtATime(users, durations, lags, tails))
    else {
      bound = Math.max(bound, byEnergy(users, capacity, demand, durations, lags, tails))
      if (capacity === 2 && users.every((i) => at(demand, i) === 1))
        bound = Math.max(bound, inPairs(users, compiled, lags, tails))
    }
  }
  return bound
}

/**
 * Two pairs of hands: besides the work, one of them has nothing to do before its first task and after its last. Of two
 * tasks that cannot overlap the one that ends first leaves its hands idle for the other’s length at least.
 */
function inPairs(
  users: readonly number[],
  { size, durations, apart }: Compiled,
  lags: Int32Array,
  tails: Int32Array,
): number {
  let work = 0
  let [before, behind] = [Infinity, Infinity]
  const idle = (of: (i: number) => number, i: number, j: number) => {
    const [mine, other] = [of(i), of(j)]
    if (at(apart, i * size + j) === 0) return mine + other
    return Math.min(
      mine + Math.max(other, mine + at(durations, i)),
      other + Math.max(mine, other + at(durations, j)),
    )
  }
  const head = (i: number) => at(lags, i)
  const tail = (i: number) => at(tails, i) - at(durations, i)
  for (const i of users) {
    work += at(durations, i)
    for (const j of users) {
      if (j <= i) continue
      before = Math.min(before, idle(head, i, j))
      behind = Math.min(behind, idle(tail, i, j))
    }
  }
  return Math.ceil((before + work + behind) / 2)
}

/**
 * One thing, one at a time, allowed to interrupt (Jackson’s preemptive rule): always the open task with the longest
 * tail. The sum is no more than any order that does not interrupt.
 */
function oneAtATime(users: number[], durations: Int32Array, lags: Int32Array, tails: Int32Array): number {
  const waiting = [...users].sort((p, q) => at(lags, p) - at(lags, q))
  const left = new Map(users.map((i) => [i, at(durations, i)]))
  const after = (i: number) => at(tails, i) - at(durations, i)
  const open: number[] = []
  let time = 0
  let bound = 0
  for (let next = 0; next < waiting.length || open.length > 0;) {
    if (open.length === 0) time = Math.max(time, at(lags, waiting[next] ?? 0))
    while (next < waiting.length && at(lags, waiting[next] ?? 0) <= time) open.push(waiting[next++] ?? 0)
    let best = 0
    for (let k = 1; k < open.length; k++) if (after(open[k] ?? 0) > after(open[best] ?? 0)) best = k
    const task = open[best] ?? 0
    const until = next < waiting.length ? at(lags, waiting[next] ?? 0) : Infinity
    const run = Math.min(left.get(task) ?? 0, until - time)
    time += run
    left.set(task, (left.get(task) ?? 0) - run)
    if (left.get(task) === 0) {
      open.splice(best, 1)
      bound = Math.max(bound, time + after(task))
    }
  }
  return bound
}

/** Work of the tasks that begin late and have much after them, shared out over all there is of a thing. */
function byEnergy(
  users: readonly number[],
  capacity: number,
  demand: Int32Array,
  durations: Int32Array,
  lags: Int32Array,
  tails: Int32Array,
): number {
  let bound = 0
  for (const head of new Set(users.map((i) => at(lags, i)))) {
    const later = users
      .filter((i) => at(lags, i) >= head)
      .sort((p, q) => at(tails, q) - at(durations, q) - (at(tails, p) - at(durations, p)))
    let work = 0
    for (const i of later) {
      work += at(demand, i) * at(durations, i)
      bound = Math.max(bound, head + Math.ceil(work / capacity) + at(tails, i) - at(durations, i))
    }
  }
  return bound
}
