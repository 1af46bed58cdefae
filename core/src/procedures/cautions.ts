import { capital } from '../words'
import type { Compound, Solvent } from '../reference/shelf'
import { isHalogenated } from '../reference/groups'
import { heatFor } from './heat'
import {
  besidesFire,
  formsPeroxides,
  hazardLine,
  isCorrosive,
  isFlammable,
  isToxic,
  needsThePersonInCharge,
} from '../reference/hazards'
import { ORDINARY_WASTE } from './shared'

/** Stands under every list of cautions. */
export const LOCAL_RULES =
  'Read the safety data sheet. Your lab’s rules and the person in charge come before this app.'

/** What to take care of with this compound and what it is dissolved in, briefly: every hazard on file. */
export function cautionsFor(
  compound: Compound,
  solvent: Solvent | null,
  second: Solvent | null = null,
): readonly string[] {
  return [
    'Eye protection, always.',
    ...(solvent ? solventCautions(solvent) : []),
    ...(second ? solventCautions(second) : []),
    `${needsThePersonInCharge(compound.hazards) ? 'Not without the person in charge. ' : ''}${capital(compound.name)}: ${hazardLine(compound.hazards)}${guardFor(compound.hazards)}`,
  ]
}

function solventCautions(solvent: Solvent): readonly string[] {
  const { name, hazards, boilingPointC } = solvent
  const cautions: string[] = []
  if (isFlammable(hazards)) {
    const onPlate = heatFor([solvent], boilingPointC ?? 0).source === 'hot plate'
    cautions.push(
      `${capital(name)} is flammable: ${onPlate ? 'hot plate in the hood' : 'a bath in the hood, no bare hot plate'}, no flame here or on the next bench.`,
    )
  }
  const others = besidesFire(hazards)
  if (others.length > 0)
    cautions.push(
      `${needsThePersonInCharge(hazards) ? 'Not without the person in charge. ' : ''}${capital(name)}: ${hazardLine(others)} Work in the hood.${handsAndFace(hazards)}`,
    )
  if (formsPeroxides(hazards))
    cautions.push(
      `${capital(name)}: look at the date of opening, test for peroxides before it is heated, and never evaporate it toward dryness.`,
    )
  return cautions
}

/** What the hands and the face need. */
function handsAndFace(hazards: readonly string[]): string {
  if (isCorrosive(hazards)) return ' Gloves and a face shield.'
  return isToxic(hazards) ? ' Gloves.' : ''
}

/** What a solid asks for. */
function guardFor(hazards: readonly string[]): string {
  return isToxic(hazards) && !isCorrosive(hazards) ? ' Gloves, in the hood.' : handsAndFace(hazards)
}

/** What of a plan asks for the person in charge, by name; empty where nothing does. */
export function askFirstAbout(
  compound: Compound,
  impurity: Compound | null,
  solvents: readonly Solvent[],
): readonly string[] {
  return [compound, ...(impurity ? [impurity] : []), ...solvents]
    .filter(({ hazards }) => needsThePersonInCharge(hazards))
    .map(({ name }) => name)
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

/** The waste stream of a liquor: a mixture goes with its worst part, the solute counted. */
export function wasteOf(
  solvent: Solvent,
  second: Solvent | null = null,
  solute: Pick<Compound, 'formula'> | null = null,
): string {
  const groups = [solvent.group, second?.group ?? solvent.group]
  if (groups.includes('chlorinated') || (solute && isHalogenated(solute.formula)))
    return groups.every((group) => group === 'water')
      ? 'halogenated aqueous waste, never the sink'
      : 'halogenated organic waste'
  if (groups.includes('acid')) return 'acid organic waste, in its own container'
  if (groups.every((group) => group === 'water'))
    return 'aqueous waste, unless your lab allows the sink for this solute'
  return 'halogen-free organic waste, never the sink'
}
