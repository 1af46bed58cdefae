import { IT_STARTS_EARLY } from './itStartsEarly'
import { SEE_IT_MELT } from './seeItMelt'
import { SHRINKING } from './shrinking'
import { THREE_AT_ONCE } from './threeAtOnce'
import { TWO_NUMBERS } from './twoNumbers'

/** The exercises at the lens, in the order they are listed. */
export const AT_THE_LENS = [SEE_IT_MELT, SHRINKING, TWO_NUMBERS, IT_STARTS_EARLY, THREE_AT_ONCE] as const
export type LensExercise = (typeof AT_THE_LENS)[number]['name']
export const LENS_EXERCISES: readonly LensExercise[] = AT_THE_LENS.map(({ name }) => name)

/** What an exercise at the lens is. */
export function lensAbout(exercise: LensExercise): (typeof AT_THE_LENS)[number] {
  const about = AT_THE_LENS.find(({ name }) => name === exercise)
  if (!about) throw new Error(`No exercise at the lens is called “${exercise}”.`)
  return about
}
