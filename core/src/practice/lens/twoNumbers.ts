import { BOTH_ENDS, type LensAbout } from './lensAbout'

export const TWO_NUMBERS = {
  name: 'two numbers',
  title: 'Two numbers',
  slug: 'two-numbers',
  why: 'An impure solid is slush over many degrees. Report both ends, not the middle.',
  minutes: [3, 6],
  rule: BOTH_ENDS,
  isForPhone: true,
  played: 'lens',
  tubes: 1,
  impurity: [0.3, 0.5],
  // Of a eutectic’s share: so much that the first drop stands there as the eutectic melts, and the powder draws together just before.
  impurityOf: 'eutectic',
  rateCPerMin: { 1: 1, 2: 1, 3: 2 },
  jobs: 0,
} as const satisfies LensAbout
