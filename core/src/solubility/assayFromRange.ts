import type { AssayFromRange, Fusion, MeltingRange, Packing } from '../contract'
import { meltMin, observedRange, requireRange } from '../heating/observedRange'
import { compositionsFromClearPoint, eutectic, massFractionFromMoleFraction } from '../melting/eutectic'
import { meltingRange } from '../melting/meltingRange'

/** Typical net lag of a fine powder behind a metal probe, min; as the judging of ranges takes it. */
const NET_LAG_MIN = 0.2
/** Half of the 3 °C within which simple aromatic pairs follow the ideal relation. */
const MODEL_C = 1.5
/** An onset further than this from the one predicted is remarked on, °C. */
const ONSET_FITS_WITHIN_C = 4

/**
 * Product fraction of a crude from its melting range, when product and impurity are known: the clear point,
 * less what heating rate and fill add, read off the liquidus on the product's side of the eutectic.
 *
 * The interval takes the reading error doubled and half the misfit of the ideal relation, added in squares.
 *
 * @param crude °C, as read
 * @param reading rate °C/min, packing, standard error of one reading °C
 * @returns mass fractions; null when the clear point lies below the eutectic, where the relation has no answer
 * @throws ImpossibleInput on an inverted range
 */
export function assayFromRange(
  product: Fusion,
  impurity: Fusion,
  crude: MeltingRange,
  reading: { readonly rateCPerMin: number; readonly packing: Packing; readonly readingErrorC: number },
): AssayFromRange | null {
  requireRange(crude)
  const shift = observedRange(
    { onsetC: 0, clearC: 0 },
    {
      rateCPerMin: reading.rateCPerMin,
      sampleLagMin: NET_LAG_MIN,
      probeLagMin: 0,
      meltMin: meltMin(reading.packing),
    },
  )
  const clearC = crude.clearC - shift.clearC
  const point = eutectic(product, impurity)
  const assayAt = (c: number): number | null => {
    if (c >= product.meltingPointC) return 1
    const found = compositionsFromClearPoint(product, impurity, c).find(({ excess }) => excess !== 'b')
    return found
      ? massFractionFromMoleFraction(found.moleFractionA, product.molarMassGPerMol, impurity.molarMassGPerMol)
      : null
  }
  const assay = assayAt(clearC)
  if (assay === null) return null
  const spreadC = Math.hypot(2 * reading.readingErrorC, MODEL_C)
  const eutecticMass = massFractionFromMoleFraction(
    point.moleFractionA,
    product.molarMassGPerMol,
    impurity.molarMassGPerMol,
  )
  return {
    assay,
    low: assayAt(clearC - spreadC) ?? eutecticMass,
    high: assayAt(clearC + spreadC) ?? assay,
    sentence: `The crude was all liquid at ${crude.clearC.toFixed(1)} °C; less ${shift.clearC.toFixed(1)} °C for rate and fill, that is ${clearC.toFixed(1)} °C on the liquidus.`,
    doubt: onsetDoubt(product, impurity, assay, crude.onsetC - shift.onsetC),
  }
}

function onsetDoubt(product: Fusion, impurity: Fusion, assay: number, onsetC: number): string | null {
  const moles = assay / product.molarMassGPerMol
  const others = (1 - assay) / impurity.molarMassGPerMol
  const predicted = meltingRange(product, impurity, moles / (moles + others)).onsetC
  if (Math.abs(predicted - onsetC) <= ONSET_FITS_WITHIN_C) return null
  return `Its onset does not fit: about ${predicted.toFixed(0)} °C would be expected, ${onsetC.toFixed(0)} °C was seen. There may be another impurity, or the beginning was missed.`
}
