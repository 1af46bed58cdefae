import type { Compound, Solvent } from '../src/index'
import { REFERENCE_COMPOUNDS, REFERENCE_SOLVENTS } from '../src/reference/reference'
import { structureOf } from '../src/structures/structures'

const SOURCE = 'reference'

/** A compound of the reference set as it stands on a shelf. */
export function referenceCompound(id: string): Compound {
  const row = REFERENCE_COMPOUNDS.find((one) => one.id === id)
  if (!row) throw new Error(`There is no compound “${id}” in the reference set.`)
  return { ...row, molarMassGPerMol: structureOf(row.smiles).molarMassGPerMol, source: SOURCE }
}

/** A solvent of the reference set as it stands on a shelf. */
export function referenceSolvent(id: string): Solvent {
  const row = REFERENCE_SOLVENTS.find((one) => one.id === id)
  if (!row) throw new Error(`There is no solvent “${id}” in the reference set.`)
  return { ...row, source: SOURCE }
}
