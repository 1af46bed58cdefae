import type { MeltingRange } from '../melting/meltingRange'
import { ImpossibleInput, requireNumber } from '../problems'

export interface ObservedRangeTerms {
  readonly rateCPerMin: number
  readonly sampleLagMin: number
  readonly probeLagMin: number
  readonly meltMin: number
}
export type Grain = 'fine' | 'coarse'
export interface Packing {
  readonly fillMm: number
  readonly grain: Grain
}

/**
 * Minutes a packed sample takes to melt through once it has begun: 0.5 for 2 mm of fine powder, 0.12 more
 * per mm above, half as long again and a little (× 1.6) if the grain is coarse. Typical values, and shown as such.
 *
 * @throws ImpossibleInput on a fill not above 0 mm
 * @example meltMin({ fillMm: 3, grain: 'fine' }) // 0.62
 */
export function meltMin(packing: Packing): number {
  requireNumber(packing.fillMm, 'The fill height')
  if (packing.fillMm <= 0) throw new ImpossibleInput('bad-fill', 'A tube with nothing in it cannot melt.')
  const fine = 0.5 + 0.12 * Math.max(0, packing.fillMm - 2)
  return packing.grain === 'coarse' ? 1.6 * fine : fine
}

/**
 * How much wider a filling makes the range than a fine powder of the wished height would, °C; below 0 narrower.
 *
 * @param rateCPerMin °C/min while it melts
 * @throws ImpossibleInput on a fill not above 0 mm
 * @example wideningByFillC({ fillMm: 8, grain: 'fine' }, 2, 1) // 0.72
 */
export function wideningByFillC(packing: Packing, wishedMm: number, rateCPerMin: number): number {
  return (meltMin(packing) - meltMin({ fillMm: wishedMm, grain: 'fine' })) * rateCPerMin
}

/**
 * The range an instrument shows for a true range, at a heating rate. Both ends move by
 * rate·(sampleLag − probeLag); the top by rate·meltMin more.
 *
 * @param range °C, of infinitely slow heating
 * @param terms rate °C/min, lags and melting time in min
 * @returns °C
 * @throws ImpossibleInput on an inverted range or a negative rate
 * @example observedRange({ onsetC: 94, clearC: 95 }, { rateCPerMin: 2, sampleLagMin: 0.3, probeLagMin: 0.1, meltMin: 0.5 }) // { onsetC: 94.4, clearC: 96.4 }
 */
export function observedRange(range: MeltingRange, terms: ObservedRangeTerms): MeltingRange {
  requireRange(range)
  if (!(terms.rateCPerMin >= 0 && Number.isFinite(terms.rateCPerMin)))
    throw new ImpossibleInput('bad-rate', 'A heating rate cannot be below zero.')
  const shift = terms.rateCPerMin * (terms.sampleLagMin - terms.probeLagMin)
  return { onsetC: range.onsetC + shift, clearC: range.clearC + shift + terms.rateCPerMin * terms.meltMin }
}

/** @throws ImpossibleInput when onset lies above clear */
export function requireRange(range: MeltingRange): void {
  requireNumber(range.onsetC, 'The onset')
  requireNumber(range.clearC, 'The clear point')
  if (range.onsetC > range.clearC)
    throw new ImpossibleInput(
      'range-inverted',
      `An onset of ${range.onsetC} °C lies above the clear point of ${range.clearC} °C: were the two marks swapped?`,
    )
}

/**
 * Range of one sample extrapolated to infinitely slow heating from runs at different rates, by a straight
 * line through each end.
 *
 * @param runs °C at °C/min; at least two different rates
 * @returns °C
 * @throws ImpossibleInput with fewer than two different rates
 * @example zeroRateRange([{ rateCPerMin: 1, onsetC: 94.2, clearC: 95.4 }, { rateCPerMin: 2, onsetC: 94.4, clearC: 96.1 }]) // { onsetC: 94.0, clearC: 94.7 }
 */
export function zeroRateRange(
  runs: readonly { rateCPerMin: number; onsetC: number; clearC: number }[],
): MeltingRange {
  runs.forEach(requireRange)
  const mean = runs.reduce((sum, run) => sum + run.rateCPerMin, 0) / runs.length
  const spread = runs.reduce((sum, run) => sum + (run.rateCPerMin - mean) ** 2, 0)
  if (!(spread > 1e-12))
    throw new ImpossibleInput('one-rate-only', 'Runs at two different rates are needed to look back to zero.')
  const atZero = (end: 'onsetC' | 'clearC') => {
    const slope = runs.reduce((sum, run) => sum + (run.rateCPerMin - mean) * run[end], 0) / spread
    return runs.reduce((sum, run) => sum + run[end], 0) / runs.length - slope * mean
  }
  return { onsetC: atZero('onsetC'), clearC: atZero('clearC') }
}
