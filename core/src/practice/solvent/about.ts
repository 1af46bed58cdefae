import type { ExerciseAbout } from '../exercise'

export const SOLVENT = {
  name: 'choose the solvent',
  title: 'Choose the solvent',
  slug: 'choose-the-solvent',
  why: 'Steep and low is what a good solvent looks like: the curve decides, before any is poured.',
  minutes: [2, 3],
  rule: 'the ranking’s first, or one as good',
  isForPhone: false,
  played: 'solvent',
} as const satisfies ExerciseAbout
