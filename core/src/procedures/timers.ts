/** What a timer counts, in words. */
export const TIMER_WORDS = {
  cool: 'cooling to room temperature',
  ice: 'ice bath',
  air: 'air drying',
  spin: 'spinning',
  boil: 'gentle boiling',
  dry: 'drying between weighings',
} as const
export type Timer = keyof typeof TIMER_WORDS
