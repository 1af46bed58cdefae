import type { ExerciseAbout } from '../exercise'

export const DISSOLVE = {
  name: 'just dissolved',
  title: 'Just dissolved',
  slug: 'just-dissolved',
  why: 'Every extra millilitre keeps product in the mother liquor, and grit never dissolves, however much you add.',
  minutes: [2, 4],
  rule: 'clear except for grit, within a fifth of the least volume and two test portions, nothing heated dry',
  isForPhone: false,
  played: 'dissolve',
} as const satisfies ExerciseAbout
