import { useEffect, useState } from 'react'
import { compoundCalled } from '@ivory-crystal/core/substances'
import { useNotebook } from '../ledger/notebook'
import { compoundNamed } from './CompoundField'

/** A substance that only has to be weighed: what it is called, what a mole of it weighs, and how that is known. */
export interface Substance {
  readonly name: string
  readonly molarMassGPerMol: number
  /** “C6H7N”, or how the mass was given. */
  readonly from: string
}

/**
 * A substance by what was typed: of the shelf, a known reagent, or whatever a formula, a structure or a molar mass beside the
 * name makes of it.
 *
 * @returns null while it is not known
 */
export function useSubstance(
  name: string,
  formula: string,
): { substance: Substance | null; isNamed: boolean } {
  const shelf = useNotebook((state) => state.shelf)
  const onShelf = compoundNamed(shelf, name)
  const asked = `${name}\n${formula}`
  const [read, setRead] = useState<{ asked: string; substance: Substance | null; isNamed: boolean }>()
  useEffect(() => {
    if (onShelf || name.trim() === '') return
    let isOld = false
    substanceOf(name.trim(), formula.trim()).then(
      (found) => {
        if (!isOld) setRead({ asked, ...found })
      },
      // What reads names and formulas could not be had: a molar mass can be typed.
      () => undefined,
    )
    return () => {
      isOld = true
    }
  }, [asked, name, formula, onShelf])
  if (onShelf)
    return {
      substance: {
        name: onShelf.name,
        molarMassGPerMol: onShelf.molarMassGPerMol,
        from: onShelf.formula || 'the shelf',
      },
      isNamed: true,
    }
  return read?.asked === asked ? read : { substance: null, isNamed: false }
}

async function substanceOf(
  name: string,
  formula: string,
): Promise<{ substance: Substance | null; isNamed: boolean }> {
  const typed = Number(formula)
  if (formula !== '' && typed > 0)
    return { substance: { name, molarMassGPerMol: typed, from: 'as typed' }, isNamed: false }
  const [{ REAGENTS }, { readFormula, readSubstance }] = await Promise.all([
    import('@ivory-crystal/core/reference/reagents'),
    import('@ivory-crystal/core/structures/formula'),
  ])
  const reagent = compoundCalled(REAGENTS, name)
  const known = reagent ? readFormula(reagent.formula) : null
  if (reagent && known)
    return {
      substance: { name: reagent.name, molarMassGPerMol: known.molarMassGPerMol, from: reagent.formula },
      isNamed: true,
    }
  const read = await readSubstance(formula)
  return {
    substance: read
      ? { name, molarMassGPerMol: read.molarMassGPerMol, from: `${read.readAs} ${read.formula}` }
      : null,
    isNamed: false,
  }
}
