import type { EntryId } from '../../ids'
import type { View } from '../fold'
import { strikeOf } from '../read'

/** Whether a decision rests on a line that has been struck since. */
export function isStale(
  view: View,
  decision: { readonly body: { readonly restsOn: readonly EntryId[] } },
): boolean {
  return decision.body.restsOn.some((id) => strikeOf(view, id) !== null)
}
