import type { PrepId, SubjectId, UnknownId } from '../../ids'
import type { Entry, KnownEntry } from '../entry'
import { sentenceOf } from '../sentence'
import type { View } from '../fold'
import { everyLineOf, memoize, strikeOf } from '../read'
import { uncapital } from '../../words'
import { meltIdsWith, meltsOf } from './melt'
import { platesOf } from './plates'
import { mixturesOf } from './mixtures'
import { type PrepFacts, prepOf } from './prep'
import { unknownOf } from './unknowns'

export interface LogLine {
  readonly entry: KnownEntry
  readonly sentence: string
  /** The strike through it, when it was struck. */
  readonly strike: Entry<'struck'> | null
  /** Strikes through it that were taken back, each with when. */
  readonly takenBack: readonly { readonly strike: Entry<'struck'>; readonly back: Entry<'struck'> }[]
}

/** Whom a page is about, in the order they are told, and what its samples are called. */
interface LogScope {
  readonly subjects: readonly string[]
  readonly labels: ReadonlyMap<string, string>
}
function logScopeOf(view: View, id: PrepId | UnknownId): LogScope | null {
  const prep = prepOf(view, id as PrepId)
  if (prep)
    return {
      subjects: [id, ...meltsOf(view, prep.id).map((melt) => melt.id)],
      labels: new Map(
        [...prep.samples, ...mixturesOfPrep(view, prep)].map(({ id: of, label }) => [of as string, label]),
      ),
    }
  const unknown = unknownOf(view, id as UnknownId)
  if (!unknown) return null
  const samples = [unknown.sample, ...unknown.mixtures.map(({ sample }) => sample)]
  const melts = samples.flatMap((sample) => meltIdsWith(view, sample.id))
  const plates = platesOf(view, unknown.id).map((plate) => plate.id)
  return {
    subjects: [...new Set<string>([id, ...melts, ...plates])],
    labels: new Map(samples.map((sample) => [sample.id as string, sample.label])),
  }
}

/** What was ground with one of its samples. */
const mixturesOfPrep = (view: View, { samples }: PrepFacts) =>
  samples.flatMap(({ id }) => mixturesOf(view, id).map(({ sample }) => sample))

/** Everything written about a prep, its samples and its melts, in order of truth; readings by the second left out. */
export const logOf = memoize((view: View, id: PrepId): readonly LogLine[] =>
  linesAbout(view, logScopeOf(view, id)),
)

/** Everything written about an unknown, what it was ground with, and their melts and plates, in order of truth. */
export const caseLogOf = memoize((view: View, id: UnknownId): readonly LogLine[] =>
  linesAbout(view, logScopeOf(view, id)),
)

/** Every line a page rests on, as it was written: strikes and readings by the second with it. */
export function linesBehind(view: View, id: SubjectId): readonly KnownEntry[] {
  const scope = logScopeOf(view, id as PrepId | UnknownId) ?? { subjects: [id], labels: new Map() }
  return everyLine(view, scope).sort((p, q) => (p.id < q.id ? -1 : 1))
}

/** Marks, checks and readings that a short account leaves to the full one: what came of them stands on the page. */
const ONLY_IN_FULL: ReadonlySet<KnownEntry['kind']> = new Set([
  'check made',
  'mark made',
  'portion seen',
  'run command',
  'run ended',
  'sample named',
  'sign named',
  'temperature typed',
  'tube noted',
  'tube packed',
] as const)

/** The same in short: what was weighed, added, seen and decided; and everything that was struck. */
export function inShort(lines: readonly LogLine[]): readonly LogLine[] {
  return lines.filter(
    ({ entry, strike, takenBack }) =>
      !ONLY_IN_FULL.has(entry.kind) || strike !== null || takenBack.length > 0,
  )
}

function everyLine(view: View, { subjects, labels }: LogScope): KnownEntry[] {
  return [...subjects, ...labels.keys()].flatMap((subject) => everyLineOf(view, subject))
}

function linesAbout(view: View, scope: LogScope | null): readonly LogLine[] {
  if (!scope) return []
  const every = everyLine(view, scope)
  const strikes = every.filter((line) => line.kind === 'struck')
  return every
    .filter((line) => line.kind !== 'trace' && line.kind !== 'struck')
    .sort((p, q) => (p.id < q.id ? -1 : 1))
    .map((entry) => ({
      entry,
      sentence: toldOf(entry, scope.labels),
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
