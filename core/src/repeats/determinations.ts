import { median } from '../math/median'
import { ImpossibleInput, requireNumber } from '../problems'

/** Dixon's critical ratios at 95 %, two-sided, for 3 to 10 values (Rorabacher 1991, Analytical Chemistry 63, 139). */
const DIXON_95: Readonly<Record<number, number>> = {
  3: 0.97,
  4: 0.829,
  5: 0.71,
  6: 0.625,
  7: 0.568,
  8: 0.526,
  9: 0.493,
  10: 0.466,
}
/** Beyond ten values: further from the median than this many robust deviations (Iglewicz and Hoaglin 1993). */
const ROBUST_MOST = 3.5
const ROBUST_SCALE = 0.6745

export interface Determinations {
  readonly count: number
  readonly mean: number
  readonly median: number
  /** Greatest less least. */
  readonly spread: number
  /** Sample standard deviation; null with one value. */
  readonly sd: number | null
  /** Places of values that do not belong with the rest. They are pointed out and stay in the mean. */
  readonly outliers: readonly number[]
}

/**
 * Several determinations of one quantity: mean, spread, and the value that does not belong (Dixon's Q for 3 to
 * 10, a robust deviation beyond). Nothing is dropped.
 *
 * @param values in one unit
 * @param resolution differences within it are no evidence of anything, same unit
 * @throws ImpossibleInput on no value, or one that is not a number
 * @example determinations([94.8, 95.0, 94.9, 97.2], 0.5).outliers // [3]
 */
export function determinations(values: readonly number[], resolution: number): Determinations {
  if (values.length === 0)
    throw new ImpossibleInput('too-few-samples', 'A mean needs at least one determination.')
  values.forEach((value) => {
    requireNumber(value, 'A determination')
  })
  const sorted = [...values].sort((p, q) => p - q)
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length
  const squares = values.reduce((sum, value) => sum + (value - mean) ** 2, 0)
  return {
    count: values.length,
    mean,
    median: median(sorted),
    spread: (sorted.at(-1) ?? mean) - (sorted[0] ?? mean),
    sd: values.length > 1 ? Math.sqrt(squares / (values.length - 1)) : null,
    outliers: outliersOf(values, sorted, resolution),
  }
}

function outliersOf(values: readonly number[], sorted: readonly number[], resolution: number): number[] {
  const critical = DIXON_95[values.length]
  const middle = median(sorted)
  const isFar = (value: number) => Math.abs(value - middle) > resolution
  const odd =
    critical !== undefined ? dixon(sorted, critical) : values.length > 10 ? robust(sorted, middle) : []
  return values.flatMap((value, i) => (odd.includes(value) && isFar(value) ? [i] : []))
}

/** The end value whose gap to its neighbour is too great a part of the whole span. */
function dixon(sorted: readonly number[], critical: number): readonly number[] {
  const [first = 0, second = 0] = sorted
  const [last = 0, beforeLast = 0] = [...sorted].reverse()
  const span = last - first
  if (span <= 0) return []
  return [
    ...((second - first) / span > critical ? [first] : []),
    ...((last - beforeLast) / span > critical ? [last] : []),
  ]
}

function robust(sorted: readonly number[], middle: number): readonly number[] {
  const deviation = median(sorted.map((value) => Math.abs(value - middle)).sort((p, q) => p - q))
  return deviation === 0
    ? []
    : sorted.filter((value) => (ROBUST_SCALE * Math.abs(value - middle)) / deviation > ROBUST_MOST)
}
