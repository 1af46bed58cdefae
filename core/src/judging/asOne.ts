import { zeroRateRange } from '../heating/observedRange'
import { tenths } from '../math/tenths'
import type { MeltingRange } from '../melting/meltingRange'
import type { HouseWords, RangeEvidence, Repeat } from './evidence'

/** The fastest of several rates is so much faster than the slowest, or they count as one. */
const TWO_RATES = 1.6

/** The evidence as one reading, with the share of one mark’s error that it carries. */
interface AsOne {
  readonly evidence: RangeEvidence
  readonly share: number
}

/**
 * Heated at several rates, a range is looked back to no rate at all, and heating owns nothing more. Tubes heated
 * alike that agree count as one better reading; beside an authentic sample the tube of that run stands.
 */
export function asOne(evidence: RangeEvidence, rules: HouseWords): AsOne {
  const tubes = [{ ...evidence.reading, rateCPerMin: evidence.rateCPerMin }, ...evidence.repeats]
  const isTwoRates = (p: Repeat, q: Repeat) =>
    Math.max(p.rateCPerMin, q.rateCPerMin) >= TWO_RATES * Math.min(p.rateCPerMin, q.rateCPerMin)
  const scatters = tubes.some((p, i) =>
    tubes.slice(i).some((q) => !isTwoRates(p, q) && tenths(scatterC([p, q])) > rules.repeatWithinC),
  )
  if (scatters) return { evidence, share: 1 }
  if (tubes.some((p) => tubes.some((q) => isTwoRates(p, q)))) return lookedBack(evidence, tubes)
  if (evidence.authentic) return { evidence, share: 1 }
  const mean = (end: 'onsetC' | 'clearC') => tubes.reduce((sum, tube) => sum + tube[end], 0) / tubes.length
  const reading = { onsetC: mean('onsetC'), clearC: mean('clearC') }
  return { evidence: { ...evidence, reading }, share: 1 / Math.sqrt(tubes.length) }
}

/** A straight line looked back to zero carries more error than its points: σ·√(1/n + r̄²/Σ(r − r̄)²). */
function lookedBack(evidence: RangeEvidence, tubes: readonly Repeat[]): AsOne {
  const { onsetC, clearC } = zeroRateRange(tubes)
  const mean = tubes.reduce((sum, { rateCPerMin }) => sum + rateCPerMin, 0) / tubes.length
  const spread = tubes.reduce((sum, { rateCPerMin }) => sum + (rateCPerMin - mean) ** 2, 0)
  const reading = { onsetC, clearC: Math.max(onsetC, clearC) }
  return {
    evidence: { ...evidence, reading, rateCPerMin: 0, rateMeasured: true, repeats: [] },
    share: Math.sqrt(1 / tubes.length + mean ** 2 / spread),
  }
}

/** How far apart tubes of one sample lie at either end, °C. */
export function scatterC(tubes: readonly MeltingRange[]): number {
  const spread = (end: 'onsetC' | 'clearC') =>
    Math.max(...tubes.map((tube) => tube[end])) - Math.min(...tubes.map((tube) => tube[end]))
  return Math.max(spread('onsetC'), spread('clearC'))
}
