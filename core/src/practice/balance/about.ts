import type { ExerciseAbout } from '../exercise'

export const BALANCE = {
  name: 'the balance',
  title: 'The balance',
  slug: 'the-balance',
  why: 'Everything later is divided by this mass. Tare, wait until it is at rest, use the right vessel, and write all digits.',
  minutes: [2, 3],
  rule: 'the mass within two steps of the display, with all digits',
  isForPhone: true,
  played: 'balance',
} as const satisfies ExerciseAbout
