import { attempt, problem, type Result } from '../../problems'
import type { PrepId } from '../../ids'
import type { Quantity } from '../../units'
import { massClosure, percentRecovery, percentYield, theoreticalYieldG } from '../../weighing/recovery'
import { sumOf } from '../../weighing/sums'
import type { View } from '../fold'
import type { SampleRole } from '../kinds/sample-named/kind'
import { memoize } from '../read'
import { dissolvedOf, massOf, type PrepFacts, prepOf, sampleOf } from './prep'

/** What was weighed of a crude after it was worked up; null where it was not. */
export interface Found {
  readonly crystals: Quantity
  readonly 'second crop': Quantity | null
  readonly liquor: Quantity | null
  readonly grit: Quantity | null
}
/** What came back of a crude, by the balance alone. */
export interface Recovered {
  readonly crude: Quantity
  readonly found: Found
  /** All crops together. */
  readonly crops: Quantity
  /** All that was found, of the crude, per cent; null while the liquor has not been weighed. */
  readonly closurePercent: number | null
  /** Percent recovery of the crude, from all crops. */
  readonly ofCrude: Quantity
  readonly yield: { readonly percent: number; readonly theoreticalG: number; readonly from: string } | null
}

/** What came back of the crude of a prep; what was to be expected stands in `accountOf`. */
export const recoveredOf = memoize((view: View, id: PrepId): Result<Recovered> => {
  const prep = prepOf(view, id)
  if (!prep) return problem('nothing-weighed', 'There is no such prep in this notebook.')
  const crude = dissolvedOf(prep)
  if (!crude.ok) return crude
  const crystals = massOf(sampleOf(prep, 'product'))
  if (!crystals.ok) return crystals
  const found = { ...foundBeside(prep), crystals: crystals.value }
  const crops = sumOf([crystals.value, found['second crop']])
  const ofCrude = attempt(() => percentRecovery(crops, crude.value))
  if (!ofCrude.ok) return ofCrude
  return {
    ok: true,
    value: {
      crude: crude.value,
      found,
      crops,
      closurePercent: found.liquor
        ? massClosure({
            crudeG: crude.value.value,
            accountedG: [crops.value, found.liquor.value, found.grit?.value ?? 0],
          }).percent
        : null,
      ofCrude: ofCrude.value,
      yield: yieldOf(prep, crops.value),
    },
  }
})

const ROLE_OF: Readonly<Record<Exclude<keyof Found, 'crystals'>, SampleRole>> = {
  'second crop': 'second crop',
  liquor: 'residue',
  grit: 'grit',
}
function foundBeside(prep: PrepFacts): Omit<Found, 'crystals'> {
  const of = (part: keyof typeof ROLE_OF) => {
    const mass = massOf(sampleOf(prep, ROLE_OF[part]))
    return mass.ok ? mass.value : null
  }
  return { 'second crop': of('second crop'), liquor: of('liquor'), grit: of('grit') }
}

function yieldOf(prep: PrepFacts, actualG: number): Recovered['yield'] {
  const reaction = prep.reaction?.body
  if (!reaction) return null
  const worked = attempt(() => {
    const theoreticalG = theoreticalYieldG({
      limitingG: reaction.limitingMass.value,
      limitingMolarMass: reaction.limiting.molarMassGPerMol,
      productMolarMass: prep.opened.body.compound.molarMassGPerMol,
      productPerLimiting: reaction.productPerLimiting,
    })
    return { theoreticalG, percent: percentYield(actualG, theoreticalG) }
  })
  return worked.ok
    ? { ...worked.value, from: `${reaction.limitingMass.text} g of ${reaction.limiting.name}` }
    : null
}
