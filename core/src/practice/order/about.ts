import type { ExerciseAbout } from '../exercise'

export const ORDER = {
  name: 'out on time',
  title: 'Out on time',
  slug: 'out-on-time',
  why: 'Most of a lab period is waiting. The order of the work decides when you finish.',
  minutes: [3, 6],
  rule: 'finished within a twentieth of the shortest plan',
  isForPhone: false,
  played: 'order',
} as const satisfies ExerciseAbout
