/**
 * Compounds that come from cold water with water in their crystals: how much, and where it leaves again. General
 * knowledge of handbooks, medium confidence; where no temperature is given, the hydrate is weighed as it is.
 */
export interface HydrateValues {
  /** Molecules of water for one of the compound. */
  readonly hydrateWaters: number
  /** An oven at this temperature takes the water out and harms nothing, °C. */
  readonly anhydrousAtC?: number
}
export const HYDRATES: Readonly<Record<string, HydrateValues>> = {
  caffeine: { hydrateWaters: 1, anhydrousAtC: 80 },
  '4-hydroxybenzoic-acid': { hydrateWaters: 1, anhydrousAtC: 100 },
  'citric-acid-anhydrous': { hydrateWaters: 1 },
  'd-glucose-anhydrous': { hydrateWaters: 1 },
}
