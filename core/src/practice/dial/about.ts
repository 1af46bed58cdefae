import type { ExerciseAbout } from '../exercise'

export const DIAL = {
  name: 'the dial',
  title: 'The dial',
  slug: 'the-dial',
  why: 'A block answers its dial late: be slow where it matters and quick where it does not.',
  minutes: [3, 6],
  rule: 'nine degrees of ten in the window at 1 to 2 °C/min, in at most a quarter more than the planner’s minutes',
  isForPhone: false,
  played: 'dial',
} as const satisfies ExerciseAbout
