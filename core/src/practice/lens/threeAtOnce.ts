import { BOTH_ENDS, type LensAbout } from './lensAbout'

export const THREE_AT_ONCE = {
  name: 'three at once',
  title: 'Three at once',
  slug: 'three-at-once',
  why: 'A mixed test melts three tubes side by side: each has two moments, and they come when they like.',
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
