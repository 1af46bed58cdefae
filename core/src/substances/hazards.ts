/** Hazard statements of the Globally Harmonized System for the codes that occur on the shelf. */
const STATEMENTS: Readonly<Record<string, string>> = {
  H224: 'extremely flammable liquid and vapour',
  H225: 'highly flammable liquid and vapour',
  H226: 'flammable liquid and vapour',
  H228: 'flammable solid',
  H300: 'fatal if swallowed',
  H301: 'toxic if swallowed',
  H302: 'harmful if swallowed',
  H304: 'may be fatal if swallowed and enters airways',
  H310: 'fatal in contact with skin',
  H311: 'toxic in contact with skin',
  H312: 'harmful in contact with skin',
  H314: 'causes severe skin burns and eye damage',
  H315: 'causes skin irritation',
  H317: 'may cause an allergic skin reaction',
  H318: 'causes serious eye damage',
  H319: 'causes serious eye irritation',
  H330: 'fatal if inhaled',
  H331: 'toxic if inhaled',
  H332: 'harmful if inhaled',
  H334: 'may cause allergy or asthma symptoms if inhaled',
  H335: 'may cause respiratory irritation',
  H336: 'may cause drowsiness or dizziness',
  H341: 'suspected of causing genetic defects',
  H350: 'may cause cancer',
  H351: 'suspected of causing cancer',
  H360: 'may damage fertility or the unborn child',
  H360D: 'may damage the unborn child',
  H360FD: 'may damage fertility and the unborn child',
  H361: 'suspected of damaging fertility or the unborn child',
  H361d: 'suspected of damaging the unborn child',
  H361f: 'suspected of damaging fertility',
  H370: 'causes damage to organs',
  H371: 'may cause damage to organs',
  H372: 'causes damage to organs through prolonged or repeated exposure',
  H373: 'may cause damage to organs through prolonged or repeated exposure',
  H400: 'very toxic to aquatic life',
  H410: 'very toxic to aquatic life with long lasting effects',
  H411: 'toxic to aquatic life with long lasting effects',
  H412: 'harmful to aquatic life with long lasting effects',
  H413: 'may cause long lasting harmful effects to aquatic life',
  EUH019: 'may form explosive peroxides',
  EUH071: 'corrosive to the respiratory tract',
}

/** The statement for a code, or the bare code when it is not in the table. */
export function hazardStatement(code: string): string {
  return STATEMENTS[code] ?? code
}

/** The hazards of a substance in one line; where there are none on file, that too is said. */
export function hazardLine(hazards: readonly string[]): string {
  if (hazards.length === 0) return 'No hazard data here. Read the safety data sheet.'
  const sentence = hazards.map(hazardStatement).join('; ')
  return `${sentence.charAt(0).toUpperCase()}${sentence.slice(1)}.`
}

const FLAMMABLE = ['H224', 'H225', 'H226']
export function isFlammable(hazards: readonly string[]): boolean {
  return hazards.some((code) => FLAMMABLE.includes(code))
}
export function isExtremelyFlammable(hazards: readonly string[]): boolean {
  return hazards.includes('H224')
}
/** The codes that say no more than that it burns. */
export function besidesFire(hazards: readonly string[]): readonly string[] {
  return hazards.filter((code) => !FLAMMABLE.includes(code))
}

/** Attacks skin or eyes for good. */
export function isCorrosive(hazards: readonly string[]): boolean {
  return hazards.some((code) => code === 'H314' || code === 'H318')
}

/**
 * Kept in the hood: harmful, irritating or sensitizing to breathe (H330 to H335), toxic by any way in, or harmful to
 * genes, fertility, a child or organs, known or suspected.
 */
export function asksForHood(hazards: readonly string[]): boolean {
  return hazards.some((code) => /^(H(30[01]|31[01]|33[0-5]|34[01]|35[01]|36[01]|37[0-3])|EUH071)/.test(code))
}

/** Not touched: toxic, harmful, corrosive, irritating or sensitizing to the skin, or harmful as above. */
export function asksForGloves(hazards: readonly string[]): boolean {
  return hazards.some((code) => /^H(30[01]|31[0124578]|33[0-24]|34[01]|35[01]|36[01]|37[0-3])/.test(code))
}

/** Harms life in water, for long or at once. */
export function isAquaticHazard(hazards: readonly string[]): boolean {
  return hazards.some((code) => /^H4(00|1[01])/.test(code))
}

/**
 * What handling a solid asks for: gloves and hood and face shield, each by its own hazards. Where none are on file,
 * gloves, and why.
 *
 * @returns a sentence, or an empty text
 * @example guardFor(['H331', 'H314']) // 'Gloves and a face shield, in the hood.'
 */
export function guardFor(hazards: readonly string[]): string {
  if (hazards.length === 0) return 'Gloves: its effect on skin is not known here.'
  const worn = [
    ...(asksForGloves(hazards) ? ['gloves'] : []),
    ...(isCorrosive(hazards) ? ['a face shield'] : []),
  ].join(' and ')
  const message = [...(worn === '' ? [] : [worn]), ...(asksForHood(hazards) ? ['in the hood'] : [])].join(
    ', ',
  )
  return message === '' ? '' : `${message.charAt(0).toUpperCase()}${message.slice(1)}.`
}

/** Makes explosive peroxides of itself on standing. */
export function formsPeroxides(hazards: readonly string[]): boolean {
  return hazards.includes('EUH019')
}

/** Toxic, or may cause cancer, change genes, or harm fertility or a child, or is suspected to: kept in the hood. */
export function isToxic(hazards: readonly string[]): boolean {
  return hazards.some((code) => /^H(30[01]|31[01]|33[01]|34[01]|35[01]|36[01]|37[02])/.test(code))
}

/** Fatal in small amounts, or known to cause cancer, change genes, or harm fertility or a child. */
export function needsThePersonInCharge(hazards: readonly string[]): boolean {
  return hazards.some((code) => /^H(300|310|330|340|350|360)/.test(code))
}
