/** The middle of values that are sorted already; between the two middle ones of an even number. NaN of none. */
export function median(sorted: ArrayLike<number>): number {
  const middle = sorted.length >> 1
  const upper = sorted[middle] ?? NaN
  return sorted.length % 2 ? upper : (upper + (sorted[middle - 1] ?? NaN)) / 2
}
