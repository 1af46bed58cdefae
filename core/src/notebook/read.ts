import type { EntryId, SubjectId } from '../ids'
import type { Entry, KnownEntry } from './entry'
import type { View } from './fold'
import type { About, Kind } from './kinds/list'

/**
 * The only ways a view of the notebook reads it. Each note what was read, so that what was worked out from it can
 * be kept until that very thing changes: see `remember`.
 */

/** Reads one thing of a view; the same arguments on an unchanged part of the notebook give the same object. */
type Reader = (view: View, a: never, b: never) => unknown

/** What was read while one thing was worked out: reader, its two arguments and the answer, over and over. */
type Readings = unknown[]
let open: Readings | null = null

function trackRead<A, B, T>(reader: (view: View, a: A, b: B) => T, view: View, a: A, b: B): T {
  const value = reader(view, a, b)
  open?.push(reader, a, b, value)
  return value
}

function stillStand(readings: Readings, view: View): boolean {
  for (let i = 0; i < readings.length; i += 4) {
    const reader = readings[i] as Reader
    if (!Object.is(reader(view, readings[i + 1] as never, readings[i + 2] as never), readings[i + 3]))
      return false
  }
  return true
}

interface Memo<T> {
  view: View
  value: T
  readings: Readings
}

/**
 * Keeps what a pure computation on a view came to, for each key, until something it read has changed. What it
 * reads is noted by itself: lines of one kind about one subject, which subjects have lines of a kind, and other
 * remembered computations, whose answers may be the same though what they read is not. So a line more about one
 * melt leaves everything that does not rest on that melt as it was, down to the very object.
 *
 * @param compute reads the view by the functions of this file and of others that are remembered, and nothing else
 * @param same two answers that come to the same; the older is then kept, and what rests on it too
 */
export function memoize<K, T>(
  compute: (view: View, key: K) => T,
  same: (one: T, other: T) => boolean = Object.is,
): (view: View, ...key: undefined extends K ? [key?: K] : [key: K]) => T {
  const byLedger = new WeakMap<
    object,
    { readonly plain: Map<K, Memo<T>>; readonly held: WeakMap<object, Memo<T>> }
  >()

  function answer(view: View, key: K): T {
    let memos = byLedger.get(view.lineage)
    if (!memos) {
      memos = { plain: new Map(), held: new WeakMap() }
      byLedger.set(view.lineage, memos)
    }
    const shelf: Pick<Map<K, Memo<T>>, 'get' | 'set'> = typeof key === 'object' && key !== null
      ? (memos.held as unknown as Map<K, Memo<T>>)
      : memos.plain
    const known = shelf.get(key)
    if (known?.view === view) return known.value
    const outer = open
    try {
      open = null
      if (known && stillStand(known.readings, view)) {
        known.view = view
        return known.value
      }
      const readings: Readings = []
      open = readings
      const worked = compute(view, key)
      const value = known && same(known.value, worked) ? known.value : worked
      shelf.set(key, { view, value, readings })
      return value
    } finally {
      open = outer
    }
  }
  return (view, ...[key]) => trackRead(answer, view, key as K, undefined)
}

/** Two lists of the same things in the same order. */
export function sameItems<T>(one: readonly T[], other: readonly T[]): boolean {
  return one.length === other.length && one.every((item, i) => Object.is(item, other[i]))
}

/** Groups things by a key, in the order they come. */
export function groupedBy<K, T>(things: readonly T[], keyOf: (thing: T) => K): ReadonlyMap<K, readonly T[]> {
  const groups = new Map<K, T[]>()
  for (const thing of things) {
    const key = keyOf(thing)
    const group = groups.get(key)
    if (group) group.push(thing)
    else groups.set(key, [thing])
  }
  return groups
}

const NONE: readonly never[] = []
const lines = (view: View, subject: string, kind: Kind): readonly KnownEntry[] =>
  view.subjects.get(subject)?.live[kind] ?? NONE
const latest = (view: View, subject: string, kind: Kind): KnownEntry | null =>
  lines(view, subject, kind).at(-1) ?? null
const first = (view: View, subject: string, kind: Kind): KnownEntry | null =>
  lines(view, subject, kind)[0] ?? null
const holding = (view: View, kind: Kind): readonly string[] => view.holding.get(kind) ?? NONE
const every = (view: View, subject: string): readonly KnownEntry[] =>
  view.subjects.get(subject)?.lines ?? NONE
const strike = (view: View, id: EntryId): Entry<'struck'> | null => view.struck.get(id) ?? null

/** The standing lines of one kind about one subject, in order of id. */
export function linesOf<K extends Kind>(
  view: View,
  subject: SubjectId | string,
  kind: K,
): readonly Entry<K>[] {
  return trackRead(lines, view, subject, kind) as readonly Entry<K>[]
}

/** The latest standing line of one kind about one subject. */
export function latestLine<K extends Kind>(
  view: View,
  subject: SubjectId | string,
  kind: K,
): Entry<K> | null {
  return trackRead(latest, view, subject, kind) as Entry<K> | null
}

/** The first standing line of one kind about one subject. */
export function firstLine<K extends Kind>(view: View, subject: SubjectId | string, kind: K): Entry<K> | null {
  return trackRead(first, view, subject, kind) as Entry<K> | null
}

/** Subjects with a standing line of this kind, in order of their ids. */
export function subjectsWith<K extends Kind>(view: View, kind: K): readonly About[K][] {
  return trackRead(holding, view, kind, undefined) as readonly About[K][]
}

/** Every line about a subject in order of id, struck ones too. */
export function everyLineOf(view: View, subject: SubjectId | string): readonly KnownEntry[] {
  return trackRead(every, view, subject, undefined)
}

/** The strike that stands against a line, or null. */
export function strikeOf(view: View, id: EntryId): Entry<'struck'> | null {
  return trackRead(strike, view, id, undefined)
}
