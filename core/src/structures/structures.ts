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
  const molecule = moleculeOf(smiles)
  const { formula, relativeWeight } = molecule.getMolecularFormula()
  return { formula, molarMassGPerMol: relativeWeight }
}

/**
 * A structure as an SVG drawing in the colour of the text around it.
 *
 * @param smiles one structure
 * @param widthPx
 * @param heightPx
 * @throws Error when the text is not a structure
 */
export function drawStructure(smiles: string, widthPx: number, heightPx: number): string {
  return moleculeOf(smiles)
    .toSVG(widthPx, heightPx, 'structure', {
      suppressChiralText: true,
      suppressESR: true,
      suppressCIPParity: true,
      noStereoProblem: true,
      autoCrop: true,
      autoCropMargin: 6,
      strokeWidth: '1.3',
    })
    .replace(/<style>[\s\S]*?<\/style>/, '')
    .replaceAll(/rgb\(\d+,\d+,\d+\)/g, 'currentColor')
    .replaceAll('font-size="14"', 'font-size="14" font-family="inherit"')
}

/** The parser forgives brackets left open; a structure read so is not the one that was meant. */
function moleculeOf(smiles: string): Molecule {
  const count = (mark: string) => smiles.split(mark).length
  if (count('(') !== count(')') || count('[') !== count(']'))
    throw new Error('A bracket in this structure is not closed.')
  return Molecule.fromSmiles(smiles)
}
