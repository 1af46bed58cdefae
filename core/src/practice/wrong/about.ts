import type { ExerciseAbout } from '../exercise'

export const WRONG = {
  name: 'what is wrong here',
  title: 'What is wrong here?',
  slug: 'what-is-wrong-here',
  why: 'A mistake seen at a glance is one not made: look the bench over, and say why and what instead.',
  minutes: [2, 4],
  rule: 'every mistake found, nothing right accused, why and remedy right',
  isForPhone: false,
  played: 'wrong',
} as const satisfies ExerciseAbout
