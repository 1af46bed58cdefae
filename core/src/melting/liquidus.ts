import { ImpossibleInput, requireFraction, requireNumber, requireTemperature } from '../problems'
import { celsius, GAS_CONSTANT, kelvin } from './kelvin'

export interface Fusion {
  readonly meltingPointC: number
  readonly enthalpyKJPerMol: number
  readonly molarMassGPerMol: number
}

export function requireFusion(fusion: Fusion): void {
  requireTemperature(fusion.meltingPointC, 'The melting point')
  requireNumber(fusion.enthalpyKJPerMol, 'The fusion enthalpy')
  if (fusion.enthalpyKJPerMol <= 0)
    throw new ImpossibleInput(
      'bad-enthalpy',
      `A fusion enthalpy of ${fusion.enthalpyKJPerMol} kJ/mol is impossible.`,
    )
}

/**
 * Mole fraction of a substance in an ideal liquid saturated with its pure solid (Schröder–van Laar, no ΔCp term).
 *
 * x = min(1, exp(−ΔH/R·(1/T − 1/Tm)))
 *
 * @param fusion melting point °C, fusion enthalpy kJ/mol
 * @param temperatureC °C
 * @throws ImpossibleInput below absolute zero or without a positive enthalpy
 * @example idealSolubility({ meltingPointC: 94.9, enthalpyKJPerMol: 23.5, molarMassGPerMol: 210.23 }, 89.9187) // 0.9
 */
export function idealSolubility(fusion: Fusion, temperatureC: number): number {
  requireFusion(fusion)
  requireTemperature(temperatureC, 'The temperature')
  return solubilityInMelt(fusion, temperatureC)
}

/** The same without checks at the door, for inner loops. */
export function solubilityInMelt(fusion: Fusion, temperatureC: number): number {
  const perKelvin = (1000 * fusion.enthalpyKJPerMol) / GAS_CONSTANT
  return Math.min(1, Math.exp(-perKelvin * (1 / kelvin(temperatureC) - 1 / kelvin(fusion.meltingPointC))))
}

/**
 * Temperature at which a pure solid is in equilibrium with an ideal liquid holding it at the given mole
 * fraction (Schröder–van Laar, no ΔCp term).
 *
 * 1/T = 1/Tm − R·ln(x)/ΔH
 *
 * @param fusion melting point °C, fusion enthalpy kJ/mol
 * @param moleFraction of this component in the liquid, 0 < x ≤ 1
 * @returns °C; equals the melting point at x = 1
 * @throws ImpossibleInput outside 0 < x ≤ 1
 * @example liquidusC({ meltingPointC: 94.9, enthalpyKJPerMol: 23.5, molarMassGPerMol: 210.23 }, 0.9) // 89.92
 */
export function liquidusC(fusion: Fusion, moleFraction: number): number {
  requireFusion(fusion)
  requireFraction(moleFraction, 'The mole fraction')
  if (moleFraction === 0)
    throw new ImpossibleInput(
      'fraction-out-of-range',
      'At mole fraction 0 there is no solid that could melt.',
    )
  const inverse =
    1 / kelvin(fusion.meltingPointC) -
    (GAS_CONSTANT * Math.log(moleFraction)) / (1000 * fusion.enthalpyKJPerMol)
  return celsius(1 / inverse)
}

/**
 * Impurity that would lower the clear point of this substance to the one given, in an ideal liquid:
 * 1 − idealSolubility. The part of the reading due to heating rate and fill must be taken off first.
 *
 * @param clearC °C
 * @returns mole fraction of impurity, 0 at or above the melting point
 * @example impurityFromClearPoint({ meltingPointC: 94.9, enthalpyKJPerMol: 23.5, molarMassGPerMol: 210.23 }, 93.9) // 0.0207
 */
export function impurityFromClearPoint(fusion: Fusion, clearC: number): number {
  return 1 - idealSolubility(fusion, clearC)
}

/**
 * Walden's rule for rigid molecules without data: fusion entropy near 56.5 J mol⁻¹ K⁻¹. Results built on it
 * are estimates and say so.
 *
 * @returns kJ/mol
 * @throws ImpossibleInput below absolute zero
 * @example waldenFusionEnthalpy(95) // 20.80
 */
export function waldenFusionEnthalpy(meltingPointC: number): number {
  requireTemperature(meltingPointC, 'The melting point')
  return 0.0565 * kelvin(meltingPointC)
}
