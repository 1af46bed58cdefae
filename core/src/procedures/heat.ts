import { boilsFromC } from '../substances/boiling'
import type { Solvent } from '../substances/shelf'
import { isFlammable } from '../substances/hazards'

/** A hot bath is of oil or sand, a heating block or a mantle: what a flask stands in, and not on. */
export type HeatSource = 'warm water' | 'water bath' | 'held bath' | 'hot bath' | 'hot plate'
/** How a solution is heated. */
export interface Heat {
  readonly source: HeatSource
  /** What bath or plate is set to, °C; null where the boiling point is not known. */
  readonly setC: number | null
  /** Neither bath nor solution above this, °C; null where it is simply kept at the boil. */
  readonly notAboveC: number | null
}

/** Solvents that boil below this are heated in warm water, °C: too volatile even for a steam bath. */
const BOILS_LOW_BELOW_C = 45
/** A flammable solvent that boils below this is heated in a water or steam bath, never on a bare plate, °C. */
const NO_PLATE_BELOW_C = 85
/** Planned this far below the boiling point, °C, a solution is held there and not boiled. */
const HELD_FROM_BELOW_C = 4
/** How far a bath stands above the boiling point, °C. */
const BATH_ABOVE_C = 10
/** How far a hot bath or block stands above the boiling point, °C. */
const HOT_BATH_ABOVE_C = 30
/** How far the plate is set above the boiling point, °C; plates read warmer than what stands on them. */
const PLATE_ABOVE_C = 40
/** A bath of water goes no higher, °C; above, the bath is of oil or sand. */
export const WATER_BATH_TO_C = 95

/**
 * What a solution is heated with, by what it is and how hot the plan wants it: planned short of boiling it is
 * held there; a flammable solvent that boils below 85 °C, or whose boiling point is not known, goes in a water
 * or steam bath; one that boils below 45 °C in warm water; one that burns easily and boils higher in a hot bath or
 * block, since a bare plate can be hotter than its vapour lights by itself; only what hardly burns, or does not, stands
 * on a plate, and no round flask ever does. Rules of the bench.
 *
 * @param solvents all that are in the flask
 * @param hotC temperature of the plan, °C
 * @param isRound a round flask under a condenser
 * @example heatFor([ethanol95], 78) // { source: 'water bath', setC: 90, notAboveC: null }
 */
export function heatFor(solvents: readonly Solvent[], hotC: number, isRound = false): Heat {
  const boilsC = lowestBoilingC(solvents)
  if (boilsC !== null && hotC <= boilsC - HELD_FROM_BELOW_C)
    return { source: 'held bath', setC: hotC, notAboveC: hotC }
  const burns = solvents.some(({ hazards }) => isFlammable(hazards))
  if (boilsC === null)
    return burns
      ? { source: 'held bath', setC: hotC, notAboveC: hotC }
      : { source: isRound ? 'hot bath' : 'hot plate', setC: null, notAboveC: null }
  if (boilsC < BOILS_LOW_BELOW_C)
    return { source: 'warm water', setC: toFive(boilsC + BATH_ABOVE_C), notAboveC: null }
  if (burns && boilsC < NO_PLATE_BELOW_C)
    return {
      source: 'water bath',
      setC: Math.min(WATER_BATH_TO_C, toFive(boilsC + BATH_ABOVE_C)),
      notAboveC: null,
    }
  if (isRound || solvents.some(({ hazards }) => burnsEasily(hazards)))
    return { source: 'hot bath', setC: toFive(boilsC + HOT_BATH_ABOVE_C), notAboveC: null }
  return { source: 'hot plate', setC: Math.round((boilsC + PLATE_ABOVE_C) / 10) * 10, notAboveC: null }
}

/** Its vapour lights at or below room temperature. */
function burnsEasily(hazards: readonly string[]): boolean {
  return hazards.includes('H224') || hazards.includes('H225')
}

/** The boiling point that counts for a mixture, °C: the lowest known one. */
export function lowestBoilingC(solvents: readonly Solvent[]): number | null {
  const known = solvents.flatMap((one) => boilsFromC(one) ?? [])
  return known.length > 0 ? Math.min(...known) : null
}

/** Where the flask stands, for a sentence: “in …” or “on …”. */
export function placeOfHeat({ source, setC }: Heat, isRound = false): string {
  const onJack = isRound ? ' on a lab jack' : ''
  switch (source) {
    case 'warm water':
      return `in a bath of warm water${onJack} at about ${setC} °C`
    case 'water bath':
      return `in a water or steam bath${onJack} at about ${setC} °C`
    case 'held bath':
      return `in ${(setC ?? 0) <= WATER_BATH_TO_C ? 'a water bath' : 'an oil or sand bath'} ${onJack ? 'on a lab jack, ' : ''}held at ${setC} °C`
    case 'hot bath':
      return `${isRound ? 'in a heating mantle, or an oil or sand bath, on a lab jack' : 'in a heating block, or an oil or sand bath'}${setC === null ? '' : ` at about ${setC} °C`}`
    case 'hot plate':
      return setC === null
        ? 'on a hot plate a little above boiling'
        : `on a hot plate set to about ${setC} °C`
  }
}

function toFive(c: number): number {
  return Math.round(c / 5) * 5
}
