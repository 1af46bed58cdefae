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
      sentence: `${compound.name} is an ${used}: hot ${solvent.name} turns it into something else. Choose a solvent without water or alcohol in it.`,
    }
  return groups.includes('aryl ester') && solvent.group === 'water'
    ? {
        rulesOut: false,
        sentence: `${compound.name} is an ester that hot ${solvent.name} slowly splits: no hotter and no longer than it takes to dissolve, and cool at once.`,
      }
    : null
}

/** Solids that melt below this and are this light go off slowly, warm; what is said to sublime does. */
const VOLATILE = { meltsBelowC: 100, lighterThanGPerMol: 200 } as const

/** Whether a solid goes off when it is warmed: it sublimes, or is light and melts low. A rule of the bench. */
export function isVolatile({
  behaviour,
  meltHighC,
  molarMassGPerMol,
}: Pick<Compound, 'behaviour' | 'meltHighC' | 'molarMassGPerMol'>): boolean {
  return (
    behaviour.includes('sublimes') ||
    (meltHighC < VOLATILE.meltsBelowC && molarMassGPerMol < VOLATILE.lighterThanGPerMol)
  )
}

/** Why a compound may not be evaporated from water on an open glass, or null: it goes off, or hot water splits it. */
export function notOverSteam(
  compound: Pick<Compound, 'name' | 'smiles' | 'behaviour' | 'meltHighC' | 'molarMassGPerMol'>,
): string | null {
  if (isVolatile(compound)) return `${capital(compound.name)} may go off with the steam.`
  return reactiveGroupsOf(compound.smiles).length > 0
    ? `${capital(compound.name)} is split by hot water: not over steam.`
    : null
}
