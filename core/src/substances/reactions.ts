import type { Compound, Solvent } from './shelf'
import { capital } from '../words'
import { type ReactiveGroup, reactiveGroupsOf } from './groups'

export interface Reaction {
  /** It would be used up; otherwise it only suffers when it is kept hot for long. */
  readonly rulesOut: boolean
  readonly sentence: string
}

/** Hot, these take up water and alcohols. */
const WITH_HYDROXYL: Readonly<Record<ReactiveGroup, 'used up' | 'suffers'>> = {
  anhydride: 'used up',
  'acid halide': 'used up',
  'aryl ester': 'suffers',
}
const GROUPS_WITH_HYDROXYL: readonly string[] = ['water', 'alcohol']

/**
 * Whether a compound reacts with what it is to be dissolved in, by the groups of its structure: anhydrides and acid
 * halides with hot water and alcohols, esters of phenols slowly with hot water. What the structure does not show is
 * not known.
 *
 * @returns null where nothing speaks against it
 * @example reactionOf(phthalicAnhydride, water)?.rulesOut // true
 */
export function reactionOf(
  compound: Pick<Compound, 'name' | 'smiles'>,
  solvent: Pick<Solvent, 'name' | 'group'>,
): Reaction | null {
  if (!GROUPS_WITH_HYDROXYL.includes(solvent.group)) return null
  const groups = reactiveGroupsOf(compound.smiles)
  const used = groups.find((group) => WITH_HYDROXYL[group] === 'used up')
  if (used)
    return {
      rulesOut: true,
      sentence: `${compound.name} is an ${used}: hot ${solvent.name} reacts with it. Choose a solvent without water or alcohol.`,
    }
  return groups.includes('aryl ester') && solvent.group === 'water'
    ? {
        rulesOut: false,
        sentence: `${compound.name} is an ester that hot ${solvent.name} slowly splits. Heat it no hotter and no longer than it needs to dissolve, then cool it at once.`,
      }
    : null
}

/** Solids that melt below this and are this light go off slowly, warm; what is said to sublime does. */
const VOLATILE = { meltsBelowC: 100, lighterThanGPerMol: 200 } as const

/** What has 1 mmHg of vapour below this goes off in the air of a room or a warm oven, °C. */
const VOLATILE_BELOW_1_MMHG_C = 75

type Vapour = Pick<
  Compound,
  'behaviour' | 'meltHighC' | 'molarMassGPerMol' | 'vapour1mmHgC' | 'sublimes' | 'anhydrousAtC'
>

/** A solid this light may have a vapour that nobody has put on file. */
export function isLight({ molarMassGPerMol }: Pick<Compound, 'molarMassGPerMol'>): boolean {
  return molarMassGPerMol < VOLATILE.lighterThanGPerMol
}

/**
 * Whether a solid goes off when it is warmed or drawn with air: it is known to sublime at once, or has 1 mmHg of vapour
 * below 75 °C; where its vapour is not known, whether it visibly sublimes; where neither is, whether it is light and
 * melts low. A rule of the bench.
 */
export function isVolatile(compound: Vapour): boolean {
  const { behaviour, meltHighC, vapour1mmHgC, sublimes, anhydrousAtC } = compound
  // What stands an oven that takes its crystal water sublimes far above that.
  if (anhydrousAtC !== undefined) return false
  if (behaviour.includes('sublimes')) return true
  if (vapour1mmHgC !== undefined) return vapour1mmHgC < VOLATILE_BELOW_1_MMHG_C
  if (sublimes !== undefined) return sublimes === 'yes' && meltHighC < VOLATILE.meltsBelowC
  return meltHighC < VOLATILE.meltsBelowC && isLight(compound)
}

/** Why a compound may not be evaporated from water on an open glass, or null: it goes off, or hot water splits it. */
export function notOverSteam(compound: Pick<Compound, 'name' | 'smiles'> & Vapour): string | null {
  if (isVolatile(compound)) return `${capital(compound.name)} could evaporate with the steam.`
  return reactiveGroupsOf(compound.smiles).length > 0
    ? `${capital(compound.name)} is split by hot water. Do not evaporate it over steam.`
    : null
}
