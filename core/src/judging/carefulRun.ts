import type { HouseWords } from './evidence'

/** Cooling, loading and preheating a block, as a careful student takes them, min. */
const SET_UP_MIN = 15

/**
 * Minutes a careful run takes on a block: set up, and the slow part at the house rate.
 *
 * @param span where it is expected to melt, °C; null when that is not known
 */
export function carefulRunMin(
  span: { readonly lowC: number; readonly highC: number } | null,
  { startBelowC, stopAboveC, meltRate }: HouseWords,
): number {
  const meltsC = span ? span.highC - span.lowC : 0
  return Math.round(SET_UP_MIN + (startBelowC + meltsC + stopAboveC) / meltRate.target)
}
