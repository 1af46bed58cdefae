import type { ExerciseAbout } from '../exercise'

export const WRONG = {
  name: 'what is wrong here',
  title: 'What is wrong here?',
  slug: 'what-is-wrong-here',
  why: 'Find the mistakes on this bench, and say why each is one and what to do instead.',
  minutes: [2, 4],
  rule: 'every mistake found, nothing correct marked as wrong, reason and remedy right',
  isForPhone: false,
  played: 'wrong',
} as const satisfies ExerciseAbout
