import {
  type CrystallizationInput,
  type CrystallizationPlan,
  planCrystallization,
} from './planCrystallization'
import { ImpossibleInput, requireFraction } from '../problems'
import { solubilityAt } from './solubilityAt'
import { withVolumeML } from './volume'
import { significant } from '../words'

export interface CycleStep {
  readonly input: CrystallizationInput
  readonly plan: CrystallizationPlan
  /** Product still in hand after this cycle, of the product in the first crude. */
  readonly productLeftPercent: number
}

const CYCLES_MOST = 20

/**
 * The same crystallization again and again: the crystals of one are the crude of the next, with the same
 * relative excess of solvent. Rinses and transfers come on top.
 *
 * @param n how many, 1 to 20; fewer come back when nothing is left to crystallize
 * @throws ImpossibleInput unless n is a whole number from 1 to 20
 * @example crystallizationCycles(input, 2).map((cycle) => cycle.plan.crystalMassFraction) // [0.934, 0.961]
 */
export function crystallizationCycles(input: CrystallizationInput, n: number): readonly CycleStep[] {
  if (!Number.isInteger(n) || n < 1 || n > CYCLES_MOST)
    throw new ImpossibleInput('bad-count', `From 1 to ${CYCLES_MOST} crystallizations can be planned.`)
  const steps: CycleStep[] = []
  let crude = input
  for (let i = 0; i < n; i++) {
    const plan = planCrystallization(crude)
    if (plan.productCrystalsG <= 0) break
    steps.push({
      input: crude,
      plan,
      productLeftPercent: (100 * plan.productCrystalsG) / (input.assay * input.crudeG),
    })
    crude = { ...crude, crudeG: plan.crystalMassG, assay: Math.min(1, plan.crystalMassFraction) }
  }
  return steps
}

/**
 * How many crystallizations it takes to reach a purity, and so what they cost.
 *
 * @param purity mass fraction, 0 to 1
 * @returns the number, or the best purity of up to 20
 * @example cyclesToReach(input, 0.99) // { cycles: 4 }
 */
export function cyclesToReach(
  input: CrystallizationInput,
  purity: number,
): { cycles: number } | { none: true; best: number } {
  requireFraction(purity, 'The purity')
  const fractions = crystallizationCycles(input, CYCLES_MOST).map(({ plan }) => plan.crystalMassFraction)
  const at = fractions.findIndex((fraction) => fraction >= purity)
  return at >= 0 ? { cycles: at + 1 } : { none: true, best: Math.max(input.assay, ...fractions) }
}

/**
 * A second crop from the mother liquor of a crystallization: evaporated to a smaller volume and cooled again.
 * What it is planned from (`crudeG`, `assay` of the answer's own bookkeeping) is what stayed in the liquor.
 *
 * @param input the first crystallization
 * @param evaporateToML volume to evaporate the liquor to
 * @throws ImpossibleInput at a volume not below the first one, too small to hold the product hot, or with
 *   nothing in the liquor
 * @example secondCrop(input, 2).productCrystalsG
 */
export function secondCrop(input: CrystallizationInput, evaporateToML: number): CrystallizationPlan {
  const first = planCrystallization(input)
  if (first.productInLiquorG <= 0)
    throw new ImpossibleInput('no-crystals', 'Nothing of the product is predicted to be in the liquor.')
  if (!(evaporateToML > 0 && evaporateToML < first.hotML))
    throw new ImpossibleInput(
      'bad-volume',
      `A second crop needs less than the ${significant(first.hotML, 3)} mL of liquor there is.`,
    )
  return planCrystallization(withVolumeML(liquorOf(input, first), evaporateToML))
}

/** The mother liquor as a solution to crystallize from. */
export function liquorOf(input: CrystallizationInput, plan: CrystallizationPlan): CrystallizationInput {
  const impurityG = input.crudeG * (1 - input.assay) - plan.gritG - plan.impurityInCrystalsG
  const crudeG = plan.productInLiquorG + Math.max(0, impurityG)
  return { ...input, crudeG, assay: crudeG > 0 ? plan.productInLiquorG / crudeG : 1, excess: 0 }
}

/** Volume to propose for a second crop: a fifth of the liquor, or what still holds the product hot. */
export function proposedSecondCropML(input: CrystallizationInput): number {
  const first = planCrystallization(input)
  const hot = solubilityAt(input.product, input.hotC, input.productFusionKJPerMol).gPer100ML
  return Math.min(first.hotML * 0.95, Math.max(first.hotML / 5, (110 * first.productInLiquorG) / hot))
}
