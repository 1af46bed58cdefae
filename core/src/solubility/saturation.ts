import { bisect } from '../math/bisect'
import { solubilityAt, type SolubilityPoint } from './solubilityAt'
import { type CrystallizationInput, planCrystallization } from './planCrystallization'
import { ImpossibleInput } from '../problems'

const COLDEST_C = -150
const HOTTEST_C = 400

/**
 * Temperature at which a solution of this concentration is just saturated: below it, it can deposit.
 *
 * @param points [°C, g per 100 mL], rising with temperature
 * @param gPer100ML concentration
 * @param fusionEnthalpyKJPerMol needed with a single point only
 * @returns °C, between −150 and 400
 * @throws ImpossibleInput when the curve does not rise, or the concentration is not above zero
 * @example saturationC([[20, 1.9], [50, 8.7], [78, 46]], 14.76) // 58.5
 */
export function saturationC(
  points: readonly SolubilityPoint[],
  gPer100ML: number,
  fusionEnthalpyKJPerMol?: number,
): number {
  if (!(gPer100ML > 0 && Number.isFinite(gPer100ML)))
    throw new ImpossibleInput('bad-solubility', `A concentration of ${gPer100ML} g per 100 mL cannot be.`)
  const at = (c: number) => solubilityAt(points, c, fusionEnthalpyKJPerMol).gPer100ML
  if (at(COLDEST_C) >= at(HOTTEST_C))
    throw new ImpossibleInput(
      'bad-solubility',
      'This solubility does not rise with temperature, so cooling gives no crystals.',
    )
  if (gPer100ML <= at(COLDEST_C)) return COLDEST_C
  if (gPer100ML >= at(HOTTEST_C)) return HOTTEST_C
  return bisect((c) => at(c) >= gPer100ML, COLDEST_C, HOTTEST_C)
}

/**
 * Share of the product that has crystallized once the solution has come to this temperature and to equilibrium.
 *
 * 1 − min(1, S(T)·V/(100·m))
 *
 * @param input the plan's, its excess giving the volume
 * @param temperatureC °C
 * @returns 0 to 1 of the product in the crude
 * @example crystallizedFraction(input, 20) // 0.95
 */
export function crystallizedFraction(input: CrystallizationInput, temperatureC: number): number {
  const { hotML } = planCrystallization(input)
  const productG = input.assay * input.crudeG
  const dissolvedG =
    (solubilityAt(input.product, temperatureC, input.productFusionKJPerMol).gPer100ML * hotML) / 100
  return 1 - Math.min(1, dissolvedG / productG)
}

/** Temperature at which the hot solution of this plan begins to deposit, °C. */
export function depositsFromC(input: CrystallizationInput): number {
  const { hotML } = planCrystallization(input)
  return saturationC(input.product, (100 * input.assay * input.crudeG) / hotML, input.productFusionKJPerMol)
}
