/** Eluent stands about this deep in the chamber, mm. */
const ELUENT_DEEP_MM = 5
/** A front within this of the upper edge may have stopped there, mm. */
const AT_THE_EDGE_MM = 2

/**
 * What of a plate’s measures spoils its reading: a line that stood in the eluent, a front that ran to the edge.
 *
 * @param lineMm from the lower edge to the pencil line
 * @param frontMm from the line to the front
 * @example plateTrouble({ lineMm: 3, frontMm: 60, heightMm: 80 }) // ['The line lies 3 mm above the edge …']
 */
export function plateTrouble({
  lineMm,
  frontMm,
  heightMm,
}: {
  readonly lineMm: number
  readonly frontMm: number
  readonly heightMm: number
}): readonly string[] {
  return [
    ...(lineMm <= ELUENT_DEEP_MM
      ? [
          `The pencil line is ${lineMm} mm above the edge, and eluent usually stands about ${ELUENT_DEEP_MM} mm deep. Spots that stood in the eluent have washed off.`,
        ]
      : []),
    ...(lineMm + frontMm >= heightMm - AT_THE_EDGE_MM
      ? [
          'The front ran to the upper edge, so its true height is not known and every Rf comes out too high. Run another plate with the same eluent and take it out when the front is about 10 mm below the edge.',
        ]
      : []),
  ]
}
