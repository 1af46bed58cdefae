import { type Compiled, NONE } from './compiled'

/** A typed array gives a number wherever it is asked inside its length. */
export const at = (array: Int32Array | Uint8Array, index: number): number => array[index] as number

/**
 * Demands that one node begins so long after another, and all that follows from it.
 *
 * @param lags longest paths, changed in place
 * @returns false when that cannot be: something would have to begin before itself
 */
export function demandLag(lags: Int32Array, size: number, from: number, to: number, min: number): boolean {
  if (at(lags, from * size + to) >= min) return true
  const back = at(lags, to * size + from)
  if (back !== NONE && back + min > 0) return false
  for (let i = 0; i < size; i++) {
    const toFrom = at(lags, i * size + from)
    if (toFrom === NONE) continue
    const reach = toFrom + min
    for (let j = 0; j < size; j++) {
      const fromTo = at(lags, to * size + j)
      if (fromTo !== NONE && reach + fromTo > at(lags, i * size + j)) lags[i * size + j] = reach + fromTo
    }
  }
  return true
}

/** The longest path from the start of each node to the end of the last task, min; what others do ends nothing. */
export function tailsOf(
  { size, durations, tasks }: Compiled,
  lags: Int32Array,
  tails: Int32Array,
): Int32Array {
  for (let i = 0; i < size; i++) {
    let most = 0
    for (let j = 1; j <= tasks.length; j++) {
      const lag = at(lags, i * size + j)
      if (lag !== NONE && lag + at(durations, j) > most) most = lag + at(durations, j)
    }
    tails[i] = most
  }
  return tails
}

/**
 * What must follow if all is to be over before `limitMin`: of two that cannot overlap, the one that cannot be first
 * comes second.
 *
 * @returns false when nothing can be over before then
 */
export function propagateLags(
  compiled: Compiled,
  lags: Int32Array,
  tails: Int32Array,
  limitMin: number,
): boolean {
  const { size, durations, apart, gaps, tasks } = compiled
  for (let again = true; again;) {
    again = false
    tailsOf(compiled, lags, tails)
    for (let i = 1; i < size; i++) {
      if (i <= tasks.length && at(lags, i) + at(tails, i) >= limitMin) return false
      for (let j = i + 1; j < size; j++) {
        if (at(apart, i * size + j) === 0) continue
        const di = at(durations, i) + at(gaps, i * size + j)
        const dj = at(durations, j) + at(gaps, j * size + i)
        if (at(lags, i * size + j) >= di || at(lags, j * size + i) >= dj) continue
        const mayLead = (first: number, second: number, duration: number) => {
          const back = at(lags, second * size + first)
          return (
            at(lags, first) + duration + at(tails, second) < limitMin &&
            (back === NONE || back + duration <= 0)
          )
        }
        const iLeads = mayLead(i, j, di)
        const jLeads = mayLead(j, i, dj)
        if (iLeads && jLeads) continue
        if (!iLeads && !jLeads) return false
        const [first, second, duration] = iLeads ? [i, j, di] : [j, i, dj]
        if (!demandLag(lags, size, first, second, duration)) return false
        again = true
      }
    }
  }
  return true
}
