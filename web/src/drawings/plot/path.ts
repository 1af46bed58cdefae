/** A line through points, as the path of a drawing, to a tenth of a pixel. */
export function pathOf<P>(points: readonly P[], x: (point: P) => number, y: (point: P) => number): string {
  return points
    .map((point, i) => `${i === 0 ? 'M' : 'L'}${x(point).toFixed(1)} ${y(point).toFixed(1)}`)
    .join('')
}
