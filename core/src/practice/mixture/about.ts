import type { ExerciseAbout } from '../exercise'

export const MIXTURE = {
  name: 'which mixture',
  title: 'Which mixture?',
  slug: 'which-mixture',
  why: 'Six compounds melt where the unknown does. Each mixed melt takes half an hour, so choose the most informative one.',
  minutes: [2, 5],
  rule: 'named correctly, shown by mixed melts, in no more runs than the planner',
  isForPhone: false,
  played: 'mixture',
} as const satisfies ExerciseAbout
