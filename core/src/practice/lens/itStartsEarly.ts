import { BOTH_ENDS, type LensAbout } from './lensAbout'

export const IT_STARTS_EARLY = {
  name: 'it starts early',
  title: 'It starts early',
  slug: 'it-starts-early',
  why: 'A crude solid begins to melt thirty degrees low, while you have other work to do. Keep looking back and forth.',
  minutes: [4, 6],
  rule: `${BOTH_ENDS}, and at most one small job wrong`,
  isForPhone: true,
  played: 'lens',
  tubes: 1,
  impurity: [0.16, 0.24],
  impurityOf: 'whole',
  rateCPerMin: { 1: 2, 2: 2, 3: 2 },
  jobs: 5,
} as const satisfies LensAbout
