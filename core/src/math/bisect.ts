/**
 * Where a condition that is false below and true above turns, by halving.
 *
 * @param isAbove false at `low`, true at `high`, turning once between
 * @param within stops when the bracket is this narrow; 0: when no number lies between its ends
 * @returns the middle of the last bracket
 * @example bisect((x) => x * x > 2, 0, 2) // 1.41421356…
 */
export function bisect(isAbove: (x: number) => boolean, low: number, high: number, within = 0): number {
  let [from, to] = [low, high]
  for (;;) {
    const middle = (from + to) / 2
    if (to - from <= within || middle <= from || middle >= to) return middle
    if (isAbove(middle)) to = middle
    else from = middle
  }
}
