import type { ExerciseAbout } from '../exercise'

export const ORDER = {
  name: 'out on time',
  title: 'Out on time',
  slug: 'out-on-time',
  why: 'Most of a lab period is waiting: the order of the work decides when the door closes behind you.',
  minutes: [3, 6],
  rule: 'finished within a twentieth of the best order there is',
  isForPhone: false,
  played: 'order',
} as const satisfies ExerciseAbout
