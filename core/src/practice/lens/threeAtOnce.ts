import { BOTH_ENDS, type LensAbout } from './lensAbout'

export const THREE_AT_ONCE = {
  name: 'three at once',
  title: 'Three at once',
  slug: 'three-at-once',
  why: 'A mixed melt has three tubes side by side. Each has two moments to mark, in any order.',
  minutes: [3, 6],
  rule: BOTH_ENDS,
  isForPhone: true,
  played: 'lens',
  tubes: 3,
  impurity: [0, 0.08],
  impurityOf: 'whole',
  rateCPerMin: { 1: 1, 2: 1, 3: 2 },
  jobs: 0,
} as const satisfies LensAbout
