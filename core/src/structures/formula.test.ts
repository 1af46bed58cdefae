import { describe, expect, test } from '@jest/globals'
import { REFERENCE_COMPOUNDS } from '../reference/reference'
import { readFormula, readSubstance } from './formula'
import { structureOf } from './structures'

describe('what a bottle says is read', () => {
  test.each([
    ['C6H7N', 'C6H7N', 93.13],
    ['C6H5NH2', 'C6H7N', 93.13],
    ['(CH3CO)2O', 'C4H6O3', 102.09],
    ['C2H2O4·2H2O', 'C2H2O4·2H2O', 126.07],
    ['CuSO4.5H2O', 'CuO4S·5H2O', 249.69],
    ['NaCl', 'ClNa', 58.44],
  ])('%s is %s', (typed, formula, massGPerMol) => {
    const read = readFormula(typed)
    expect(read?.formula).toBe(formula)
    expect(read?.molarMassGPerMol).toBeCloseTo(massGPerMol, 1)
  })

  test.each(['', 'aniline', 'Xx2', 'C6H7N)', 'C6H7N-', '2', '12·H2O'])('“%s” is no formula', (typed) => {
    expect(readFormula(typed)).toBeNull()
  })

  test.each([
    ['Nc1ccccc1', 'C6H7N', 'structure'],
    ['CCO', 'C2H6O', 'structure'],
    ['CC(=O)O', 'C2H4O2', 'structure'],
    ['C2H6O', 'C2H6O', 'formula'],
    ['CO', 'CO', 'formula'],
    ['O=Cc1ccccc1', 'C7H6O', 'structure'],
  ])('%s is %s, read as a %s', async (typed, formula, readAs) => {
    expect(await readSubstance(typed)).toMatchObject({ formula, readAs })
  })

  test.each(['', '   ', 'benzaldehyde', 'C1CC('])('“%s” is neither', async (typed) => {
    expect(await readSubstance(typed)).toBeNull()
  })

  test('every compound that ships weighs the same by its formula as by its structure', async () => {
    for (const { smiles, formula } of REFERENCE_COMPOUNDS) {
      const read = readFormula(formula)
      const drawn = structureOf(smiles)
      expect([formula, Math.abs((read?.molarMassGPerMol ?? 0) - drawn.molarMassGPerMol) < 0.05]).toEqual([
        formula,
        true,
      ])
      expect((await readSubstance(smiles))?.formula).toBe(drawn.formula)
    }
  })
})
