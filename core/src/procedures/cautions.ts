import { capital } from '../words'
import type { Compound, Solvent } from '../substances/shelf'
import { heatFor, type HeatSource, lowestBoilingC } from './heat'
import {
  besidesFire,
  formsPeroxides,
  hazardLine,
  asksForGloves,
  guardFor,
  hazardStatement,
  isCorrosive,
  isExtremelyFlammable,
  isFlammable,
  needsThePersonInCharge,
} from '../substances/hazards'

/** Stands under every list of cautions. */
export const LOCAL_RULES =
  'Read the safety data sheet. The rules of your lab and the person in charge come before this app.'

/**
 * What to take care of with this compound and what it is dissolved in, briefly: every hazard on file.
 *
 * @param hotC temperature of the plan, °C; where there is none yet, the boiling point
 */
export function cautionsFor(
  compound: Compound,
  solvent: Solvent | null,
  second: Solvent | null = null,
  hotC: number | null = null,
): readonly string[] {
  const solvents = [solvent, second].filter((one) => one !== null)
  const boilsC = lowestBoilingC(solvents)
  const { source } = heatFor(solvents, hotC ?? boilsC ?? 0)
  return [
    'Always wear eye protection.',
    ...solvents.flatMap((one) => solventCautions(one, source)),
    solidCaution(compound),
  ]
}

function solventCautions({ name, hazards }: Solvent, source: HeatSource): readonly string[] {
  const cautions: string[] = []
  if (isFlammable(hazards))
    cautions.push(
      `${capital(name)} is ${isExtremelyFlammable(hazards) ? 'extremely flammable' : 'flammable'}: ${source === 'hot plate' ? 'use a hot plate in the hood' : 'use a bath in the hood and no bare hot plate'}, and have no flame here or on the next bench.`,
    )
  const others = besidesFire(hazards)
  if (others.length > 0)
    cautions.push(
      `${needsThePersonInCharge(hazards) ? 'Do not do this without the person in charge. ' : ''}${capital(name)}: ${hazardLine(others)} Work in the hood.${handsAndFace(hazards)}`,
    )
  if (formsPeroxides(hazards))
    cautions.push(
      `${capital(name)}: check the date of opening, test for peroxides before you heat it, and never evaporate it toward dryness.`,
    )
  return cautions
}

/** What the hands and the face need; that it is worked with in the hood stands before it. */
function handsAndFace(hazards: readonly string[]): string {
  if (isCorrosive(hazards)) return ' Gloves and a face shield.'
  return asksForGloves(hazards) ? ' Gloves.' : ''
}

/**
 * What to take care of with a solid alone: every hazard on file, what is to be looked up, and what it asks for; without
 * the signal word where pictograms stand beside it.
 */
export function solidCaution(
  compound: Pick<Compound, 'name' | 'hazards' | 'hazardsToCheck' | 'signalWord'>,
  { withWord = true }: { readonly withWord?: boolean } = {},
): string {
  const { name, hazards, hazardsToCheck = [], signalWord } = compound
  return [
    ...(needsThePersonInCharge(hazards) ? ['Do not do this without the person in charge.'] : []),
    `${capital(name)}${signalWord && withWord ? ` (${signalWord.toLowerCase()})` : ''}: ${hazardLine(hazards)}`,
    ...(hazardsToCheck.length > 0
      ? [`Check the safety data sheet for: ${hazardsToCheck.map(hazardStatement).join('; ')}.`]
      : []),
    guardFor(hazards),
  ]
    .filter((part) => part !== '')
    .join(' ')
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
