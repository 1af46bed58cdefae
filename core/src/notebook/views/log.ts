import type { PrepId } from '../../ids'
import type { Entry, KnownEntry } from '../entry'
import { KINDS } from '../kinds/list'
import type { KindDefinition } from '../kinds/defineKind'
import type { View } from '../fold'
import { everyLineOf, remember, strikeOf } from '../read'
import { meltsOf } from './melt'
import { prepOf } from './prep'

export interface LogLine {
  readonly entry: KnownEntry
  readonly sentence: string
  /** The strike through it, when it was struck. */
  readonly strike: Entry<'struck'> | null
}

/** Everything written about a prep, its samples and its melts, in order of truth; readings by the second left out. */
export const logOf = remember((view: View, id: PrepId): readonly LogLine[] => {
  const prep = prepOf(view, id)
  if (!prep) return []
  const subjects = [
    id,
    ...prep.samples.map((sample) => sample.id),
    ...meltsOf(view, id).map((melt) => melt.id),
  ]
  return subjects
    .flatMap((subject) => everyLineOf(view, subject))
    .filter((line) => line.kind !== 'trace' && line.kind !== 'struck')
    .sort((p, q) => (p.id < q.id ? -1 : 1))
    .map((entry) => ({ entry, sentence: sentenceOf(entry), strike: strikeOf(view, entry.id) }))
})

export function sentenceOf(entry: KnownEntry): string {
  return (KINDS[entry.kind] as KindDefinition<KnownEntry['body']>).sentence(entry.body)
}
