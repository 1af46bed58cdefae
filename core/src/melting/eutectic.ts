import { type Fusion, liquidusC, requireFusion, solubilityInMelt } from './liquidus'
import { bisect } from '../math/bisect'
import { ImpossibleInput, requireFraction, requireTemperature } from '../problems'

export interface Eutectic {
  readonly temperatureC: number
  readonly moleFractionA: number
}
export interface CompositionAtClear {
  readonly moleFractionA: number
  /** Which component is in excess of the eutectic composition. */
  readonly excess: 'a' | 'b' | 'neither'
}
export interface PhaseDiagram {
  readonly branchA: readonly (readonly [moleFractionA: number, temperatureC: number])[]
  readonly branchB: readonly (readonly [moleFractionA: number, temperatureC: number])[]
  readonly eutectic: Eutectic
}

/**
 * Eutectic of two substances that are pure as solids and ideal as liquids: where their two solubilities sum
 * to 1. Bracketed by bisection to 1e-9 °C. Simple aromatic pairs are met within about 3 °C.
 *
 * @returns °C and the mole fraction of a in the eutectic liquid
 * @throws ImpossibleInput on an impossible melting point or enthalpy
 * @example eutectic(benzil, benzoin) // { temperatureC: 82.67, moleFractionA: 0.768 }
 */
export function eutectic(a: Fusion, b: Fusion): Eutectic {
  requireFusion(a)
  requireFusion(b)
  const excess = (t: number) => solubilityInMelt(a, t) + solubilityInMelt(b, t) - 1
  const high = Math.min(a.meltingPointC, b.meltingPointC)
  let low = high - 1
  while (excess(low) > 0) low -= (high - low) * 1.5
  const temperatureC = bisect((t) => excess(t) > 0, low, high, 1e-10)
  return { temperatureC, moleFractionA: solubilityInMelt(a, temperatureC) }
}

/**
 * Mass fraction of the first of two weighed parts.
 *
 * @param firstG g, above 0
 * @param secondG g, above 0
 * @throws ImpossibleInput unless both parts weigh something
 * @example massFractionOf(0.012, 0.013) // 0.48
 */
export function massFractionOf(firstG: number, secondG: number): number {
  if (!(firstG > 0 && secondG > 0))
    throw new ImpossibleInput(
      'nothing-weighed',
      'Both parts of a mixture have a mass. Enter both masses above 0 g.',
    )
  return firstG / (firstG + secondG)
}

/**
 * Mole fraction from mass fraction.
 *
 * @param massFractionA 0 to 1
 * @param molarMassA g/mol
 * @param molarMassB g/mol
 * @throws ImpossibleInput outside 0 to 1, or on a molar mass not above 0
 * @example moleFractionFromMassFraction(0.5, 128.17, 154.21) // 0.5461
 */
export function moleFractionFromMassFraction(
  massFractionA: number,
  molarMassA: number,
  molarMassB: number,
): number {
  requireFraction(massFractionA, 'The mass fraction')
  if (!(molarMassA > 0 && molarMassB > 0))
    throw new ImpossibleInput('bad-molar-mass', 'A molar mass must be above zero.')
  const molesA = massFractionA / molarMassA
  const molesB = (1 - massFractionA) / molarMassB
  return molesA / (molesA + molesB)
}

/**
 * Mass fraction of a in a mixture of a and b; the inverse of `moleFractionFromMassFraction`.
 *
 * @param molarMassA g/mol
 * @throws ImpossibleInput outside 0 to 1, or on a molar mass not above 0
 * @example massFractionFromMoleFraction(0.5024, 210.23, 212.24) // 0.500
 */
export function massFractionFromMoleFraction(
  moleFractionA: number,
  molarMassA: number,
  molarMassB: number,
): number {
  requireFraction(moleFractionA, 'The mole fraction')
  if (!(molarMassA > 0 && molarMassB > 0))
    throw new ImpossibleInput('bad-molar-mass', 'A molar mass must be above zero.')
  const massA = moleFractionA * molarMassA
  return massA / (massA + (1 - moleFractionA) * molarMassB)
}

/**
 * Compositions whose last crystal melts at this temperature: one on each side of the eutectic where the
 * temperature allows it.
 *
 * @param clearC °C
 * @returns up to two, the one rich in a first; none above both melting points or below the eutectic
 * @example compositionsFromClearPoint(benzil, benzoin, 89.92) // x(benzil) 0.900 and 0.693
 */
export function compositionsFromClearPoint(
  a: Fusion,
  b: Fusion,
  clearC: number,
): readonly CompositionAtClear[] {
  requireTemperature(clearC, 'The clear point')
  const point = eutectic(a, b)
  if (clearC < point.temperatureC - 1e-9) return []
  if (Math.abs(clearC - point.temperatureC) <= 1e-9)
    return [{ moleFractionA: point.moleFractionA, excess: 'neither' }]
  const found: CompositionAtClear[] = []
  if (clearC <= a.meltingPointC) found.push({ moleFractionA: solubilityInMelt(a, clearC), excess: 'a' })
  if (clearC <= b.meltingPointC) found.push({ moleFractionA: 1 - solubilityInMelt(b, clearC), excess: 'b' })
  return found
}

/**
 * The two liquidus lines and the eutectic between them, for drawing.
 *
 * @param count points a branch, at least 2
 * @returns each branch from its pure end to the eutectic, [mole fraction of a, °C]
 * @throws ImpossibleInput below 2 points
 * @example phaseDiagram(benzil, benzoin, 3).branchA // [[1, 94.9], [0.884, 89.1], [0.768, 82.67]]
 */
export function phaseDiagram(a: Fusion, b: Fusion, count: number): PhaseDiagram {
  if (!Number.isInteger(count) || count < 2)
    throw new ImpossibleInput('bad-count', 'A line needs at least two points.')
  const point = eutectic(a, b)
  const along = (from: number, step: number) => from + (step / (count - 1)) * (point.moleFractionA - from)
  const steps = Array.from({ length: count }, (_, i) => i)
  return {
    branchA: steps.map((i) => [along(1, i), liquidusC(a, along(1, i))] as const),
    branchB: steps.map((i) => [along(0, i), liquidusC(b, 1 - along(0, i))] as const),
    eutectic: point,
  }
}
