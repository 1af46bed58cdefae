import { attempt } from '../../problems'
import { liquorOf } from '../../solubility/cycles'
import { planCrystallization } from '../../solubility/planCrystallization'
import { rinseLossUpToG } from '../../solubility/rinseLoss'
import { withVolumeML } from '../../solubility/volume'
import { type PrepFacts, solventSoFarML } from './prep'

/** Where a plan takes the crude to be in the end, g. */
export interface Predicted {
  /** What the rinse is thought to take is off it, so that the parts come to the crude. */
  readonly crystalsG: number
  readonly productInLiquorG: number
  readonly impurityInLiquorG: number
  readonly rinseG: number
  readonly gritG: number
  /** In words: the volume it was worked out for. */
  readonly volume: string
}

/** The plan worked out again for the solvent that was really used. */
export function predictedOf(prep: PrepFacts): Predicted | null {
  const plan = prep.plan?.body
  if (!plan) return null
  const { hotML, rinseML } = solventSoFarML(prep)
  const asUsed = hotML > 0 && plan.procedure.collect !== 'watch glass'
  const again = attempt(() => {
    const input = withVolumeML(plan.input, Math.max(hotML, plan.result.minimumHotML))
    return { input, result: planCrystallization(input) }
  })
  const { input, result } = asUsed && again.ok ? again.value : { input: plan.input, result: plan.result }
  const liquor = liquorOf(input, result)
  const rinseG = Math.min(rinseLossUpToG(plan.input, result, rinseML), result.crystalMassG)
  return {
    crystalsG: result.crystalMassG - rinseG,
    productInLiquorG: result.productInLiquorG,
    impurityInLiquorG: liquor.crudeG - result.productInLiquorG,
    rinseG,
    gritG: result.gritG,
    volume: `${result.hotML.toFixed(1)} mL`,
  }
}
