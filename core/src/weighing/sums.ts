import type { Quantity } from '../units'

/** What was weighed, together, g; what was not is left out. */
export function sumOf(masses: readonly (Quantity | null)[]): Quantity {
  const known = masses.filter((mass) => mass !== null)
  return {
    value: known.reduce((g, mass) => g + mass.value, 0),
    standardUncertainty: spreadOf(known),
  }
}

/** Standard uncertainty of a sum or difference of independent masses, g. */
export function spreadOf(masses: readonly (Quantity | null)[]): number {
  return Math.hypot(...masses.map((mass) => mass?.standardUncertainty ?? 0))
}
