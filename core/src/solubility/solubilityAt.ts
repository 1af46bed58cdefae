import { ImpossibleInput, requireTemperature } from '../problems'
import { GAS_CONSTANT, kelvin } from '../melting/kelvin'

export type SolubilityPoint = readonly [temperatureC: number, gPer100ML: number]
export interface SolubilityAt {
  readonly gPer100ML: number
  readonly basis: 'between points' | 'beyond points' | 'single point'
}

/**
 * Solubility at a temperature from measured points: ln S linear in 1/T between neighbours, the end segments
 * continued beyond the points; a single point continued along the slope −ΔHfus/R of an ideal solution.
 *
 * @param points [°C, g per 100 mL of solvent], any order
 * @param temperatureC °C
 * @param fusionEnthalpyKJPerMol needed with a single point only
 * @returns g per 100 mL, and whether it lies between points, beyond them, or rests on one point
 * @throws ImpossibleInput without points, on a solubility not above 0, on one point without an enthalpy
 * @example solubilityAt([[20, 1.9], [50, 8.7], [78, 46]], 35) // { gPer100ML: 4.219, basis: 'between points' }
 */
export function solubilityAt(
  points: readonly SolubilityPoint[],
  temperatureC: number,
  fusionEnthalpyKJPerMol?: number,
): SolubilityAt {
  requireTemperature(temperatureC, 'The temperature')
  const sorted = sortedPoints(points)
  const [first, second] = sorted
  if (!first) throw new ImpossibleInput('no-solubility-points', 'No solubility is known for this pair.')
  if (!second) return continueSinglePoint(first, temperatureC, fusionEnthalpyKJPerMol)
  let left = first
  let right = second
  for (let i = 1; i < sorted.length; i++) {
    left = sorted[i - 1] as SolubilityPoint
    right = sorted[i] as SolubilityPoint
    if (temperatureC <= right[0]) break
  }
  const last = sorted[sorted.length - 1] as SolubilityPoint
  const x = (t: number) => 1 / kelvin(t)
  const share = (x(temperatureC) - x(left[0])) / (x(right[0]) - x(left[0]))
  return {
    gPer100ML: Math.exp(Math.log(left[1]) + share * (Math.log(right[1]) - Math.log(left[1]))),
    basis: temperatureC < first[0] || temperatureC > last[0] ? 'beyond points' : 'between points',
  }
}

function sortedPoints(points: readonly SolubilityPoint[]): SolubilityPoint[] {
  const sorted = [...points].sort((p, q) => p[0] - q[0])
  sorted.forEach(([atC, gPer100ML], i) => {
    requireTemperature(atC, 'A solubility point')
    if (!(gPer100ML > 0 && Number.isFinite(gPer100ML)))
      throw new ImpossibleInput(
        'bad-solubility',
        `A solubility of ${gPer100ML} g per 100 mL at ${atC} °C cannot be used.`,
      )
    if (i > 0 && sorted[i - 1]?.[0] === atC)
      throw new ImpossibleInput(
        'bad-solubility',
        `There are two solubilities at ${atC} °C. Keep one of them.`,
      )
  })
  return sorted
}

function continueSinglePoint(
  point: SolubilityPoint,
  temperatureC: number,
  enthalpyKJPerMol?: number,
): SolubilityAt {
  if (enthalpyKJPerMol === undefined)
    throw new ImpossibleInput(
      'enthalpy-needed',
      'One solubility point says nothing about other temperatures without a fusion enthalpy. Add a second point.',
    )
  if (!(enthalpyKJPerMol > 0))
    throw new ImpossibleInput(
      'bad-enthalpy',
      `A fusion enthalpy of ${enthalpyKJPerMol} kJ/mol is impossible.`,
    )
  const slope = (-1000 * enthalpyKJPerMol) / GAS_CONSTANT
  const lnRatio = slope * (1 / kelvin(temperatureC) - 1 / kelvin(point[0]))
  return { gPer100ML: point[1] * Math.exp(lnRatio), basis: 'single point' }
}
