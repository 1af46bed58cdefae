import { attempt } from '../../problems'
import type { Fusion } from '../../melting/liquidus'
import { fusionOf } from '../../substances/fusionOf'
import { assayFromRange } from '../../solubility/assayFromRange'
import { spreadOf } from '../../weighing/sums'
import type { Quantity } from '../../units'
import type { View } from '../fold'
import type { Predicted } from './accountPredicted'
import type { PrepFacts } from './prep'
import { heatedOf, judgedRange, latestRange, rangesOf } from './ranges'

/** What the residue is taken to hold; never more of anything than the crude had. */
export interface ResidueSplit {
  readonly productG: number
  readonly impurityG: number
  readonly basis: string
  /** What the bounds changed, or that the residue holds more than the crude could leave; null when neither. */
  readonly remark: string | null
}
/** An estimate of parts of a larger residue is no surer than this. */
const BY_HUNDREDTHS_FROM_G = 0.1

/** Both parts as they are said, g: to the digits an estimate is worth, and so that they come to the residue. */
export function splitInText(split: Pick<ResidueSplit, 'productG' | 'impurityG'>): {
  readonly product: string
  readonly impurity: string
} {
  const residueG = split.productG + split.impurityG
  const decimals = residueG < BY_HUNDREDTHS_FROM_G ? 3 : 2
  const impurity = split.impurityG.toFixed(decimals)
  return { impurity, product: (Number(residueG.toFixed(decimals)) - Number(impurity)).toFixed(decimals) }
}

/**
 * What dried out of the liquor is impurity and the product that stayed dissolved, never impurity alone, and never more
 * impurity than the crude held, nor more product than is missing from the crops.
 */
export function splitOf(
  view: View,
  prep: PrepFacts,
  residue: Quantity,
  predicted: Predicted | null,
  crude: Quantity,
  crops: Quantity,
): ResidueSplit | null {
  const residueG = residue.value
  const fraction = residueFraction(view, prep)
  if (fraction === null && !predicted) return null
  const wanted =
    fraction !== null
      ? residueG * (1 - fraction)
      : residueG - Math.min(residueG, (predicted?.productInLiquorG ?? 0) + (predicted?.rinseG ?? 0))
  const plan = prep.plan?.body
  const assay = plan?.input.assay ?? null
  const impurityMostG = assay === null ? Infinity : crude.value * (1 - assay)
  const impurityG = Math.min(wanted, impurityMostG)
  const productG = residueG - impurityG
  const missingG = crude.value - crops.value
  return {
    productG,
    impurityG,
    basis:
      fraction !== null
        ? 'from the melting range of the residue'
        : `predicted: what ${predicted?.volume ?? ''} of cold solvent and the rinse hold`,
    remark:
      residueG > missingG + 2 * spreadOf([residue, crude, crops])
        ? `It weighs ${(residueG - missingG).toFixed(3)} g more than is missing from the crystals. It still holds solvent, or something that was not in the crude.`
        : wanted > impurityMostG && assay !== null
          ? `No more impurity than the ${impurityMostG.toFixed(3)} g that a crude of ${(100 * assay).toFixed(0)} % ${prep.opened.body.compound.name} holds. The rest of the residue is product, or the crude was less pure than that.`
          : null,
  }
}

function residueFraction(view: View, prep: PrepFacts): number | null {
  const range = latestRange(rangesOf(view, prep.id), 'residue')
  const impurity = prep.plan?.body.impurity
  if (!range || !impurity) return null
  const fusions: readonly [Fusion, Fusion] = [fusionOf(prep.opened.body.compound), fusionOf(impurity)]
  const assay = attempt(() =>
    assayFromRange(...fusions, judgedRange(range), {
      ...heatedOf(range),
      readingErrorC: range.conventions.readingErrorC,
    }),
  )
  return assay.ok && assay.value ? assay.value.assay : null
}
