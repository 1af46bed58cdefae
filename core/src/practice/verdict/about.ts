import type { ExerciseAbout } from '../exercise'

export const VERDICT = {
  name: 'what does it say',
  title: 'What does it say?',
  slug: 'what-does-it-say',
  why: 'The same two numbers can be impurity, haste, or a thermometer: say which, and what would settle it.',
  minutes: [2, 4],
  rule: 'verdict, cause and next step all right',
  isForPhone: true,
  played: 'verdict',
} as const satisfies ExerciseAbout
