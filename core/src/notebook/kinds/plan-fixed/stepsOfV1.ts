import type { EntryId } from '../../../ids'
import type { CrystallizationInput, CrystallizationPlan } from '../../../solubility/planCrystallization'
import type { Conventions } from '../../../conventions/conventions'
import type { Compound, Solvent } from '../../../substances/shelf'
import type { Step } from '../../../procedures/procedure'
import { isFlammable } from '../../../substances/hazards'
import { flaskForML } from '../../../solubility/glassware'

/** A plan as version 1 wrote it. */
export interface PlanFixedV1 {
  readonly procedure: 'small flask and suction funnel'
  readonly compound: Compound
  readonly impurity: Compound | null
  readonly solvent: Solvent
  readonly solubilitySource: string
  readonly input: CrystallizationInput
  readonly result: CrystallizationPlan
  readonly conventions: Conventions
  readonly coreVersion: string
  readonly restsOn: readonly EntryId[]
}

/** The steps as version 1 of the plan gave them. Kept for plans that were fixed then; not to be changed. */
export function stepsOfV1(plan: PlanFixedV1): readonly Step[] {
  return [...dissolving(plan), ...crystallizing(plan), ...collecting(plan)]
}

function ml(value: number): string {
  return `${value.toFixed(1)} mL`
}

function dissolving({ solvent, result, input, impurity }: PlanFixedV1): Step[] {
  const flask = flaskForML(result.hotML)
  const boiling = solvent.boilingPointC === null ? 'its boiling point' : `${solvent.boilingPointC} °C`
  const flammable = isFlammable(solvent.hazards)
  const steps: Step[] = [
    {
      id: 'heat-solvent',
      station: 'dissolve',
      text: `Set the hot plate well above ${boiling} and heat about ${ml(1.3 * result.hotML + 2)} of ${solvent.name} in a flask of its own, with a boiling stone.`,
      caution: flammable
        ? 'Flammable: in the hood, no flame. The stone goes in before heating, never into hot liquid. A hot plate looks the same hot or cold.'
        : 'The stone goes in before heating, never into hot liquid. A hot plate looks the same hot or cold.',
    },
    {
      id: 'wet-the-crude',
      station: 'dissolve',
      text: `Put the ${input.crudeG} g of crude into a ${flask === null ? 'large' : `${flask} mL`} Erlenmeyer flask and add about ${ml(result.minimumHotML / 3)} of solvent before it goes on the heat.`,
      caution: 'Dry solid on a hot plate melts to an oil.',
    },
    {
      id: 'dissolve-in-portions',
      station: 'dissolve',
      text: `Add hot solvent in small portions, swirl and wait after each, until it is just dissolved: near ${ml(result.minimumHotML)}. What two portions do not change is grit.`,
      portions: 'dissolve',
    },
  ]
  if (result.gritG > 0)
    steps.push({
      id: 'leave-the-grit',
      station: 'dissolve',
      text: `About ${result.gritG.toFixed(2)} g is expected not to dissolve: take the hot liquid off it.`,
    })
  if (result.hotML > 1.02 * result.minimumHotML)
    steps.push({
      id: 'dilute-hot',
      station: 'dissolve',
      text: `Add hot solvent up to ${ml(result.hotML)} in all${impurity ? `, so that ${impurity.name} stays dissolved when it is cold` : ', so that it stays dissolved while you work'}.`,
      portions: 'dilute',
    })
  return steps
}

function crystallizing({ input }: PlanFixedV1): Step[] {
  return [
    {
      id: 'off-the-heat',
      station: 'crystallize',
      text: 'Take the flask off the heat and cover it loosely with a watch glass.',
      caution: 'Never a tight stopper on a hot flask: it jumps, or sticks as the flask cools.',
    },
    {
      id: 'cool-undisturbed',
      station: 'crystallize',
      text: 'Leave it to cool to room temperature, undisturbed. If nothing appears: scratch the wall, seed it, or boil some solvent away.',
      caution:
        'Before any reheating: cool it a little, and a fresh boiling stone; the vapour stays in the hood.',
      timer: { timer: 'cool', minutes: 15 },
    },
    {
      id: 'into-ice',
      station: 'crystallize',
      text: `When no more appears, stand it in ice down to about ${input.coldC} °C. Meanwhile chill the rinse and weigh the empty watch glass.`,
      timer: { timer: 'ice', minutes: 10 },
    },
  ]
}

function collecting({ input, conventions, result, solvent }: PlanFixedV1): Step[] {
  return [
    {
      id: 'set-up-suction',
      station: 'collect',
      text: 'Clamp the filter flask, fit thick hose, trap and funnel; wet the paper with cold solvent and turn the suction on.',
      caution: 'An unclamped flask falls when the hose jumps. A trap keeps water and liquor apart.',
    },
    {
      id: 'wipe-and-pour',
      station: 'collect',
      text: 'Wipe the outside of the flask dry, swirl, and pour onto the middle of the paper.',
    },
    {
      id: 'rinse-cold',
      station: 'collect',
      text: `Rinse with ${ml(input.washML)} of ice-cold ${solvent.name}: it costs at most ${result.washLossUpToG.toFixed(3)} g.`,
      portions: 'rinse',
    },
    {
      id: 'draw-air',
      station: 'collect',
      text: `Draw air through the crystals for ${conventions.drying.atLeastMin} min. Pick out boiling stones.`,
      timer: { timer: 'air', minutes: conventions.drying.atLeastMin },
    },
    {
      id: 'keep-the-liquor',
      station: 'collect',
      text: 'Break the suction, then keep the mother liquor in a labelled flask until the yield is known.',
    },
  ]
}
