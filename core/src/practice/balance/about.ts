import type { ExerciseAbout } from '../exercise'

export const BALANCE = {
  name: 'the balance',
  title: 'The balance',
  slug: 'the-balance',
  why: 'Everything after it is divided by this mass: at rest, tared, the right vessel, all its digits.',
  minutes: [2, 3],
  rule: 'the mass within two steps of the display, all digits given',
  isForPhone: true,
  played: 'balance',
} as const satisfies ExerciseAbout
