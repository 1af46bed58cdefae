import { flaskForML, needsReflux, roundFlaskForML } from '../solubility/glassware'
import { BELOW_MELTING_C } from '../solubility/volume'
import { type Batch, solventsOf } from './batch'
import { type Heat, heatFor, lowestBoilingC, placeOfHeat } from './heat'
import { capital } from '../words'

/** Held cooler than this nothing is boiled away; it goes off by itself, °C. */
const EVAPORATES_FROM_C = 50
/** Solvent alone may fill two thirds of its flask, where what is swirled may fill half. */
const SOLVENT_FILLS = 0.75

/** Solvent to heat so that there is enough of it hot, mL. */
export function heatedML(neededML: number, hotML: number): number {
  return 1.3 * neededML + (hotML < 3 ? 0.5 : 2)
}

/** A flask that so much hot solvent leaves a third of empty. */
export function solventFlask(ml: number, isRound: boolean): string {
  const size = (isRound ? roundFlaskForML : flaskForML)(ml * SOLVENT_FILLS)
  const shape = isRound ? 'round-bottomed flask' : 'flask'
  return size === null ? `a large ${shape}` : `a ${size} mL ${shape}`
}

/** What the heat and all that follows from it comes to in a step. */
export function heatingOf(batch: Batch) {
  const { input } = batch
  const solvents = solventsOf(batch)
  const isRound = needsReflux(input.crudeG, batch.result.hotML)
  const heat = heatFor(solvents, input.hotC, isRound)
  const boilsC = lowestBoilingC(solvents)
  const place = placeOfHeat(heat, isRound)
  const because = whyHeatedSo(batch, heat, boilsC)
  return {
    boiling: boilsC === null ? 'boiling point' : `${boilsC} °C`,
    gently:
      heat.notAboveC === null
        ? 'let it boil gently for a minute'
        : `stir it at ${heat.notAboveC} °C for a minute or two`,
    toSettle: heat.notAboveC === null ? ' until it no longer boils' : '',
    untilQuiet: heat.notAboveC === null ? 'until it no longer boils' : 'until it is lukewarm',
    toBoilOn:
      heat.notAboveC === null ? 'Counted boiling stones (or a stirring bar) go' : 'A stirring bar goes',
    withStone: heat.notAboveC === null ? ' with a boiling stone' : '',
    plate: heat.setC === null ? 'a little above boiling' : `${heat.setC} °C`,
    onHeat: `${place}${because}`,
    onHeatTube: `${place.replace('on a hot plate', 'in a heating block').replace('in a heating block, or an oil or sand bath', 'in a heating block')}${because}`,
    atHeat: heat.notAboveC === null ? 'at a gentle boil' : `at ${heat.notAboveC} °C and no hotter`,
    orLessSolvent:
      heat.notAboveC !== null && heat.notAboveC < EVAPORATES_FROM_C
        ? 'or let some solvent go off in the hood'
        : `or evaporate some solvent, ${heat.notAboveC === null ? 'at a gentle boil' : `at ${heat.notAboveC} °C and no hotter`}`,
  }
}

/** Why it is heated as it is, to follow the place. */
function whyHeatedSo({ compound, pair, input }: Batch, { source }: Heat, boilsC: number | null): string {
  const boils = boilsC === null ? 'its boiling point is not known' : `it boils at ${boilsC} °C`
  switch (source) {
    case 'hot plate':
      return boilsC === null ? '' : `. It boils at ${boilsC} °C`
    case 'hot bath':
      return boilsC === null ? '' : `. It boils at ${boilsC} °C: never use a bare hot plate`
    case 'warm water':
      return `. ${capital(boils)}, too low for a hot plate`
    case 'water bath':
      return `. ${capital(boils)} and its vapour burns: use no bare hot plate`
    case 'held bath': {
      if (input.hotC >= compound.meltLowC)
        return `. That is above the temperature at which ${compound.name} melts (from ${compound.meltLowC} °C): it turns to an oil before it dissolves. Better no hotter than ${Math.floor(compound.meltLowC - BELOW_MELTING_C)} °C, with more solvent. Ask the person in charge`
      if (input.hotC > compound.meltLowC - 15)
        return `. Heat it no higher: ${compound.name} would melt before it dissolves`
      return pair
        ? `. Heat it no higher: the lower-boiling of the two boils at ${boilsC ?? '?'} °C`
        : `. Heat it no higher: ${boils}`
    }
  }
}
