import type { HouseWords, RangeEvidence } from './evidence'
import type { Measured } from './judgement'
import { usesAuthentic } from './decideVerdict'

/** A reading held against the authentic sample of its run, or against the literature. */
export function measure(evidence: RangeEvidence, rules: HouseWords): Measured {
  const { reading, authentic, literature } = evidence
  const widthC = reading.clearC - reading.onsetC
  if (authentic && usesAuthentic(evidence, rules))
    return {
      range: reading,
      widthC,
      against: { what: 'authentic', lowC: authentic.onsetC, highC: authentic.clearC },
      distanceC: {
        onset: reading.onsetC - authentic.onsetC,
        clear: reading.clearC - authentic.clearC,
      },
    }
  if (!literature) return { range: reading, widthC, against: null, distanceC: null }
  const outside = (endC: number) => Math.min(0, endC - literature.lowC) + Math.max(0, endC - literature.highC)
  return {
    range: reading,
    widthC,
    against: { what: 'literature', ...literature },
    distanceC: { onset: outside(reading.onsetC), clear: outside(reading.clearC) },
  }
}

/** The end that lies further from what it is held against: the one that is spoken of. */
export function furthestEnd({ onset, clear }: NonNullable<Measured['distanceC']>): 'onset' | 'clear' {
  return Math.abs(onset) >= Math.abs(clear) ? 'onset' : 'clear'
}
