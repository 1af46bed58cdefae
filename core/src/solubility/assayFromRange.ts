import type { MeltingRange } from '../melting/meltingRange'
import type { Fusion } from '../melting/liquidus'
import { type Heated, heatingShare, withoutHeating } from '../heating/heatingShare'
import { compositionFromRange } from '../heating/compositionFromRange'
import { massFractionFromMoleFraction } from '../melting/eutectic'

/** The product fraction a crude's melting range speaks for. */
export interface AssayFromRange {
  /** By mass. */
  readonly assay: number
  readonly low: number
  readonly high: number
  readonly sentence: string
  /** What does not fit, or null. */
  readonly doubt: string | null
}

/**
 * Product fraction of a crude from its melting range, when product and impurity are known: the composition its
 * clear point speaks for (`compositionFromRange`), by mass.
 *
 * @param crude °C, corrected where a calibration is at hand
 * @param reading how it was heated and packed, standard error of one reading °C, and what the mark of the
 *   onset stands for (0.2, a distinct drop, by default)
 * @returns mass fractions; null when the clear point lies below the eutectic, where the relation has no answer
 * @throws ImpossibleInput on an inverted range
 */
export function assayFromRange(
  product: Fusion,
  impurity: Fusion,
  crude: MeltingRange,
  reading: Heated & { readonly readingErrorC: number; readonly visibleLiquidFraction?: number },
): AssayFromRange | null {
  const slow = withoutHeating(crude, heatingShare(reading))
  const found = compositionFromRange(product, impurity, slow, reading.readingErrorC, {
    ...reading,
    isUnchecked: reading.calibration === 'none',
  })
  if (!found) return null
  const byMass = (moleFraction: number) =>
    massFractionFromMoleFraction(moleFraction, product.molarMassGPerMol, impurity.molarMassGPerMol)
  return {
    assay: byMass(found.moleFractionA),
    low: byMass(found.low),
    high: byMass(found.high),
    sentence: `The crude was all liquid at ${crude.clearC.toFixed(1)} °C; less ${(crude.clearC - slow.clearC).toFixed(1)} °C for rate and fill, that is ${slow.clearC.toFixed(1)} °C on the liquidus.`,
    doubt: found.doubt,
  }
}
