import type { Solvent } from './shelf'

type Boils = Pick<Solvent, 'boilingPointC' | 'boilingFromC' | 'boilingToC'>

/** Where a solvent begins to boil, °C: its boiling point, or the lower end of its range; null where neither is known. */
export function boilsFromC({ boilingPointC, boilingFromC }: Boils): number | null {
  return boilingPointC ?? boilingFromC ?? null
}

/** Where the last of a solvent boils, °C: what counts for drying; null where neither point nor range is known. */
export function boilsToC({ boilingPointC, boilingToC }: Boils): number | null {
  return boilingPointC ?? boilingToC ?? null
}

/** Where it boils, in words: “78.2 °C”, “60 to 80 °C”; null where nothing is known. */
export function boilsInWords({ boilingPointC, boilingFromC, boilingToC }: Boils): string | null {
  if (boilingPointC !== null) return `${boilingPointC} °C`
  if (boilingFromC === undefined) return null
  return boilingToC === undefined ? `from ${boilingFromC} °C` : `${boilingFromC} to ${boilingToC} °C`
}
