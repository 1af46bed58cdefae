import type { PrepFacts } from './prep'
import { recoveryOf, solventSoFarML } from './prep'

/** Why the recovery is under 100 %, from this prep's own numbers, in sentences. */
export function lossesOf(prep: PrepFacts): readonly string[] {
  const recovery = recoveryOf(prep)
  const plan = prep.plan?.body
  if (!recovery.ok || !plan) return []
  const { crude, product } = recovery.value
  const { result, input } = plan
  const lostG = crude.value - product.value
  if (lostG <= 0) return recovery.value.remarks
  const impurityG = crude.value * (1 - input.assay)
  const { rinseML } = solventSoFarML(prep)
  const rinseG = input.washML > 0 ? (result.washLossUpToG * rinseML) / input.washML : 0
  const restG = lostG - (impurityG - result.impurityInCrystalsG) - result.productInLiquorG - rinseG
  return [
    `${lostG.toFixed(3)} g of the crude is not in the crystals.`,
    `About ${(impurityG - result.impurityInCrystalsG).toFixed(2)} g of it was impurity, left in the liquor on purpose (estimated from ${(100 * input.assay).toFixed(0)} % ${plan.compound.name}).`,
    `About ${result.productInLiquorG.toFixed(2)} g of ${plan.compound.name} stays dissolved in ${result.hotML.toFixed(1)} mL of cold ${plan.solvent.name}; the rinse of ${rinseML.toFixed(1)} mL took at most ${rinseG.toFixed(3)} g.`,
    restG > 0
      ? `The other ${restG.toFixed(2)} g went in transfers, on glass and paper, or the liquor was warmer than planned.`
      : 'That accounts for all of it within the estimates.',
  ]
}
