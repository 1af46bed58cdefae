import { randomSource } from '../../math/random'
import { type Compiled, NONE } from './compiled'
import { at } from './lags'
import type { Found } from './search'

/** Orders tried by urgency alone, and then so many near the best of them. */
const TRIES = 60
const SHAKES = 400
/** A node without a place. What began before the session has one below 0. */
const UNPLACED = -2_000_000
/** Urgency is shaken by so much at most, min. */
const SHAKE_MIN = 30
/** Places given in all, times the tasks: each takes longer the more tasks there are. */
const WORK = 3_000_000
/** A task put in is moved on at most so often before the order is given up. */
const MOVES_MOST = 40

/**
 * Quick good orders: one task after another at its earliest free place, in many orders of urgency, some of them shaken.
 * Always the same for the same session.
 *
 * @param leastMin stops when one ends so soon
 * @param effort how much of the usual work, 0 to 1; with 0 the first that is found
 * @param tries orders of urgency before it is given up
 */
export function firstOrder(
  compiled: Compiled,
  tails: Int32Array,
  leastMin: number,
  effort: number,
  tries = TRIES,
): Found | null {
  const { size } = compiled
  const { uniform: random } = randomSource(size)
  const before = precedenceOf(compiled)
  const placed = { count: 0, most: (effort * WORK) / size }
  let best: Found | null = null
  for (let i = 0; i < tries && (!best || placed.count < placed.most); i++) {
    const shake = i === 0 ? 0 : SHAKE_MIN * random()
    const urgency = Array.from({ length: size }, (_, node) => at(tails, node) + shake * random())
    const found = inThisOrder(compiled, before, urgency, placed)
    if (found && (!best || found.endMin < best.endMin)) best = found
  }
  for (let i = 0; best && best.endMin > leastMin && i < SHAKES && placed.count < placed.most; i++) {
    const { starts }: Found = best
    const shake = SHAKE_MIN * random()
    const urgency = Array.from({ length: size }, (_, node) => shake * random() - at(starts, node))
    const found = inThisOrder(compiled, before, urgency, placed)
    // One that ends alike is taken too: it leads on to others.
    if (found && found.endMin <= best.endMin) best = found
  }
  return best
}

/** Which nodes must have a place before which. */
export interface Precedence {
  /** How many must have one before each. */
  readonly forerunners: Int32Array
  /** Those each must have one before. */
  readonly followers: readonly (readonly number[])[]
}

export function precedenceOf({ size, lags }: Compiled): Precedence {
  const forerunners = new Int32Array(size)
  const followers = Array.from({ length: size }, (_, i) => {
    const after: number[] = []
    for (let j = 1; j < size; j++) {
      const lag = at(lags, i * size + j)
      if (i !== 0 && j !== i && lag !== NONE && lag > 0) {
        after.push(j)
        forerunners[j] = at(forerunners, j) + 1
      }
    }
    return after
  })
  return { forerunners, followers }
}

/** Each task at its earliest free place, the most urgent first; null where that cannot be. */
export function inThisOrder(
  compiled: Compiled,
  { forerunners, followers }: Precedence,
  urgency: readonly number[],
  placed: { count: number },
): Found | null {
  const { size, durations, isFixed, lags, tasks } = compiled
  const release = Int32Array.from({ length: size }, (_, i) => at(lags, i))
  const urgent = [...urgency]
  let most = Math.max(...urgent)
  const hurried = new Set<number>()
  for (let moves = 0; moves < MOVES_MOST; moves++) {
    const starts = new Int32Array(size).fill(UNPLACED)
    starts[0] = 0
    const waitsFor = forerunners.slice()
    const place = (node: number, startMin: number) => {
      starts[node] = startMin
      for (const next of followers[node] ?? []) waitsFor[next] = at(waitsFor, next) - 1
    }
    for (let i = 1; i < size; i++) if (isFixed[i]) place(i, at(lags, i))
    let lateOne = 0
    let late: readonly [node: number, startMin: number] | null = null
    for (;;) {
      const node = nextOf(waitsFor, starts, urgent)
      if (node === 0) break
      let earliest = at(release, node)
      for (let i = 0; i < size; i++) {
        const lag = at(lags, i * size + node)
        if (lag !== NONE && at(starts, i) !== UNPLACED) earliest = Math.max(earliest, at(starts, i) + lag)
      }
      earliest = freeFrom(compiled, starts, node, earliest)
      // One that it must not keep waiting so long is put off itself.
      for (let i = 1; i < size && !late; i++) {
        const back = at(lags, node * size + i)
        if (back !== NONE && at(starts, i) !== UNPLACED && at(starts, i) < earliest + back)
          late = [i, earliest + back]
      }
      if (late) {
        lateOne = node
        break
      }
      place(node, earliest)
      placed.count++
    }
    if (!late) {
      let endMin = 0
      for (let i = 1; i <= tasks.length; i++) endMin = Math.max(endMin, at(starts, i) + at(durations, i))
      return { starts, endMin }
    }
    // At first it only comes right after what it must not keep waiting; where that does not help, that is put off.
    if (!hurried.has(lateOne)) {
      hurried.add(lateOne)
      most += 1
      urgent[lateOne] = most
      continue
    }
    const [node, startMin] = late
    if (isFixed[node]) return null
    release[node] = startMin
  }
  return null
}

/** The most urgent task whose forerunners all have a place; 0 when none is left. */
function nextOf(waitsFor: Int32Array, starts: Int32Array, urgency: readonly number[]): number {
  let best = 0
  for (let i = 1; i < starts.length; i++) {
    if (at(starts, i) !== UNPLACED || at(waitsFor, i) > 0) continue
    if (best === 0 || (urgency[i] ?? 0) > (urgency[best] ?? 0)) best = i
  }
  return best
}

/** The first minute from which a task fits beside all that have a place. */
function freeFrom(compiled: Compiled, starts: Int32Array, node: number, fromMin: number): number {
  let startMin = fromMin
  for (;;) {
    const nextMin = inTheWayUntil(compiled, starts, node, startMin)
    if (nextMin === null) return startMin
    startMin = nextMin
  }
}

/** Begun then it would meet something until at least this minute; null where it would not. */
function inTheWayUntil(
  { size, durations, apart, gaps, resources }: Compiled,
  starts: Int32Array,
  node: number,
  startMin: number,
): number | null {
  const endMin = startMin + at(durations, node)
  if (endMin === startMin) return null
  const beside: number[] = []
  let untilMin = startMin
  for (let i = 1; i < size; i++) {
    const from = at(starts, i)
    if (from === UNPLACED) continue
    const to = from + at(durations, i)
    if (to === from) continue
    if (at(apart, node * size + i) === 1) {
      const freeMin = to + at(gaps, i * size + node)
      if (from < endMin + at(gaps, node * size + i) && freeMin > startMin)
        untilMin = Math.max(untilMin, freeMin)
    } else if (from < endMin && to > startMin) beside.push(i)
  }
  if (untilMin > startMin) return untilMin
  if (beside.length === 0) return null
  for (const { capacity, demand } of resources) {
    if (at(demand, node) === 0) continue
    const users = beside.filter((i) => at(demand, i) > 0)
    const moments = [startMin, ...users.map((i) => at(starts, i)).filter((t) => t > startMin)]
    for (const t of moments) {
      const going = users.filter((i) => at(starts, i) <= t && at(starts, i) + at(durations, i) > t)
      if (going.reduce((sum, i) => sum + at(demand, i), 0) + at(demand, node) > capacity)
        return Math.min(...going.map((i) => at(starts, i) + at(durations, i)))
    }
  }
  return null
}
