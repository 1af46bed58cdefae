/** Erlenmeyer sizes found in most teaching laboratories, mL. */
const FLASKS_ML = [10, 25, 50, 125, 250, 500, 1000] as const

/**
 * Smallest common Erlenmeyer flask that the hot solution fills at most half, so that it can be swirled.
 *
 * @returns mL, or null when no common flask holds it
 * @example flaskForML(11) // 25
 */
export function flaskForML(hotML: number): number | null {
  return FLASKS_ML.find((size) => hotML <= size / 2) ?? null
}
