import type { Compound } from '../../../substances/shelf'
import { defineKind } from '../defineKind'

/** A prep begins: compound to purify, as the shelf gave it at the time. */
export interface PrepOpened {
  readonly title: string
  readonly compound: Compound
}
export const prepOpened = defineKind<PrepOpened>()({
  kind: 'prep opened',
  version: 1,
  about: 'prep',
  sentence: (body) => `Opened “${body.title}”.`,
})
