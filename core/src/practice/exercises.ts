import { BALANCE } from './balance/about'
import { DIAL } from './dial/about'
import { DISSOLVE } from './dissolve/about'
import type { ExerciseAbout } from './exercise'
import { FLAME } from './flame/about'
import { AT_THE_LENS } from './lens/exercises'
import { MIXTURE } from './mixture/about'
import { ORDER } from './order/about'
import { SOLVENT } from './solvent/about'
import { VERDICT } from './verdict/about'
import { WRONG } from './wrong/about'

/** Every exercise, in the order they are listed: each is a folder, and this is the one list of them. */
const ALL = [...AT_THE_LENS, DIAL, FLAME, DISSOLVE, BALANCE, VERDICT, MIXTURE, ORDER, WRONG, SOLVENT] as const
export type ExerciseName = (typeof ALL)[number]['name']
export const EXERCISES: readonly ExerciseName[] = ALL.map(({ name }) => name)

/** What an exercise says of itself, by its name. */
export const ABOUT = Object.fromEntries(ALL.map((about) => [about.name, about])) as Readonly<
  Record<ExerciseName, ExerciseAbout>
>

/** So many good ones in a row, and an exercise is mastered at its level. */
export const GOOD_IN_A_ROW = 3

/** What a beginner does before the first real prep: five at the lens, where what is missed cannot be made good. */
export const FIRST_PATH = [
  'see it melt',
  'shrinking is not melting',
  'two numbers',
  'three at once',
  'it starts early',
] as const satisfies readonly ExerciseName[]

/** Of an address; null where there is none. */
export function exerciseAt(slug: string): ExerciseName | null {
  return EXERCISES.find((name) => ABOUT[name].slug === slug) ?? null
}
