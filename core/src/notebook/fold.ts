import type { EntryId } from '../ids'
import type { Entry, KnownEntry, RawEntry } from './entry'
import { latestOf } from './clock'
import type { KindDefinition, Upcasts } from './kinds/defineKind'
import { type Kind, KINDS } from './kinds/list'

type Live = { readonly [K in Kind]?: readonly Entry<K>[] }

/** Everything written about one subject. */
interface SubjectRecord {
  /** Every line in order of id, struck ones too. */
  readonly lines: readonly KnownEntry[]
  /** The lines that stand, by kind, in order of id. */
  readonly live: Live
}

/** A notebook, folded. Facts only: selectors compute. */
export interface View {
  readonly subjects: ReadonlyMap<string, SubjectRecord>
  /** The strike that stands for each target, whether or not the target has arrived. */
  readonly struck: ReadonlyMap<string, Entry<'struck'>>
  /** Lines of a kind or version this build does not know, kept untouched, in order of id. */
  readonly newer: readonly RawEntry[]
  /** Subjects that have a standing line of a kind, in order of their ids. */
  readonly holding: ReadonlyMap<Kind, readonly string[]>
  readonly count: number
  /** Greatest id seen: where the clock goes on from. */
  readonly latestId: string | null
  /** The same object in every view that was folded onto this one: what is kept of one notebook hangs on it. */
  readonly lineage: object
}

export const EMPTY_VIEW: View = {
  subjects: new Map(),
  struck: new Map(),
  newer: [],
  holding: new Map(),
  count: 0,
  latestId: null,
  lineage: {},
}

type Definitions = Readonly<Record<string, KindDefinition<never> & { readonly upcasts?: Upcasts }>>

/** How earlier versions are read: not needed until there is a line of one. */
let older: Readonly<Partial<Record<string, Upcasts>>> | null = null
export function knowOlder(upcasts: Readonly<Partial<Record<string, Upcasts>>>): void {
  older = upcasts
}
/** Whether something has to be fetched before these lines can be read: see `readOlderVersions`. */
export function areOlder(entries: readonly RawEntry[]): boolean {
  return older === null && entries.some((raw) => raw.v < (definitionOf(raw, KINDS)?.version ?? 0))
}

/**
 * Folds entries into a view. The order of arrival does not matter and a repeated entry counts once.
 *
 * @returns the very view given when nothing of it is new
 * @param entries in any order
 * @param onto a view to append to; it is not changed
 * @param kinds the kinds this build knows
 * @throws where there is a line of an earlier version and `readOlderVersions` was not asked for: a fault of the program
 */
export function fold(
  entries: readonly RawEntry[],
  onto: View = EMPTY_VIEW,
  kinds: Definitions = KINDS,
): View {
  const draft = {
    subjects: new Map(onto.subjects),
    struck: onto.struck,
    newer: onto.newer,
    count: onto.count,
    latestId: onto.latestId,
    holding: onto.holding,
    lineage: onto === EMPTY_VIEW ? {} : onto.lineage,
  }
  const touched = new Map<string, Draft>()
  for (const raw of entries) {
    const known = upcast(raw, kinds)
    if (known === null) {
      if (draft.newer.some((line) => line.id === raw.id)) continue
      draft.newer = inserted(draft.newer, raw)
    } else if (!draftOf(known.subject, draft.subjects, touched).add(known)) continue
    draft.count += 1
    draft.latestId = latestOf(draft.latestId, raw.id)
    if (known?.kind === 'struck')
      draft.struck = isAboutStrikes(draft.struck, known, draft.subjects, touched)
        ? strikesThatStand(draft.struck, draft.subjects, touched)
        : withStrike(draft.struck, known, draft.subjects, touched)
  }
  if (draft.count === onto.count) return onto
  const held = new Map<Kind, string[]>()
  const holds = (kind: Kind) => {
    const known = held.get(kind) ?? [...(onto.holding.get(kind) ?? [])]
    held.set(kind, known)
    return known
  }
  for (const [subject, record] of touched) {
    const before = onto.subjects.get(subject)?.live ?? {}
    const after = record.finish(draft.struck)
    draft.subjects.set(subject, after)
    for (const kind of kindsIn(after.live)) if (!before[kind]) holds(kind).push(subject)
    for (const kind of kindsIn(before)) if (!after.live[kind]) remove(holds(kind), subject)
  }
  if (held.size > 0) {
    const holding = new Map(onto.holding)
    for (const [kind, subjects] of held) holding.set(kind, subjects.sort())
    draft.holding = holding
  }
  return draft
}

const kindsIn = (live: Live) => Object.keys(live) as Kind[]

function remove(list: string[], item: string): void {
  list.splice(list.indexOf(item), 1)
}

function definitionOf({ kind }: RawEntry, kinds: Definitions): Definitions[string] | undefined {
  return Object.hasOwn(kinds, kind) ? kinds[kind] : undefined
}

/** This build's reading of a line: upcast to the current version, or null when it is newer or unknown. Throws as `fold` does. */
export function upcast(raw: RawEntry, kinds: Definitions = KINDS): KnownEntry | null {
  const definition = definitionOf(raw, kinds)
  if (!definition || raw.v > definition.version || raw.v < 1) return null
  if (raw.v < definition.version && !definition.upcasts && !older)
    throw new Error(`An entry of an earlier version of “${raw.kind}” came before the program that reads it.`)
  const steps = definition.upcasts ?? older?.[raw.kind]
  let body = raw.body
  for (let v = raw.v; v < definition.version; v++) {
    const step = steps?.[v]
    if (!step) return null
    try {
      body = step(body)
    } catch {
      // A body no schema ever let in: kept as it is, like one of a newer build.
      return null
    }
  }
  return (raw.v === definition.version ? raw : { ...raw, v: definition.version, body }) as KnownEntry
}

interface Draft {
  /** Every line of the subject so far, in order of id. */
  readonly lines: readonly KnownEntry[]
  /** False when the line was there already. */
  add(entry: KnownEntry): boolean
  mustRefold(): void
  finish(struck: View['struck']): SubjectRecord
}

function draftOf(subject: string, subjects: Map<string, SubjectRecord>, touched: Map<string, Draft>): Draft {
  const open = touched.get(subject)
  if (open) return open
  const before = subjects.get(subject)
  const lines: KnownEntry[] = before ? [...before.lines] : []
  const fresh: KnownEntry[] = []
  let refold = before === undefined
  const draft: Draft = {
    lines,
    add(entry) {
      const at = placeOf(lines, entry.id)
      if (lines[at]?.id === entry.id) return false
      if (at < lines.length) refold = true
      lines.splice(at, 0, entry)
      fresh.push(entry)
      return true
    },
    mustRefold() {
      refold = true
    },
    finish(struck) {
      if (refold || !before) return { lines, live: liveOf({}, lines, struck) }
      return { lines, live: liveOf(before.live, fresh, struck) }
    },
  }
  touched.set(subject, draft)
  return draft
}

function liveOf(onto: Live, entries: readonly KnownEntry[], struck: View['struck']): Live {
  const groups: Partial<Record<Kind, KnownEntry[]>> = {}
  for (const entry of entries)
    if (entry.kind === 'struck' || !struck.has(entry.id)) (groups[entry.kind] ??= []).push(entry)
  const live: Partial<Record<Kind, readonly KnownEntry[]>> = { ...onto }
  for (const kind of Object.keys(groups) as Kind[])
    live[kind] = [...(live[kind] ?? []), ...(groups[kind] ?? [])]
  return live as Live
}

function withStrike(
  struck: View['struck'],
  strike: Entry<'struck'>,
  subjects: Map<string, SubjectRecord>,
  touched: Map<string, Draft>,
): View['struck'] {
  const { target } = strike.body
  const standing = struck.get(target)
  if (standing && standing.id <= strike.id) return struck
  // A strike carries its target's subject, but a stray one may not: then whichever subject holds it is folded again.
  const holders = isNotStruck(subjects.get(strike.subject), target)
    ? [strike.subject]
    : [...subjects.keys()].filter((subject) => isNotStruck(subjects.get(subject), target))
  for (const subject of holders) draftOf(subject, subjects, touched).mustRefold()
  for (const draft of touched.values()) draft.mustRefold()
  return new Map(struck).set(target, strike)
}

/** A strike that strikes a strike takes it back, and so does one that is struck already by what came before it. */
function isAboutStrikes(
  struck: View['struck'],
  strike: Entry<'struck'>,
  subjects: ReadonlyMap<string, SubjectRecord>,
  touched: ReadonlyMap<string, Draft>,
): boolean {
  if (struck.has(strike.id)) return true
  const lines = touched.get(strike.subject)?.lines ?? subjects.get(strike.subject)?.lines ?? []
  const at = placeOf(lines, strike.body.target)
  return lines[at]?.id === strike.body.target && lines[at].kind === 'struck'
}

/**
 * Which strikes stand, worked out from all of them: the latest first, since a strike can only be taken back by a later
 * one. Whatever is struck or stands otherwise than before is folded again.
 */
function strikesThatStand(
  before: View['struck'],
  subjects: Map<string, SubjectRecord>,
  touched: Map<string, Draft>,
): View['struck'] {
  const strikes: Entry<'struck'>[] = []
  const collect = (lines: readonly KnownEntry[]) => {
    for (const line of lines) if (line.kind === 'struck') strikes.push(line)
  }
  for (const [subject, { lines }] of subjects) if (!touched.has(subject)) collect(lines)
  for (const { lines } of touched.values()) collect(lines)
  strikes.sort((p, q) => (p.id < q.id ? 1 : -1))
  const now = new Map<string, Entry<'struck'>>()
  // Of several strikes of one line the earliest stands for it.
  for (const strike of strikes) if (!now.has(strike.id)) now.set(strike.body.target, strike)
  const changed = [...new Set([...before.keys(), ...now.keys()])].filter(
    (target) => before.get(target)?.id !== now.get(target)?.id,
  )
  for (const target of changed)
    for (const [subject, record] of subjects)
      if (isNotStruck(record, target)) draftOf(subject, subjects, touched).mustRefold()
  for (const draft of touched.values()) draft.mustRefold()
  return now
}

function isNotStruck(record: SubjectRecord | undefined, id: string): boolean {
  return record !== undefined && record.lines[placeOf(record.lines, id)]?.id === id
}

function placeOf(lines: readonly { readonly id: EntryId }[], id: string): number {
  let low = 0
  let high = lines.length
  while (low < high) {
    const middle = (low + high) >> 1
    if ((lines[middle] as { id: string }).id < id) low = middle + 1
    else high = middle
  }
  return low
}

function inserted<T extends { readonly id: EntryId }>(lines: readonly T[], line: T): readonly T[] {
  const at = placeOf(lines, line.id)
  return [...lines.slice(0, at), line, ...lines.slice(at)]
}
