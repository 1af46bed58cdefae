import { type Compiled, NONE } from './compiled'
import { at } from './lags'
import type { Found } from './search'

/**
 * The tasks everything waits for, first to last: from the one that ends last back to what it waited for, a forerunner
 * before a shared thing, as long as anything did keep it waiting.
 */
export function criticalPathOf(compiled: Compiled, { starts, endMin }: Found): readonly number[] {
  const { durations, tasks } = compiled
  let node = 0
  for (let i = 1; i <= tasks.length && node === 0; i++)
    if (at(starts, i) + at(durations, i) === endMin) node = i
  const path: number[] = []
  while (node !== 0) {
    path.unshift(node)
    node = keptWaitingBy(compiled, starts, node)
  }
  return path
}

/** What kept a task from beginning sooner; 0 when nothing did, or somebody else. */
function keptWaitingBy(
  { size, durations, apart, gaps, lags, resources, tasks }: Compiled,
  starts: Int32Array,
  node: number,
): number {
  const start = at(starts, node)
  const isBefore = (i: number) => i !== node && at(starts, i) < start
  const isForerunner = (i: number) => {
    const lag = at(lags, i * size + node)
    return lag !== NONE && lag >= at(durations, i) && at(starts, i) + lag === start
  }
  const isInTheWay = (i: number) =>
    at(starts, i) + at(durations, i) + at(gaps, i * size + node) === start &&
    (at(apart, i * size + node) === 1 ||
      resources.some(({ demand }) => at(demand, i) > 0 && at(demand, node) > 0))
  return latest(isForerunner) || latest(isInTheWay)

  /** The one that began last: what it waited for in turn is found from there. */
  function latest(mayUse: (i: number) => boolean): number {
    let found = 0
    for (let i = 1; i <= tasks.length; i++)
      if (isBefore(i) && mayUse(i) && (found === 0 || at(starts, i) > at(starts, found))) found = i
    return found
  }
}

/** How often hands go from one prep to another. */
export function prepChanges({ tasks }: Compiled, { starts }: Found): number {
  const withHands = tasks
    .map((task, i) => ({ task, start: at(starts, i + 1) }))
    .filter(({ task }) => task.prep !== undefined && (task.needs['hands'] ?? 0) > 0)
    .sort((p, q) => p.start - q.start)
  return withHands.filter(({ task }, i) => i > 0 && withHands[i - 1]?.task.prep !== task.prep).length
}
