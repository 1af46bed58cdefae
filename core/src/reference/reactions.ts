import type { Compound, Solvent } from './shelf'
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
      sentence: `${compound.name} is an ${used}: hot ${solvent.name} turns it into something else. Choose a solvent without water or alcohol in it.`,
    }
  return groups.includes('aryl ester') && solvent.group === 'water'
    ? {
        rulesOut: false,
        sentence: `${compound.name} is an ester that hot ${solvent.name} slowly splits: no hotter and no longer than it takes to dissolve, and cool at once.`,
      }
    : null
}

/** Solids that melt below this and are this light may go off with steam; what is said to sublime does. */
const STEAM_VOLATILE = { meltsBelowC: 100, lighterThanGPerMol: 200 } as const

/**
 * Why a compound may not be evaporated from water on an open glass, or null: it sublimes, may go off with the
 * steam, or is split by hot water. A rule of the bench.
 */
export function notOverSteam(
  compound: Pick<Compound, 'name' | 'smiles' | 'behaviour' | 'meltHighC' | 'molarMassGPerMol'>,
): string | null {
  if (compound.behaviour.includes('sublimes'))
    return `${compound.name} sublimes: it would go off with the steam.`
  if (reactiveGroupsOf(compound.smiles).length > 0)
    return `${compound.name} is split by hot water: not over steam.`
  return compound.meltHighC < STEAM_VOLATILE.meltsBelowC &&
    compound.molarMassGPerMol < STEAM_VOLATILE.lighterThanGPerMol
    ? `${compound.name} is light and melts low: it may go off with the steam.`
    : null
}
