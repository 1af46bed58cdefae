import { BOTH_ENDS, type LensAbout } from './lensAbout'

export const SEE_IT_MELT = {
  name: 'see it melt',
  title: 'See it melt',
  slug: 'see-it-melt',
  why: 'A pure solid melts within a degree. Learn what the first liquid and the last crystal look like before it counts.',
  minutes: [2, 4],
  rule: BOTH_ENDS,
  isForPhone: true,
  played: 'lens',
  tubes: 1,
  impurity: [0, 0],
  impurityOf: 'whole',
  rateCPerMin: { 1: 1, 2: 1, 3: 2 },
  jobs: 0,
} as const satisfies LensAbout
