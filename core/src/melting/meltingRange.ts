import { type Fusion, liquidusC, solubilityInMelt } from './liquidus'
import { type Eutectic, eutectic } from './eutectic'
import { requireFraction, requireTemperature } from '../problems'

export interface MeltingRange {
  readonly onsetC: number
  readonly clearC: number
}

/**
 * Molar liquid fraction of a mixture at equilibrium.
 *
 * 0 below the eutectic temperature; at and above it the component not in excess of the eutectic composition
 * is all liquid and φ = (1 − x)/(1 − x_sat(T)) for the one in excess; 1 above the liquidus. A mixture exactly
 * eutectic, and a pure substance, go from 0 to 1 at one temperature.
 *
 * @param moleFractionA 0 to 1
 * @param temperatureC °C
 * @throws ImpossibleInput outside 0 to 1 or below absolute zero
 * @example liquidFraction(benzil, benzoin, 0.9, 83.17) // 0.448
 */
export function liquidFraction(a: Fusion, b: Fusion, moleFractionA: number, temperatureC: number): number {
  requireFraction(moleFractionA, 'The mole fraction')
  requireTemperature(temperatureC, 'The temperature')
  return liquidFractionAbout(eutectic(a, b), a, b, moleFractionA, temperatureC)
}

/** The same with the eutectic at hand, for inner loops. */
export function liquidFractionAbout(
  point: Eutectic,
  a: Fusion,
  b: Fusion,
  moleFractionA: number,
  temperatureC: number,
): number {
  if (moleFractionA === 1) return temperatureC >= a.meltingPointC ? 1 : 0
  if (moleFractionA === 0) return temperatureC >= b.meltingPointC ? 1 : 0
  if (temperatureC < point.temperatureC) return 0
  if (moleFractionA === point.moleFractionA) return 1
  const excess = moleFractionA > point.moleFractionA ? a : b
  const x = moleFractionA > point.moleFractionA ? moleFractionA : 1 - moleFractionA
  const saturated = solubilityInMelt(excess, temperatureC)
  return saturated >= x ? 1 : (1 - x) / (1 - saturated)
}

/**
 * Melting range of a mixture as an eye sees it on infinitely slow heating: clear at the liquidus; onset at
 * the eutectic temperature if the liquid formed there is visible, else where the liquid fraction reaches the
 * visible one.
 *
 * φ(T) = (1 − x)/(1 − x_sat) = v solves to x_sat = 1 − (1 − x)/v, whose liquidus is the onset.
 *
 * @param moleFractionA 0 to 1
 * @param options visibleLiquidFraction: 0.2 for a distinct drop (default), 0.1 for first wetness
 * @returns °C
 * @throws ImpossibleInput outside 0 to 1
 * @example meltingRange(benzil, benzoin, 0.98) // { onsetC: 89.92, clearC: 93.93 }
 */
export function meltingRange(
  a: Fusion,
  b: Fusion,
  moleFractionA: number,
  options: { visibleLiquidFraction?: number } = {},
): MeltingRange {
  requireFraction(moleFractionA, 'The mole fraction')
  const visible = options.visibleLiquidFraction ?? 0.2
  requireFraction(visible, 'The visible liquid fraction')
  if (moleFractionA === 1) return { onsetC: a.meltingPointC, clearC: a.meltingPointC }
  if (moleFractionA === 0) return { onsetC: b.meltingPointC, clearC: b.meltingPointC }
  const point = eutectic(a, b)
  const excess = moleFractionA >= point.moleFractionA ? a : b
  const x = moleFractionA >= point.moleFractionA ? moleFractionA : 1 - moleFractionA
  const clearC = Math.max(point.temperatureC, liquidusC(excess, x))
  const saturatedWhenVisible = 1 - (1 - x) / visible
  const onsetC =
    saturatedWhenVisible <= 0
      ? point.temperatureC
      : Math.max(point.temperatureC, liquidusC(excess, saturatedWhenVisible))
  return { onsetC, clearC }
}

/** Liquid fraction taken as visible under each rule for what counts as the start. */
export const VISIBLE_LIQUID_FRACTION = { 'first wetness': 0.1, 'distinct drop': 0.2 } as const

/** The fraction that these house rules take as visible, as an option of what works with onsets. */
export function visibleUnder({ onsetRule }: { readonly onsetRule: keyof typeof VISIBLE_LIQUID_FRACTION }): {
  readonly visibleLiquidFraction: number
} {
  return { visibleLiquidFraction: VISIBLE_LIQUID_FRACTION[onsetRule] }
}
