import type { ExerciseAbout } from '../exercise'

export const DISSOLVE = {
  name: 'just dissolved',
  title: 'Just dissolved',
  slug: 'just-dissolved',
  why: 'Every millilitre too many keeps product in the liquor, and grit never dissolves however much is poured.',
  minutes: [2, 4],
  rule: 'clear but for grit, within a fifth of the least and two portions to try it, nothing heated dry',
  isForPhone: false,
  played: 'dissolve',
} as const satisfies ExerciseAbout
