import { Molecule } from 'openchemlib'

/**
 * Molecular formula and molar mass of a structure.
 *
 * @param smiles one structure; salts and hydrates as parts joined by dots
 * @returns formula in Hill order, g/mol from standard atomic weights
 * @throws Error when the text is not a structure
 * @example structureOf('O=C(C(=O)c1ccccc1)c1ccccc1') // { formula: 'C14H10O2', molarMassGPerMol: 210.23 }
 */
export function structureOf(smiles: string): { formula: string; molarMassGPerMol: number } {
  const molecule = Molecule.fromSmiles(smiles)
  const { formula, relativeWeight } = molecule.getMolecularFormula()
  return { formula, molarMassGPerMol: relativeWeight }
}
