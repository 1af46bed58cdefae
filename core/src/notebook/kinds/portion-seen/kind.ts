import type { EntryId } from '../../../ids'
import { defineKind } from '../defineKind'

export const PORTION_EFFECTS = ['less solid', 'no change', 'all dissolved'] as const

/** What a portion of hot solvent did, seen after swirling and a pause. */
export interface PortionSeen {
  readonly portion: EntryId
  readonly effect: (typeof PORTION_EFFECTS)[number]
}
export const portionSeen = defineKind<PortionSeen>()({
  kind: 'portion seen',
  version: 1,
  about: 'prep',
  sentence: (body) => `After that portion: ${body.effect}.`,
})
