import type { CrystallizationInput, CrystallizationPlan } from './planCrystallization'
import { significant } from '../words'

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

/** Cold solvent for a gram of crystals, mL; a rule of the bench. */
const RINSE_ML_PER_G = 1
/** More than this many times the usual rinse is doubted. */
const RINSE_DOUBTED_FROM = 2.5

/**
 * Rinse to propose: about 1 mL for a gram of crystals, and at tube scale no more than the liquor there is.
 *
 * @param crystalsG expected
 * @param hotML volume of the batch
 * @returns mL, to a tenth, and below 1 mL to a hundredth
 * @example proposedRinseML(1.5, 11) // 1.5
 */
export function proposedRinseML(crystalsG: number, hotML: number): number {
  const wanted = Math.min(RINSE_ML_PER_G * crystalsG, hotML)
  return wanted < 1 ? Math.floor(100 * wanted) / 100 : Math.floor(10 * wanted) / 10
}

/** What is odd about a rinse, in a sentence, or null. */
export function rinseDoubt(rinseML: number, crystalsG: number, hotML: number): string | null {
  if (rinseML <= 0) return null
  const usual = `about ${proposedRinseML(crystalsG, hotML)} mL is usual here, 1 mL for a gram of crystals`
  if (rinseML > 1.001 * hotML) return `The rinse is more than the liquor it rinses off: ${usual}.`
  return rinseML > RINSE_DOUBTED_FROM * RINSE_ML_PER_G * crystalsG
    ? `${rinseML} mL is a large rinse for ${significant(crystalsG, 2)} g of crystals: ${usual}.`
    : null
}
