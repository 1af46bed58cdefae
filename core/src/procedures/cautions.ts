import type { Compound, Solvent } from '../reference/shelf'
import { hazardLine, isFlammable } from '../reference/hazards'
import { ORDINARY_WASTE } from './shared'

/** Stands under every list of cautions. */
export const LOCAL_RULES =
  'Read the safety data sheet. Your lab’s rules and the person in charge come before this app.'

/** What to take care of with this solvent and this compound, briefly. */
export function cautionsFor(compound: Compound, solvent: Solvent | null): readonly string[] {
  const cautions = ['Eye protection, always.']
  if (solvent && isFlammable(solvent.hazards))
    cautions.push(
      `${capital(solvent.name)} is flammable: hot plate in the hood, no flame here or on the next bench.`,
    )
  if (solvent && !isFlammable(solvent.hazards) && solvent.hazards.length > 0)
    cautions.push(`${capital(solvent.name)}: ${hazardLine(solvent.hazards)} Work in the hood.`)
  cautions.push(`${capital(compound.name)}: ${hazardLine(compound.hazards)}`)
  return cautions
}

/** Where everything goes afterwards, before a plan says more. */
export function disposalFor(solvent: Solvent | null): readonly string[] {
  return [
    solvent
      ? `Mother liquor and rinse, once the yield is known: ${wasteOf(solvent)}.`
      : 'Mother liquor and rinse, once the yield is known: the waste your lab names for them.',
    ...ORDINARY_WASTE,
  ]
}

/** The waste stream of a liquor; a mixture goes with its worst part. */
export function wasteOf(solvent: Solvent, second: Solvent | null = null): string {
  const groups = [solvent.group, second?.group ?? solvent.group]
  if (groups.includes('chlorinated')) return 'halogenated organic waste'
  if (groups.every((group) => group === 'water'))
    return 'aqueous waste, unless your lab allows the sink for this solute'
  return 'halogen-free organic waste, never the sink'
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1)
}
