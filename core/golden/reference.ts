import type { Compound, Solvent } from '../src/substances/shelf'
import { REFERENCE_COMPOUNDS, REFERENCE_SOLVENTS } from '../src/reference/reference'
import masses from './molarMasses.json' with { type: 'json' }

const SOURCE = 'reference'
/** g/mol by id, as their structures come to: kept, since what reads structures takes seconds to load. */
export const MOLAR_MASSES: Readonly<Record<string, number>> = masses

/** A compound of the reference set as it stands on a shelf. */
export function referenceCompound(id: string): Compound {
  const row = REFERENCE_COMPOUNDS.find((one) => one.id === id)
  if (!row) throw new Error(`There is no compound “${id}” in the reference set.`)
  const molarMassGPerMol = MOLAR_MASSES[id]
  if (molarMassGPerMol === undefined)
    throw new Error(`The molar mass of “${id}” is not kept: npm run golden.`)
  return { ...row, molarMassGPerMol, source: SOURCE }
}

/** A solvent of the reference set as it stands on a shelf. */
export function referenceSolvent(id: string): Solvent {
  const row = REFERENCE_SOLVENTS.find((one) => one.id === id)
  if (!row) throw new Error(`There is no solvent “${id}” in the reference set.`)
  return { ...row, source: SOURCE }
}
