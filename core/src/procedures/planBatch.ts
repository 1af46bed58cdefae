import {
  type CrystallizationInput,
  type CrystallizationPlan,
  planCrystallization,
} from '../solubility/planCrystallization'
import type { Procedure } from './procedure'

/**
 * The plan of a batch by the way it is collected: evaporated on a glass, nothing stays in a liquor, and
 * everything that dissolved, impurity too, stays with the solid.
 *
 * @throws ImpossibleInput as `planCrystallization`
 */
export function planBatch(collect: Procedure['collect'], input: CrystallizationInput): CrystallizationPlan {
  const plan = planCrystallization(input)
  if (collect !== 'watch glass') return plan
  const productG = input.assay * input.crudeG
  const impurityG = input.crudeG - productG - plan.gritG
  const crystalMassG = productG + impurityG
  return {
    ...plan,
    productInLiquorG: 0,
    productCrystalsG: productG,
    impurityInCrystalsG: impurityG,
    crystalMassG,
    crystalMassFraction: productG / crystalMassG,
    recoveryPercentOfCrude: (100 * crystalMassG) / input.crudeG,
    recoveryPercentOfProduct: 100,
    washLossUpToG: 0,
    impurityAssumedDissolved: false,
  }
}
