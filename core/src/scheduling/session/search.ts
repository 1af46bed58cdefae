import { boundOf } from './bound'
import type { Compiled } from './compiled'
import { at, demandLag, propagateLags, tailsOf } from './lags'

/** Starts of all nodes, and when the last task ends, min. */
export interface Found {
  readonly starts: Int32Array
  readonly endMin: number
}

/** What two orders that end alike are told apart by; the less the better, the first number first. */
export type Rank = (found: Found) => readonly number[]

interface Choice {
  readonly lags: Int32Array
  readonly bound: number
}
type Arc = readonly [first: number, second: number]

/**
 * Branch and bound on what overlaps and must not. The earliest starts are taken as they are; at the first moment at
 * which too much goes on at once, one branch for each way to put some of it after the rest (De Reyck and Herroelen’s
 * way for waits at least and at most).
 *
 * @param nodesMost gives up its proof after so many, and says so
 * @param known an order found already, or null
 * @param rank decides between orders that end alike
 * @param among looks for sooner ends only, or for better orders with the same end too
 */
export function search(
  compiled: Compiled,
  nodesMost: number,
  known: Found | null,
  rank: Rank,
  among: 'sooner' | 'as soon' = 'sooner',
): { readonly found: Found | null; readonly isProven: boolean; readonly nodes: number } {
  const tails = new Int32Array(compiled.size)
  let found = known
  let bestRank = known ? rank(known) : []
  let nodes = 0
  let isCut = false
  const limit = () => (found ? found.endMin + (among === 'as soon' ? 1 : 0) : 1_000_000)

  const visit = (lags: Int32Array) => {
    if (nodes >= nodesMost) {
      isCut = true
      return
    }
    nodes++
    const clash = firstClash(compiled, lags)
    if (!clash) {
      const leaf = leafOf(compiled, lags)
      const itsRank = rank(leaf)
      if (
        !found ||
        leaf.endMin < found.endMin ||
        (leaf.endMin === found.endMin && isLess(itsRank, bestRank))
      ) {
        found = leaf
        bestRank = itsRank
      }
      return
    }
    for (const { lags: child, bound } of childrenOf(compiled, lags, clash, limit(), tails))
      if (bound < limit()) visit(child)
  }
  const root = compiled.lags.slice()
  if (propagateLags(compiled, root, tails, limit()) && boundOf(compiled, root, tails) < limit()) visit(root)
  return { found, isProven: !isCut, nodes }
}

/**
 * Whether an order can be found that ends by a time; false too when the work it takes to tell is more than `nodesMost`.
 */
export function canEndBy(compiled: Compiled, byMin: number, nodesMost: number): boolean {
  const tails = new Int32Array(compiled.size)
  let nodes = 0
  const visit = (lags: Int32Array): boolean => {
    if (nodes++ >= nodesMost) return false
    const clash = firstClash(compiled, lags)
    if (!clash) return true
    return childrenOf(compiled, lags, clash, byMin + 1, tails).some(
      ({ lags: child, bound }) => bound <= byMin && visit(child),
    )
  }
  const root = compiled.lags.slice()
  return (
    propagateLags(compiled, root, tails, byMin + 1) && boundOf(compiled, root, tails) <= byMin && visit(root)
  )
}

/** The least end that no argument of the bound rules out, min. */
export function provenLeast(compiled: Compiled, endMin: number): number {
  const tails = new Int32Array(compiled.size)
  let least = boundOf(compiled, compiled.lags, tailsOf(compiled, compiled.lags, tails))
  // What never ends at all is not told here.
  const most = Math.min(endMin, least + PUSHES_MOST)
  const isRuledOut = (byMin: number) => {
    const lags = compiled.lags.slice()
    return !propagateLags(compiled, lags, tails, byMin + 1) || boundOf(compiled, lags, tails) > byMin
  }
  // What is ruled out by a time is ruled out by any sooner: in growing steps, and then halved.
  let step = 1
  let open = least
  while (open < most && isRuledOut(open)) {
    least = open + 1
    open = Math.min(most, least + step)
    step *= 2
  }
  if (open >= most && least < most && isRuledOut(most - 1)) return most
  while (least < open) {
    const middle = Math.floor((least + open) / 2)
    if (isRuledOut(middle)) least = middle + 1
    else open = middle
  }
  return least
}
/** The bound is pushed up by so many minutes at most. */
const PUSHES_MOST = 600

/** What each way out of a clash leads to, as far as it can end before a time; the most promising first. */
function childrenOf(
  compiled: Compiled,
  lags: Int32Array,
  clash: readonly (readonly Arc[])[],
  limitMin: number,
  tails: Int32Array,
): readonly Choice[] {
  const { size, durations, gaps } = compiled
  const choices: Choice[] = []
  for (const arcs of clash) {
    const child = lags.slice()
    if (!arcs.every(([p, q]) => demandLag(child, size, p, q, at(durations, p) + at(gaps, p * size + q))))
      continue
    if (!propagateLags(compiled, child, tails, limitMin)) continue
    choices.push({ lags: child, bound: boundOf(compiled, child, tails) })
  }
  return choices.sort((p, q) => p.bound - q.bound)
}

function leafOf({ size, durations, tasks }: Compiled, lags: Int32Array): Found {
  const starts = lags.slice(0, size)
  let endMin = 0
  for (let i = 1; i <= tasks.length; i++) endMin = Math.max(endMin, at(starts, i) + at(durations, i))
  return { starts, endMin }
}

const isLess = (p: readonly number[], q: readonly number[]) => {
  const differs = p.findIndex((value, i) => value !== q[i])
  return differs >= 0 && (p[differs] ?? 0) < (q[differs] ?? 0)
}

/** The ways out of the first moment at which too much goes on at once; null when there is none. */
function firstClash(compiled: Compiled, lags: Int32Array): readonly (readonly Arc[])[] | null {
  const { size, durations, apart, gaps, resources, isFixed } = compiled
  const order: number[] = []
  for (let i = 1; i < size; i++) if (at(durations, i) > 0) order.push(i)
  order.sort((p, q) => at(lags, p) - at(lags, q))
  const going: number[] = []
  const over: number[] = []
  for (const task of order) {
    const now = at(lags, task)
    for (let k = going.length - 1; k >= 0; k--) {
      const other = going[k] ?? 0
      if (at(lags, other) + at(durations, other) > now) continue
      going.splice(k, 1)
      over.push(other)
    }
    const tooSoon = over.find((other) => {
      const gap = at(gaps, other * size + task)
      return (
        gap > 0 && at(apart, other * size + task) === 1 && at(lags, other) + at(durations, other) + gap > now
      )
    })
    if (tooSoon !== undefined) return [[[tooSoon, task]], [[task, tooSoon]]]
    const beside = going.find((other) => at(apart, task * size + other) === 1)
    if (beside !== undefined) return [[[beside, task]], [[task, beside]]]
    going.push(task)
    for (const { capacity, demand } of resources) {
      const users = going.filter((i) => at(demand, i) > 0)
      const sum = users.reduce((all, i) => all + at(demand, i), 0)
      if (sum <= capacity) continue
      const ways = waysOut(users, demand, capacity, isFixed)
      // What goes on already may be more than there is: then nothing can be done about it.
      if (ways.length > 0) return ways
    }
  }
  return null
}

/** Each smallest set that can be put off so that the rest fits, after each of the rest. */
function waysOut(
  users: readonly number[],
  demand: Int32Array,
  capacity: number,
  isFixed: Uint8Array,
): readonly (readonly Arc[])[] {
  const movable = users.filter((i) => at(isFixed, i) === 0)
  const held = users.reduce((sum, i) => (at(isFixed, i) ? sum + at(demand, i) : sum), 0)
  const most = Math.max(capacity, held)
  const ways: (readonly Arc[])[] = []
  const sets: number[] = []
  for (let mask = 1; mask < 1 << movable.length; mask++) {
    if (sets.some((smaller) => (smaller & mask) === smaller)) continue
    const put = movable.filter((_, k) => mask & (1 << k))
    const rest = users.filter((i) => !put.includes(i))
    if (rest.reduce((sum, i) => sum + at(demand, i), 0) > most) continue
    sets.push(mask)
    for (const before of rest) ways.push(put.map((i) => [before, i] as const))
  }
  return ways
}
