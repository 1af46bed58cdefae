import { defineKind } from '../defineKind'

/** The mother liquor was thrown away, and whether the yield was known by then. */
export interface LiquorDiscarded {
  readonly waste: string
  readonly yieldKnown: boolean
}
export const liquorDiscarded = defineKind<LiquorDiscarded>()({
  kind: 'liquor discarded',
  version: 1,
  about: 'prep',
  sentence: (body) =>
    `Discarded the mother liquor (${body.waste})${body.yieldKnown ? '' : ', before the yield was known'}.`,
})
