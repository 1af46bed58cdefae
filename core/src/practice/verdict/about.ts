import type { ExerciseAbout } from '../exercise'

export const VERDICT = {
  name: 'what does it say',
  title: 'What does it say?',
  slug: 'what-does-it-say',
  why: 'The same range can come from impurity, fast heating or the thermometer. Say which, and what would decide it.',
  minutes: [2, 4],
  rule: 'verdict, cause and next step all correct',
  isForPhone: true,
  played: 'verdict',
} as const satisfies ExerciseAbout
