import type { Grain } from '../../heating/observedRange'
import { ImpossibleInput } from '../../problems'
import { fusionOf } from '../../substances/fusionOf'
import type { Compound } from '../../substances/shelf'
import {
  type BlockCharacter,
  PROGRAMMABLE_BLOCK,
  DETECTING_BLOCK,
  HOT_STAGE,
} from '../../instruments/characters'
import { type MeltExercise, firstSeenC, SHRINKS_MOST_C } from './make'

/** The instruments an exercise can be made for. */
export const MADE_ON = ['programmable block', 'detecting block', 'hot stage'] as const

const CHARACTERS: Readonly<Record<(typeof MADE_ON)[number], BlockCharacter>> = {
  'programmable block': PROGRAMMABLE_BLOCK,
  'detecting block': DETECTING_BLOCK,
  'hot stage': HOT_STAGE,
}

export const MADE_RATES = [0.5, 1, 2, 5] as const

/** Ends of what a code can carry. */
export const MADE_LIMITS = { impurityPercent: 50, fillMm: 15, minutes: 15, seed: 2 ** 21 - 1 } as const

/** One tube made to measure by an instructor. */
export interface MadeExercise {
  readonly compound: string
  /** Ids as on the shelf; null for a pure one. */
  readonly impurity: string | null
  /** mol %, whole. */
  readonly impurityPercent: number
  readonly fillMm: number
  readonly grain: Grain
  readonly instrument: (typeof MADE_ON)[number]
  readonly rateCPerMin: (typeof MADE_RATES)[number]
  /** It ends after so many of the learner’s minutes; 0 for no end. */
  readonly minutes: number
  readonly seed: number
}

/**
 * The tube as it is put to a learner.
 *
 * @throws ImpossibleInput where a compound is not on this shelf
 */
export function meltOfMade(made: MadeExercise, compounds: readonly Compound[]): MeltExercise {
  const find = (id: string) => {
    const compound = compounds.find((one) => one.id === id)
    if (!compound) throw new ImpossibleInput('bad-options', `“${id}” is not on this shelf.`)
    return compound
  }
  const compound = find(made.compound)
  const other = made.impurity !== null && made.impurityPercent > 0 ? find(made.impurity) : null
  const character = CHARACTERS[made.instrument]
  const slot: 1 | 2 = character.slots === 1 ? 1 : 2
  const tube = {
    slot,
    sample: {
      a: fusionOf(compound),
      b: other ? fusionOf(other) : null,
      moleFractionA: other ? 1 - made.impurityPercent / 100 : 1,
    },
    fillMm: made.fillMm,
    grain: made.grain,
    colour: compound.colour,
    was: other
      ? `${compound.name} with ${made.impurityPercent} mol % of ${other.name}`
      : `${compound.name}, pure`,
    seed: made.seed,
  }
  const first = firstSeenC(tube)
  // As far below as can be drawn for the place’s own, from the seed: nobody can count on it.
  const below = 2 + (made.seed % 4)
  return {
    exercise: 'see it melt',
    seed: made.seed,
    level: 1,
    tubes: [tube],
    startC: Math.max(character.ambientC + 1, Math.round(first - SHRINKS_MOST_C - below)),
    rateCPerMin: made.rateCPerMin,
    stopC: Math.min(character.maxC, Math.ceil(compound.meltHighC + 6)),
    character,
  }
}
