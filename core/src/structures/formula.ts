import { MF } from 'mf-parser'

/** What was typed for a substance, read: its formula in Hill order, and g/mol from standard atomic weights. */
export interface ReadSubstance {
  readonly formula: string
  readonly molarMassGPerMol: number
  readonly readAs: 'formula' | 'structure'
}

/** Between the parts of a hydrate or salt. */
const PART = /\s*[·•∙*.]\s*/
/** A part of a formula: how many of it, then its letters, digits and brackets. */
const COUNTED = /^(\d*)((?:[A-Z()[\]][A-Za-z0-9()[\]]*)+)$/
/** What only a structure is written with: bonds, rings' small letters, chirality, charges. */
const ONLY_IN_STRUCTURES = /[=#@/\\+-]|\b[cnosp]|[A-Z)\]\d][cnosp]\d|[cnosp]{2}/

/**
 * A molecular formula: its Hill order and molar mass.
 *
 * @param typed as it stands on a bottle: C6H7N, C6H5NH2, C2H2O4·2H2O; a dot or asterisk joins the parts of a hydrate
 * @returns null where it is none
 * @example readFormula('C6H5NH2') // { formula: 'C6H7N', molarMassGPerMol: 93.13, readAs: 'formula' }
 */
export function readFormula(typed: string): ReadSubstance | null {
  const parts = typed.trim().split(PART)
  const read = parts.map((part) => {
    const [, count = '', letters = ''] = COUNTED.exec(part) ?? []
    if (letters === '') return null
    try {
      const { mf, mass } = new MF(letters).getInfo()
      return { times: count === '' ? 1 : Number(count), mf, mass }
    } catch {
      return null
    }
  })
  if (read.some((part) => part === null || !(part.mass > 0) || part.times === 0)) return null
  const known = read as { times: number; mf: string; mass: number }[]
  return {
    formula: known.map(({ times, mf }) => `${times === 1 ? '' : times}${mf}`).join('·'),
    molarMassGPerMol: known.reduce((sum, { times, mass }) => sum + times * mass, 0),
    readAs: 'formula',
  }
}

/**
 * What was typed for a substance, as a formula or a structure (SMILES). Letters that are both, such as CO, are read as
 * a formula where every element stands once or hydrogen is written out, as formulas have it; else as a structure. The
 * package that reads structures is loaded for the first of them.
 *
 * @returns null where it is neither
 * @example (await readSubstance('Nc1ccccc1'))?.molarMassGPerMol // 93.13
 */
export async function readSubstance(typed: string): Promise<ReadSubstance | null> {
  const text = typed.trim()
  if (text === '') return null
  const asFormula = ONLY_IN_STRUCTURES.test(text) ? null : readFormula(text)
  const elements: readonly string[] = text.match(/[A-Z][a-z]?/g) ?? []
  const isPlain = elements.includes('H') || new Set(elements).size === elements.length
  if (asFormula && isPlain) return asFormula
  const { structureOf } = await import('./structures')
  try {
    return { ...structureOf(text), readAs: 'structure' }
  } catch {
    return asFormula
  }
}
