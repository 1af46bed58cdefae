import type { Compound, Solvent } from '../substances/shelf'
import { isHalogenated } from '../substances/groups'
import { isAquaticHazard, isToxic } from '../substances/hazards'

function neverDown(hazards: readonly string[]): boolean {
  return isToxic(hazards) || isAquaticHazard(hazards)
}

export const LIQUOR_WASTE = 'Mother liquor and rinse, once the recovery is known: {liquorWaste}.'
export const ORDINARY_WASTE: readonly string[] = [
  'Filter paper and boiling stones: solid chemical waste, once dry.',
  'Capillaries: glass waste, used once and never cleaned out.',
  'Crystals: a labelled vial, or the container the person in charge names.',
]

/** Where everything goes afterwards, before a plan says more. */
export function disposalFor(solvent: Solvent | null): readonly string[] {
  return [
    solvent
      ? `Mother liquor and rinse, once the recovery is known: ${wasteOf(solvent)}.`
      : 'Mother liquor and rinse, once the recovery is known: the waste your lab names for them.',
    ...ORDINARY_WASTE,
  ]
}

/** The waste stream of a liquor: a mixture goes with its worst part, the solute counted. */
export function wasteOf(
  solvent: Solvent,
  second: Solvent | null = null,
  solute: Pick<Compound, 'formula' | 'hazards'> | null = null,
  impurity: Pick<Compound, 'formula' | 'hazards'> | null = null,
): string {
  const solutes = [solute, impurity].filter((one) => one !== null)
  const groups = [solvent.group, second?.group ?? solvent.group]
  if (groups.includes('chlorinated') || solutes.some(({ formula }) => isHalogenated(formula)))
    return groups.every((group) => group === 'water')
      ? 'halogenated aqueous waste, never the sink'
      : 'halogenated organic waste'
  if (groups.includes('acid')) return 'acid organic waste, in its own container'
  // What is toxic, or harms life in water, goes down no sink, whatever else is allowed there.
  if (groups.every((group) => group === 'water') && solutes.some(({ hazards }) => neverDown(hazards)))
    return 'aqueous waste, never the sink'
  if (groups.every((group) => group === 'water'))
    return 'aqueous waste, unless your lab allows the sink for this solute'
  return 'halogen-free organic waste, never the sink'
}
