/** Molar gas constant, J mol⁻¹ K⁻¹ (CODATA 2018, exact). */
export const GAS_CONSTANT = 8.314462618

export function kelvin(temperatureC: number): number {
  return temperatureC + 273.15
}

export function celsius(temperatureK: number): number {
  return temperatureK - 273.15
}
