import type { SubjectId } from '../../ids'
import type { Entry } from '../entry'
import type { View } from '../fold'
import { linesOf, memoize, subjectsWith } from '../read'

/** Photographs taken of a prep, an unknown, a plate or a melt, in the order they were taken. */
export const photographsOf = memoize((view: View, id: SubjectId): readonly Entry<'photographed'>[] =>
  linesOf(view, id, 'photographed'),
)

/** Every picture that stands in a notebook, each once. */
export function picturesIn(view: View): readonly Entry<'photographed'>[] {
  const all = subjectsWith(view, 'photographed').flatMap((id) => linesOf(view, id, 'photographed'))
  return [...new Map(all.map((line) => [line.body.sha256, line])).values()]
}
