import type { ExerciseAbout } from '../exercise'

export const SOLVENT = {
  name: 'choose the solvent',
  title: 'Choose the solvent',
  slug: 'choose-the-solvent',
  why: 'A good solvent dissolves much when hot and little when cold. Read the curve before you use any.',
  minutes: [2, 3],
  rule: 'the first of the ranking, or one as good',
  isForPhone: false,
  played: 'solvent',
} as const satisfies ExerciseAbout
