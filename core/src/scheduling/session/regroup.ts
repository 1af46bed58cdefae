import { randomSource } from '../../math/random'
import type { Compiled } from './compiled'
import { inThisOrder, type Precedence, precedenceOf } from './firstOrders'
import { at, demandLag } from './lags'
import type { Found } from './search'
import { prepChanges } from './criticalPath'

/** Orders of the hands’ work that are tried, at full effort, times the tasks: each takes longer the more there are. */
const WORK = 300_000

/**
 * The same work with fewer changes from one prep to another: hands’ tasks are moved beside others of their prep, wherever
 * that costs less than the changes it saves. Always the same for the same session.
 *
 * @param changeMin what a change counts as, min
 * @param effort how much of the usual work, 0 to 1
 * @param look another number tries others
 */
export function regroup(
  compiled: Compiled,
  first: Found,
  changeMin: number,
  effort: number,
  look = 0,
): Found {
  const { uniform: random } = randomSource((compiled.size + 1000 * look) * 104_729)
  const before = precedenceOf(compiled)
  const placed = { count: 0 }
  const costOf = (found: Found) => found.endMin + changeMin * prepChanges(compiled, found)
  let best = first
  let cost = costOf(best)
  const tries = Math.ceil((effort * WORK) / compiled.size)
  let order = handsInOrder(compiled, best)
  for (let i = 0; i < tries; i++) {
    const moved = oneMoved(compiled, order, random)
    if (!moved) break
    if (changesIn(compiled, moved) > changesIn(compiled, order)) continue
    const found = inHandsOrder(compiled, before, moved, best, placed)
    if (!found || costOf(found) > cost) continue
    // One that costs the same is taken too: it leads on to others.
    best = found
    cost = costOf(found)
    order = handsInOrder(compiled, best)
  }
  return best
}

function changesIn({ tasks }: Compiled, order: readonly number[]): number {
  return order.filter((node, k) => k > 0 && tasks[node - 1]?.prep !== tasks[(order[k - 1] ?? 0) - 1]?.prep)
    .length
}

/** Hands’ work that has not begun, by its start. */
function handsInOrder({ tasks, isFixed }: Compiled, { starts }: Found): readonly number[] {
  return tasks
    .flatMap(({ needs }, i) => ((needs['hands'] ?? 0) > 0 && !isFixed[i + 1] ? [i + 1] : []))
    .sort((p, q) => at(starts, p) - at(starts, q))
}

/** The order with a run of tasks of one prep, or a part of it, put beside the run of that prep before or after it. */
function oneMoved(
  { tasks }: Compiled,
  order: readonly number[],
  random: () => number,
): readonly number[] | null {
  const prepAt = (k: number) => tasks[(order[k] ?? 0) - 1]?.prep
  const changes = order.flatMap((_, k) => (k > 0 && prepAt(k) !== prepAt(k - 1) ? [k] : []))
  const from = changes[Math.floor(random() * changes.length)]
  if (from === undefined) return null
  let to = from + 1
  while (to < order.length && prepAt(to) === prepAt(from)) to++
  // The whole run, its first or its last tasks.
  const many = 1 + Math.floor(random() * (to - from))
  const start = random() < 0.5 ? from : to - many
  const run = order.slice(start, start + many)
  const rest = [...order.slice(0, start), ...order.slice(start + many)]
  const prepOf = (node: number) => tasks[node - 1]?.prep
  const places = rest.flatMap((node, k) =>
    prepOf(node) === prepAt(from) ? [k, k + 1] : prepOf(node) !== prepOf(rest[k - 1] ?? 0) ? [k] : [],
  )
  const place = places[Math.floor(random() * places.length)] ?? rest.length
  return [...rest.slice(0, place), ...run, ...rest.slice(place)]
}

/** The earliest starts with the hands’ work in this order; null where it cannot be kept. */
function inHandsOrder(
  compiled: Compiled,
  before: Precedence,
  order: readonly number[],
  { starts }: Found,
  placed: { count: number },
): Found | null {
  const { size, durations, apart } = compiled
  const lags = compiled.lags.slice()
  for (let k = 1; k < order.length; k++) {
    const [one, next] = [order[k - 1] ?? 0, order[k] ?? 0]
    // With one pair of hands one after the other; with more, begun in this order.
    const lag = at(apart, one * size + next) === 1 ? at(durations, one) : 0
    if (!demandLag(lags, size, one, next, lag)) return null
  }
  const rank = new Map(order.map((node, k) => [node, k]))
  const urgency = Array.from({ length: size }, (_, node) => -(rank.get(node) ?? at(starts, node) / 1000))
  const ordered = { ...compiled, lags }
  return inThisOrder(ordered, chained(before, order), urgency, placed)
}

/** Each of them after the one before it, besides what it waits for anyway. */
function chained({ forerunners, followers }: Precedence, order: readonly number[]): Precedence {
  const [counts, all] = [forerunners.slice(), [...followers]]
  for (let k = 1; k < order.length; k++) {
    const [one, next] = [order[k - 1] ?? 0, order[k] ?? 0]
    counts[next] = at(counts, next) + 1
    all[one] = [...(followers[one] ?? []), next]
  }
  return { forerunners: counts, followers: all }
}
