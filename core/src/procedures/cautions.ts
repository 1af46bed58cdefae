import { capital } from '../words'
import type { Compound, Solvent } from '../reference/shelf'
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
