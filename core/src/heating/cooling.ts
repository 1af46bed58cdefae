/** What a heated thing loses its heat to, and how fast. */
export interface Cooling {
  readonly ambientC: number
  readonly timeConstantMin: number
}

/**
 * How long a block that is left alone takes to cool, by Newton’s law: τ·ln((from − room) ⁄ (to − room)).
 *
 * @param toC above the room, °C
 * @returns min; 0 where it is no hotter already
 * @example coolsForMin({ ambientC: 22, timeConstantMin: 9 }, 150, 60) // 10.9
 */
export function coolsForMin({ ambientC, timeConstantMin }: Cooling, fromC: number, toC: number): number {
  return fromC <= toC ? 0 : timeConstantMin * Math.log((fromC - ambientC) / (toC - ambientC))
}
