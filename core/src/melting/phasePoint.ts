import { lookOfLiquid, type TubeLook } from './look'
import { liquidFractionAbout, type MeltingRange, meltingRange } from './meltingRange'
import type { Fusion } from './liquidus'
import { requireFraction, requireTemperature } from '../problems'
import { eutectic, massFractionFromMoleFraction } from './eutectic'

/** What is at one point of a phase map: one composition at one temperature. */
export interface PhasePoint {
  readonly massFractionA: number
  /** Where this composition begins and ends melting, °C. */
  readonly range: MeltingRange
  /** True where the liquid formed at the eutectic temperature is too little to be seen. */
  readonly beginsUnseen: boolean
  /** Molar. */
  readonly liquidFraction: number
  readonly phases: 'all solid' | 'liquid and solid a' | 'liquid and solid b' | 'all liquid'
  readonly look: TubeLook
}

/** An onset within so much of the eutectic is at it, °C. */
const SEEN_TOGETHER_C = 0.05

/**
 * Reads a phase map: which phases are there, how much is liquid, and where this composition melts.
 *
 * @param moleFractionA 0 to 1
 * @param temperatureC °C
 * @param options visibleLiquidFraction: what the house's mark of the onset stands for, 0.2 (distinct drop) by default
 * @throws ImpossibleInput outside 0 to 1, below absolute zero, or on impossible fusion values
 * @example phasePoint(benzil, benzoin, 0.9, 83.17).liquidFraction // 0.448
 */
export function phasePoint(
  a: Fusion,
  b: Fusion,
  moleFractionA: number,
  temperatureC: number,
  options: { visibleLiquidFraction?: number } = {},
): PhasePoint {
  requireFraction(moleFractionA, 'The mole fraction')
  requireTemperature(temperatureC, 'The temperature')
  const meet = eutectic(a, b)
  const range = meltingRange(a, b, moleFractionA, options)
  const liquidFraction = liquidFractionAbout(meet, a, b, moleFractionA, temperatureC)
  return {
    massFractionA: massFractionFromMoleFraction(moleFractionA, a.molarMassGPerMol, b.molarMassGPerMol),
    range,
    beginsUnseen:
      moleFractionA > 0 && moleFractionA < 1 && range.onsetC > meet.temperatureC + SEEN_TOGETHER_C,
    liquidFraction,
    phases:
      liquidFraction >= 1
        ? 'all liquid'
        : liquidFraction <= 0
          ? 'all solid'
          : moleFractionA > meet.moleFractionA
            ? 'liquid and solid a'
            : 'liquid and solid b',
    look: lookOfLiquid(liquidFraction),
  }
}
