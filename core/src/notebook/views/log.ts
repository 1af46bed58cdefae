import type { PrepId, UnknownId } from '../../ids'
import type { Entry, KnownEntry } from '../entry'
import { sentenceOf } from '../sentence'
import type { View } from '../fold'
import { everyLineOf, remember, strikeOf } from '../read'
import { uncapital } from '../../words'
import { meltIdsWith, meltsOf } from './melt'
import { platesOf } from './plates'
import { prepOf } from './prep'
import { unknownOf } from './unknowns'

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
  return prep
    ? linesAbout(
        view,
        [id, ...meltsOf(view, id).map((melt) => melt.id)],
        prep.samples.map((sample) => [sample.id, sample.label]),
      )
    : []
})

/** Everything written about an unknown, what it was ground with, and their melts and plates, in order of truth. */
export const caseLogOf = remember((view: View, id: UnknownId): readonly LogLine[] => {
  const unknown = unknownOf(view, id)
  if (!unknown) return []
  const samples = [unknown.sample, ...unknown.mixtures.map(({ sample }) => sample)]
  const melts = samples.flatMap((sample) => meltIdsWith(view, sample.id))
  const plates = platesOf(view, id).map((plate) => plate.id)
  return linesAbout(
    view,
    [...new Set<string>([id, ...melts, ...plates])],
    samples.map((sample) => [sample.id, sample.label]),
  )
})

function linesAbout(
  view: View,
  subjects: readonly string[],
  samples: readonly (readonly [id: string, label: string])[],
): readonly LogLine[] {
  const labels = new Map(samples)
  const every = [...subjects, ...labels.keys()].flatMap((subject) => everyLineOf(view, subject))
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
}

/** A weighing says what was weighed: its own line knows only which sample. */
function toldOf(entry: KnownEntry, labels: ReadonlyMap<string, string>): string {
  const label = entry.kind === 'weighed' ? labels.get(entry.subject) : undefined
  return label === undefined ? sentenceOf(entry) : `${label}: ${uncapital(sentenceOf(entry))}`
}
