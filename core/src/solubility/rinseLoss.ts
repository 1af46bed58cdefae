import type { CrystallizationInput, CrystallizationPlan } from './planCrystallization'

/**
 * The most a rinse can take of the crystals: it leaves saturated cold. Nothing where none was planned for.
 *
 * @param input of the plan, for its rinse, mL
 * @param plan its bound for that rinse, g
 * @param rinseML really used
 * @returns g, never more than the crystals
 * @example rinseLossUpToG({ washML: 1 }, { washLossUpToG: 0.0065, productCrystalsG: 1.5 }, 2) // 0.013
 */
export function rinseLossUpToG(
  input: Pick<CrystallizationInput, 'washML'>,
  plan: Pick<CrystallizationPlan, 'washLossUpToG' | 'productCrystalsG'>,
  rinseML: number,
): number {
  if (input.washML <= 0) return 0
  return Math.min(plan.productCrystalsG, (plan.washLossUpToG * rinseML) / input.washML)
}
