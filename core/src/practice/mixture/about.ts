import type { ExerciseAbout } from '../exercise'

export const MIXTURE = {
  name: 'which mixture',
  title: 'Which mixture?',
  slug: 'which-mixture',
  why: 'Six compounds melt where the unknown does: each mixed melt costs half an hour, so choose the telling one.',
  minutes: [2, 5],
  rule: 'named right, shown by the mixtures, in no more runs than the planner',
  isForPhone: false,
  played: 'mixture',
} as const satisfies ExerciseAbout
