import { ImpossibleInput, requireNumber } from '../problems'

/** A distance read with a ruler lies within this of what it is, mm. */
const READ_WITHIN_MM = 0.5
/** Two retention factors this many standard uncertainties apart still agree (95 %). */
const AGREE_WITHIN = 2
const NEAR_START = 0.1
const NEAR_FRONT = 0.8

export interface RetentionFactor {
  readonly rf: number
  readonly standardUncertainty: number
}

/**
 * Retention factor of a spot: distance from the pencil line to its centre over that to the front.
 *
 * Both are read within 0.5 mm (uniform: standard uncertainty 0.5/√3), so u = 0.5/√3 · √(1 + Rf²) / front.
 *
 * @param spotCentreMm from the line to the centre of the spot
 * @param frontMm from the line to the solvent front
 * @throws ImpossibleInput when the front has not moved, or the spot lies below the line or above the front
 * @example retentionFactor(21, 50) // { rf: 0.42, standardUncertainty: 0.0063 }
 */
export function retentionFactor(spotCentreMm: number, frontMm: number): RetentionFactor {
  requireNumber(spotCentreMm, 'The distance of the spot')
  requireNumber(frontMm, 'The distance of the front')
  if (frontMm <= 0)
    throw new ImpossibleInput('bad-distance', 'The solvent front must lie above the pencil line.')
  if (spotCentreMm < 0)
    throw new ImpossibleInput(
      'bad-distance',
      'A spot cannot be below the pencil line. Measure from the line.',
    )
  if (spotCentreMm > frontMm)
    throw new ImpossibleInput(
      'spot-above-front',
      `A spot at ${spotCentreMm} mm lies above the front at ${frontMm} mm, which cannot be. Was the front marked as soon as the plate came out?`,
    )
  const rf = spotCentreMm / frontMm
  return {
    rf,
    standardUncertainty: ((READ_WITHIN_MM / Math.sqrt(3)) * Math.hypot(1, rf)) / frontMm,
  }
}

/** Whether two spots are at one height, within what reading allows (95 %). */
export function spotsAgree(p: RetentionFactor, q: RetentionFactor): boolean {
  return (
    Math.abs(p.rf - q.rf) <= AGREE_WITHIN * Math.hypot(p.standardUncertainty, q.standardUncertainty) + 1e-12
  )
}

/** Why a retention factor says little, or null where it says what it can. */
export function poorEvidence({ rf }: Pick<RetentionFactor, 'rf'>): string | null {
  if (rf < NEAR_START)
    return 'It hardly left the line, as every strongly held compound does. Try a more polar eluent.'
  if (rf > NEAR_FRONT)
    return 'It ran with the front, as every weakly held compound does. Try a less polar eluent.'
  return null
}
