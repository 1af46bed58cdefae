import { boilsToC } from '../substances/boiling'
import type { Solvent } from '../substances/shelf'

/** A solvent that boils no higher than this leaves spread crystals in minutes of air, °C; a rule of the bench. */
const DRIES_IN_AIR_TO_C = 85

/** Whether minutes of air are enough for what the crystals are wet with; not known is no. */
export function driesInAir(solvents: readonly Solvent[]): boolean {
  const boilsC = highestBoilingC(solvents)
  return boilsC !== null && boilsC <= DRIES_IN_AIR_TO_C
}

/** The boiling point that counts for drying, °C: where the last of them boils; null as long as not all are known. */
export function highestBoilingC(solvents: readonly Solvent[]): number | null {
  const known = solvents.flatMap((one) => boilsToC(one) ?? [])
  return known.length === solvents.length && known.length > 0 ? Math.max(...known) : null
}

/** Minutes of air that dry crystals of a solvent, by where it boils, °C; what boils higher is not shown dry by air. */
const AIR_DRIES: readonly (readonly [boilsToC: number, minutes: number])[] = [
  [50, 5],
  [70, 15],
  [DRIES_IN_AIR_TO_C, 60],
]

/**
 * Minutes of air that show crystals dry of a solvent boiling here, at the funnel and spread counted together; Infinity
 * where air never does. A rule of the bench, and the only one: plan, balance and judge ask it.
 *
 * @param solventBoilsC °C
 * @example airMinutesFor(78.2) // 60
 */
export function airMinutesFor(solventBoilsC: number): number {
  return AIR_DRIES.find(([boilsToC]) => solventBoilsC <= boilsToC)?.[1] ?? Infinity
}

/** Minutes of air that show crystals dry of all these solvents; Infinity where air does not. */
export function airMinutesOf(solvents: readonly Solvent[]): number {
  if (!driesInAir(solvents)) return Infinity
  return airMinutesFor(highestBoilingC(solvents) ?? DRIES_IN_AIR_TO_C)
}
