import type { ExerciseAbout } from '../exercise'

export const DIAL = {
  name: 'the dial',
  title: 'The dial',
  slug: 'the-dial',
  why: 'A block responds late to its dial. Heat slowly where it matters and fast where it does not.',
  minutes: [3, 6],
  rule: 'nine tenths of the watch band at 1 to 2 °C/min, in at most a quarter more time than the planner',
  isForPhone: false,
  played: 'dial',
} as const satisfies ExerciseAbout
