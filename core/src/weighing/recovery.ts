import type { Quantity } from '../units'
import { ImpossibleInput, requireNumber } from '../problems'

/**
 * Percent recovery: purified over crude. Over 100 % is a result and is not capped.
 *
 * Relative uncertainties add in squares.
 *
 * @param purified net mass in g with its standard uncertainty
 * @param crude likewise
 * @returns per cent, with its standard uncertainty
 * @throws ImpossibleInput when the crude is not above 0 g, or a mass is negative
 * @example percentRecovery({ value: 1.3914, standardUncertainty: 0 }, { value: 1.804, standardUncertainty: 0 }) // 77.13
 */
export function percentRecovery(purified: Quantity, crude: Quantity): Quantity {
  requireNumber(purified.value, 'The purified mass')
  requireNumber(crude.value, 'The crude mass')
  if (crude.value <= 0)
    throw new ImpossibleInput('nothing-weighed', 'The mass of crude is zero, so there is no recovery.')
  if (purified.value < 0) throw new ImpossibleInput('negative-mass', 'The purified mass is below zero.')
  const value = (100 * purified.value) / crude.value
  const standardUncertainty =
    (100 / crude.value) *
    Math.hypot(purified.standardUncertainty, (purified.value / crude.value) * crude.standardUncertainty)
  return { value, standardUncertainty }
}

/**
 * Percent yield of a reaction: what was obtained over what could have been.
 *
 * @param actualG g
 * @param theoreticalG g
 * @returns per cent
 * @throws ImpossibleInput when the theoretical yield is not above 0
 * @example percentYield(1.39, 1.78) // 78.09
 */
export function percentYield(actualG: number, theoreticalG: number): number {
  requireNumber(actualG, 'The mass obtained')
  requireNumber(theoreticalG, 'The theoretical yield')
  if (theoreticalG <= 0)
    throw new ImpossibleInput('nothing-weighed', 'The theoretical yield is not above zero.')
  return (100 * actualG) / theoreticalG
}

/**
 * Mass of product when all of the limiting reagent turns into it.
 *
 * @param input masses in g, molar masses in g/mol, product molecules per molecule of the limiting reagent
 * @returns g
 * @throws ImpossibleInput on a molar mass or ratio not above 0, or a negative mass
 * @example theoreticalYieldG({ limitingG: 2.0, limitingMolarMass: 212.24, productMolarMass: 210.23, productPerLimiting: 1 }) // 1.981
 */
export function theoreticalYieldG(input: {
  limitingG: number
  limitingMolarMass: number
  productMolarMass: number
  productPerLimiting: number
}): number {
  requireNumber(input.limitingG, 'The limiting reagent')
  if (input.limitingG < 0)
    throw new ImpossibleInput('negative-mass', 'The mass of the limiting reagent is below zero.')
  if (!(input.limitingMolarMass > 0 && input.productMolarMass > 0 && input.productPerLimiting > 0))
    throw new ImpossibleInput('bad-molar-mass', 'Molar masses and the ratio of molecules must be above zero.')
  return (input.limitingG / input.limitingMolarMass) * input.productPerLimiting * input.productMolarMass
}

/**
 * How much of the crude is accounted for.
 *
 * @param input g
 * @returns per cent accounted for, and the mass missing in g (below 0 when more was found than put in)
 * @throws ImpossibleInput when the crude is not above 0 g
 * @example massClosure({ crudeG: 2, accountedG: [1.5, 0.4] }) // { percent: 95, missingG: 0.1 }
 */
export function massClosure(input: { crudeG: number; accountedG: readonly number[] }): {
  percent: number
  missingG: number
} {
  requireNumber(input.crudeG, 'The crude mass')
  if (input.crudeG <= 0) throw new ImpossibleInput('nothing-weighed', 'The mass of crude is zero.')
  const found = input.accountedG.reduce((sum, g) => sum + g, 0)
  requireNumber(found, 'The accounted mass')
  return { percent: (100 * found) / input.crudeG, missingG: input.crudeG - found }
}
