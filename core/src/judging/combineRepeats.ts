import { zeroRateRange } from '../heating/observedRange'
import { tenths } from '../math/tenths'
import type { MeltingRange } from '../melting/meltingRange'
import type { HouseWords, RangeEvidence, Repeat } from './evidence'

/** The fastest of several rates is so much faster than the slowest, or they count as one. */
const TWO_RATES = 1.6

/** The evidence as one reading, with the share of one mark’s error that it carries. */
export interface CombinedRepeats {
  readonly evidence: RangeEvidence
  readonly share: number
  /** How several tubes were taken together: by the best measured alone, as their mean, or looked back to no rate. */
  readonly by: 'one tube' | 'mean' | 'no rate'
}

/**
 * Heated at several rates, a range is looked back to no rate at all, and heating owns nothing more; not where the onset
 * falls as the rate rises, which heating cannot do, nor where the thermometer was checked in place and its lag is off
 * already: then the slowest speaks alone. Tubes heated alike that agree count as one better reading; beside an
 * authentic sample the tube of that run stands.
 */
export function combineRepeats(evidence: RangeEvidence, rules: HouseWords): CombinedRepeats {
  const tubes = [{ ...evidence.reading, rateCPerMin: evidence.rateCPerMin }, ...evidence.repeats]
  const asRead: CombinedRepeats = { evidence, share: 1, by: 'one tube' }
  const scatters = tubes.some((p, i) =>
    tubes.slice(i).some((q) => !isTwoRates(p, q) && tenths(scatterC([p, q])) > rules.repeatWithinC),
  )
  if (scatters) return asRead
  if (tubes.some((p) => tubes.some((q) => isTwoRates(p, q)))) {
    const isInPlace = evidence.thermometer.state === 'checked in place at this rate'
    return isInPlace || !risesWithRate(tubes)
      ? byTube(evidence, slowestOf(tubes))
      : lookedBack(evidence, tubes)
  }
  if (evidence.authentic || tubes.length === 1) return asRead
  const mean = (end: 'onsetC' | 'clearC') => tubes.reduce((sum, tube) => sum + tube[end], 0) / tubes.length
  const reading = { onsetC: mean('onsetC'), clearC: mean('clearC') }
  return { evidence: { ...evidence, reading }, share: 1 / Math.sqrt(tubes.length), by: 'mean' }
}

function isTwoRates(p: Repeat, q: Repeat): boolean {
  return Math.max(p.rateCPerMin, q.rateCPerMin) >= TWO_RATES * Math.min(p.rateCPerMin, q.rateCPerMin)
}

/** Whether the onset rises with the rate, as heating makes it: one that falls is scatter. */
function risesWithRate(tubes: readonly Repeat[]): boolean {
  return zeroRateRange(tubes).onsetC <= Math.min(...tubes.map(({ onsetC }) => onsetC)) + 1e-9
}

function slowestOf(tubes: readonly Repeat[]): Repeat {
  return tubes.reduce((slowest, one) => (one.rateCPerMin < slowest.rateCPerMin ? one : slowest))
}

/** The evidence as if it were one of its tubes, the others standing beside it. */
function byTube(evidence: RangeEvidence, { onsetC, clearC, rateCPerMin }: Repeat): CombinedRepeats {
  return { evidence: { ...evidence, reading: { onsetC, clearC }, rateCPerMin }, share: 1, by: 'one tube' }
}

/**
 * The best measured tubes of several, each alone: those the house’s rate was kept for, or the slowest where it was for
 * none. No further tube makes the verdict better than theirs.
 */
export function bestAlone(evidence: RangeEvidence, rules: HouseWords): readonly CombinedRepeats[] {
  if (evidence.repeats.length === 0) return []
  const tubes = [{ ...evidence.reading, rateCPerMin: evidence.rateCPerMin }, ...evidence.repeats]
  const counted = tubes.filter(({ rateCPerMin }) => rateCPerMin <= rules.meltRate.max)
  return (counted.length > 0 ? counted : [slowestOf(tubes)]).map((tube) => byTube(evidence, tube))
}

/** A straight line looked back to zero carries more error than its points: σ·√(1/n + r̄²/Σ(r − r̄)²). */
function lookedBack(evidence: RangeEvidence, tubes: readonly Repeat[]): CombinedRepeats {
  const { onsetC, clearC } = zeroRateRange(tubes)
  const mean = tubes.reduce((sum, { rateCPerMin }) => sum + rateCPerMin, 0) / tubes.length
  const spread = tubes.reduce((sum, { rateCPerMin }) => sum + (rateCPerMin - mean) ** 2, 0)
  const reading = { onsetC, clearC: Math.max(onsetC, clearC) }
  return {
    evidence: { ...evidence, reading, rateCPerMin: 0, rateMeasured: true, repeats: [] },
    share: Math.sqrt(1 / tubes.length + mean ** 2 / spread),
    by: 'no rate',
  }
}

/** How far apart tubes of one sample lie at either end, °C. */
export function scatterC(tubes: readonly MeltingRange[]): number {
  const spread = (end: 'onsetC' | 'clearC') =>
    Math.max(...tubes.map((tube) => tube[end])) - Math.min(...tubes.map((tube) => tube[end]))
  return Math.max(spread('onsetC'), spread('clearC'))
}
