import type { EntryId } from '../../../ids'
import { defineKind } from '../defineKind'

/** Strikes one line of the same notebook, with a reason; may arrive before its target. A strike is taken back by striking it. */
export interface Struck {
  readonly target: EntryId
  readonly reason: string
}
export const struck = defineKind<Struck>()({
  kind: 'struck',
  version: 1,
  about: 'any',
  sentence: (body) => `Struck out an entry: ${body.reason}.`,
})
