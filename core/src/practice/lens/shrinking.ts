import { BOTH_ENDS, type LensAbout } from './lensAbout'

export const SHRINKING = {
  name: 'shrinking is not melting',
  title: 'Shrinking is not melting',
  slug: 'shrinking',
  why: 'Powder shrinks while still dry, one to three degrees before it melts. This is the most common wrong onset.',
  minutes: [2, 5],
  rule: BOTH_ENDS,
  isForPhone: true,
  played: 'lens',
  tubes: 1,
  impurity: [0, 0],
  impurityOf: 'whole',
  rateCPerMin: { 1: 1, 2: 1, 3: 2 },
  jobs: 0,
} as const satisfies LensAbout
