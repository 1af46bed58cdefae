/** Erlenmeyer sizes found in most teaching laboratories, mL. */
const FLASKS_ML = [10, 25, 50, 125, 250, 500, 1000] as const
/** Round-bottomed flasks that take a condenser, mL. */
const ROUND_FLASKS_ML = [100, 250, 500, 1000, 2000] as const
/** Room a gram of solid takes in the flask before it has dissolved, mL. */
export const SOLID_ML_PER_G = 0.8
/** From more crude, g, or more solvent, mL, than this an open flask gives way to a reflux condenser. */
const REFLUX_ABOVE = { crudeG: 10, hotML: 100 } as const

/**
 * Smallest common Erlenmeyer flask that its contents fill at most half, so that it can be swirled.
 *
 * @param contentsML hot solution, with solid and whatever else goes in
 * @returns mL, or null when no common flask holds it
 * @example flaskForML(11) // 25
 */
export function flaskForML(contentsML: number): number | null {
  return FLASKS_ML.find((size) => contentsML <= size / 2) ?? null
}

/** Smallest round-bottomed flask that its contents fill at most half; mL, or null. */
export function roundFlaskForML(contentsML: number): number | null {
  return ROUND_FLASKS_ML.find((size) => contentsML <= size / 2) ?? null
}

/**
 * Whether a batch is too large for an open flask: over about 10 g of crude, or 100 mL of solvent.
 *
 * @example needsReflux(12, 60) // true
 */
export function needsReflux(crudeG: number, hotML: number): boolean {
  return crudeG > REFLUX_ABOVE.crudeG || hotML > REFLUX_ABOVE.hotML
}

/** A batch of this volume cools in the time a step names, mL; a larger one takes longer. */
const COOLS_AS_NAMED_ML = 20
const COOLING_POWER = 0.45

/**
 * How long a batch takes to cool, from what a small one takes: a larger flask has less surface for its volume.
 * A rule of the bench.
 *
 * @param smallMin what 20 mL and less take, min
 * @param hotML volume of this batch
 * @returns min, in steps of five
 * @example coolingMin(15, 100) // 30
 */
export function coolingMin(smallMin: number, hotML: number): number {
  const times = Math.max(1, (hotML / COOLS_AS_NAMED_ML) ** COOLING_POWER)
  return Math.round((smallMin * times) / 5) * 5
}
