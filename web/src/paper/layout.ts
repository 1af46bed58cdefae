/** One page to hand in, or everything. */
export type Layout = 'hand-in' | 'full'
