import type { PrepId } from '../../ids'
import type { Entry, KnownEntry } from '../entry'
import { KINDS } from '../kinds/list'
import type { KindDefinition } from '../kinds/defineKind'
import type { View } from '../fold'
import { everyLineOf, remember, strikeOf } from '../read'
import { uncapital } from '../../words'
import { meltsOf } from './melt'
import { prepOf } from './prep'

export interface LogLine {
  readonly entry: KnownEntry
  readonly sentence: string
  /** The strike through it, when it was struck. */
  readonly strike: Entry<'struck'> | null
  /** Strikes through it that were taken back, each with when. */
  readonly takenBack: readonly { readonly strike: Entry<'struck'>; readonly back: Entry<'struck'> }[]
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
  const labels = new Map(prep.samples.map((sample) => [sample.id as string, sample.label]))
  const every = subjects.flatMap((subject) => everyLineOf(view, subject))
  const strikes = every.filter((line) => line.kind === 'struck')
  return every
    .filter((line) => line.kind !== 'trace' && line.kind !== 'struck')
    .sort((p, q) => (p.id < q.id ? -1 : 1))
    .map((entry) => ({
      entry,
      sentence: toldOf(entry, labels),
      strike: strikeOf(view, entry.id),
      takenBack: strikes.flatMap((strike) => {
        const back = strike.body.target === entry.id ? strikeOf(view, strike.id) : null
        return back ? [{ strike, back }] : []
      }),
    }))
})

/** A weighing says what was weighed: its own line knows only which sample. */
function toldOf(entry: KnownEntry, labels: ReadonlyMap<string, string>): string {
  const label = entry.kind === 'weighed' ? labels.get(entry.subject) : undefined
  return label === undefined ? sentenceOf(entry) : `${label}: ${uncapital(sentenceOf(entry))}`
}

export function sentenceOf(entry: KnownEntry): string {
  return (KINDS[entry.kind] as KindDefinition<KnownEntry['body']>).sentence(entry.body)
}
