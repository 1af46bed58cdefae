import type { Solvent } from '../reference/shelf'

/** A solvent that boils no higher than this leaves spread crystals in minutes of air, °C; a rule of the bench. */
const DRIES_IN_AIR_TO_C = 85
/** One whose boiling point is not known is taken to where its vapour lights this cold, °C. */
const VOLATILE_FLASH_C = 0
/** Whether minutes of air are enough for what the crystals are wet with. */
export function driesInAir(solvents: readonly Solvent[]): boolean {
  const boilsC = highestBoilingC(solvents)
  if (boilsC !== null) return boilsC <= DRIES_IN_AIR_TO_C
  return solvents.every(
    ({ boilingPointC, flashPointC }) =>
      (boilingPointC ?? DRIES_IN_AIR_TO_C) <= DRIES_IN_AIR_TO_C &&
      (boilingPointC !== null || (flashPointC !== null && flashPointC < VOLATILE_FLASH_C)),
  )
}

/** The boiling point that counts for drying, °C: the highest, as far as all are known. */
function highestBoilingC(solvents: readonly Solvent[]): number | null {
  const known = solvents.flatMap(({ boilingPointC }) => (boilingPointC === null ? [] : [boilingPointC]))
  return known.length === solvents.length && known.length > 0 ? Math.max(...known) : null
}
