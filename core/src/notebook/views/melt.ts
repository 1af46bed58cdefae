import type { Reading } from '../../units'
import type { EntryId, MeltId, PrepId, RunId, SampleId } from '../../ids'
import type { Entry } from '../entry'
import { atTheEvent } from '../../thermometer/atTheEvent'
import type { View } from '../fold'
import { decimalsOf } from '../../weighing/reading'
import { groupedBy, latestLine, linesOf, memoize, sameItems, subjectsWith } from '../read'
import type { SignWord } from '../kinds/sign-named/kind'
import type { Moment } from '../kinds/mark-made/kind'
import { rateBetween, type Readings, readingsOf } from './readings'

/** A press within this long of a reading takes that reading as it is, s. */
const FRESH_S = 1.5

export interface RunFacts {
  readonly id: RunId
  readonly started: Entry<'run started'>
  readonly commands: readonly Entry<'run command'>[]
  readonly ended: Entry<'run ended'> | null
}

export interface MeltFacts {
  readonly id: MeltId
  readonly planned: Entry<'melt planned'>
  readonly run: RunFacts | null
  readonly marks: readonly Mark[]
  readonly notes: readonly Entry<'tube noted'>[]
  /** Tubes given up, with the reason. */
  readonly givenUp: readonly Entry<'range given up'>[]
  /** Ranges off the light, the latest of each tube. */
  readonly detected: ReadonlyMap<number, Entry<'melt detected'>>
  /** Checks made before the start. */
  readonly checks: ReadonlySet<string>
}

/** Planned or being watched, and not over: a run that has not ended, or none yet and no range found by light. */
export function isUnderWay({ run, detected }: Pick<MeltFacts, 'run' | 'detected'>): boolean {
  return run ? run.ended === null : detected.size === 0
}

export interface Mark {
  readonly entry: Entry<'mark made'>
  /** As the instrument gave it; null while the trace has yet to tell what it was at the press. */
  readonly temperature: Reading | null
  /** A reading by eye that was taken back to the press: as typed, and how late, s. */
  readonly typed: {
    readonly reading: Reading
    readonly lateS: number
    /** A question where it lies out of line with the other readings. */
    readonly doubt: string | null
  } | null
  readonly word: SignWord | null
}

/** How every melt stands planned, in order of planning. */
const plannedMelts = memoize((view: View): readonly Entry<'melt planned'>[] =>
  subjectsWith(view, 'melt planned')
    .flatMap((id) => latestLine(view, id, 'melt planned') ?? [])
    .sort((p, q) => (p.id < q.id ? -1 : 1)),
)
const allMeltIds = memoize(
  (view: View): readonly MeltId[] => plannedMelts(view).map(({ subject }) => subject),
  sameItems,
)

/** Melts by prep: planned from its page, or with a tube of one of its samples or of a mixture with one. */
const meltIdsByPrep = memoize((view: View): ReadonlyMap<PrepId | null, readonly MeltId[]> => {
  const pairs = plannedMelts(view).flatMap(({ subject, body }) => {
    const ofTubes = body.tubes.flatMap(({ sample }) => prepsIn(view, sample))
    const preps = new Set([body.prep, ...ofTubes])
    return [...preps].map((prep) => ({ prep, melt: subject }))
  })
  const groups = groupedBy(pairs, ({ prep }) => prep)
  return new Map([...groups].map(([prep, of]) => [prep, of.map(({ melt }) => melt)]))
})

/** Preps whose samples are in this one: its own, or those of what it was ground from; [null] where there is none. */
export function prepsIn(view: View, sample: SampleId): readonly (PrepId | null)[] {
  const named = latestLine(view, sample, 'sample named')?.body
  if (!named) return [null]
  const parts = named.of.map((part) => latestLine(view, part, 'sample named')?.body.prep ?? null)
  return named.prep !== null || parts.length === 0 ? [named.prep] : parts
}

const meltIdsOf = memoize(
  (view: View, prep: PrepId): readonly MeltId[] => meltIdsByPrep(view).get(prep) ?? [],
  sameItems,
)

/** Melts with a tube of each sample, in order of planning. */
const meltIdsBySample = memoize((view: View): ReadonlyMap<SampleId, readonly MeltId[]> => {
  const pairs = plannedMelts(view).flatMap(({ subject, body }) =>
    [...new Set(body.tubes.map(({ sample }) => sample))].map((sample) => ({
      sample,
      melt: subject,
    })),
  )
  const groups = groupedBy(pairs, ({ sample }) => sample)
  return new Map([...groups].map(([sample, of]) => [sample, of.map(({ melt }) => melt)]))
})
/** Ids of the melts with a tube of this sample, in order of planning. */
export const meltIdsWith = memoize(
  (view: View, sample: SampleId): readonly MeltId[] => meltIdsBySample(view).get(sample) ?? [],
  sameItems,
)

/** Every melt of the notebook, or of one prep, in order of planning. */
export const meltsOf = memoize((view: View, prep: PrepId | undefined): readonly MeltFacts[] =>
  (prep === undefined ? allMeltIds(view) : meltIdsOf(view, prep)).flatMap((id) => meltOf(view, id) ?? []),
)

/** One melt with its latest run, or null. */
export const meltOf = memoize((view: View, id: MeltId): MeltFacts | null => {
  const planned = latestLine(view, id, 'melt planned')
  if (!planned) return null
  const started = latestLine(view, id, 'run started')
  const run = started ? runOf(view, id, started) : null
  const ofRun = <T extends { readonly body: { readonly run: RunId | null } }>(lines: readonly T[]) =>
    run ? lines.filter(({ body }) => body.run === run.id) : []
  return {
    id,
    planned,
    run,
    marks: run ? marksOf(view, id, run.id, planned.body.window.rateCPerMin) : [],
    notes: ofRun(linesOf(view, id, 'tube noted')),
    givenUp: ofRun(linesOf(view, id, 'range given up')),
    detected: new Map(
      linesOf(view, id, 'melt detected')
        .filter(({ body }) => body.run === null || body.run === run?.id)
        .map((line) => [line.body.slot, line]),
    ),
    checks: new Set(linesOf(view, id, 'check made').map(({ body }) => body.check)),
  }
})

function runOf(view: View, id: MeltId, started: Entry<'run started'>): RunFacts {
  const { run } = started.body
  return {
    id: run,
    started,
    commands: linesOf(view, id, 'run command').filter((line) => line.body.run === run),
    ended: linesOf(view, id, 'run ended').find((line) => line.body.run === run) ?? null,
  }
}

function marksOf(view: View, id: MeltId, run: RunId, plannedRate: number): Mark[] {
  const readings = readingsOf(view, id, run)
  const words = new Map<EntryId, SignWord>(
    linesOf(view, id, 'sign named').map(({ body }) => [body.mark, body.word]),
  )
  const typed = new Map<EntryId, Entry<'temperature typed'>>(
    linesOf(view, id, 'temperature typed').flatMap((line) =>
      line.body.mark ? [[line.body.mark, line] as const] : [],
    ),
  )
  return linesOf(view, id, 'mark made')
    .filter((entry) => entry.body.run === run)
    .map((entry) => {
      const byEye = typed.get(entry.id)
      const withdrawn = byEye ? takenBack(entry, byEye, readings, plannedRate) : null
      return {
        entry,
        temperature: withdrawn?.temperature ?? temperatureAt(entry, readings),
        typed: withdrawn?.typed ?? null,
        word: words.get(entry.id) ?? null,
      }
    })
}

function temperatureAt({ body }: Entry<'mark made'>, readings: Readings): Mark['temperature'] {
  if (body.lastProbe && (body.from === 'instrument' || body.pressedAtS - body.lastSample <= FRESH_S))
    return body.lastProbe
  if (readings.byEye) return null
  const value = readings.probeC.get(Math.round(body.pressedAtS))
  return value === undefined ? null : { value, text: value.toFixed(readings.decimals) }
}

/** A rate by eye is worked out over this long about a press, s. */
const RATE_ABOUT_S = 240

/** A rate between two readings is one over this long at least, s, and no heating goes faster, °C/min. */
const TWO_READINGS_APART_S = 30
const HEATS_AT_MOST_C_PER_MIN = 30

/**
 * Too few readings for a rate: from the last one before a press to the one typed for it, °C/min. null where none was, or
 * the two are too close or not of one heating: one of them was misread.
 */
function rateSince(
  { steadyC }: Readings,
  pressedAtS: number,
  { atS, valueC }: { readonly atS: number; readonly valueC: number },
): number | null {
  const before = [...steadyC].filter(([s]) => s <= pressedAtS).sort(([p], [q]) => p - q)
  const last = before.at(-1)
  if (!last || atS - last[0] < TWO_READINGS_APART_S) return null
  const rate = (60 * (valueC - last[1])) / (atS - last[0])
  return rate >= 0 && rate <= HEATS_AT_MOST_C_PER_MIN ? rate : null
}

/** The reading typed for a press, taken back to it at the rate of that time; as many digits as were read. */
function takenBack(
  { body }: Entry<'mark made'>,
  { body: { temperature, atS } }: Entry<'temperature typed'>,
  readings: Readings,
  plannedRate: number,
): Pick<Mark, 'temperature' | 'typed'> {
  const lateS = Math.max(0, atS - body.pressedAtS)
  const rate =
    rateBetween(readings, body.pressedAtS - RATE_ABOUT_S, atS) ??
    rateSince(readings, body.pressedAtS, { atS, valueC: temperature.value }) ??
    plannedRate
  const decimals = decimalsOf(temperature)
  const text = atTheEvent(temperature.value, lateS, rate).toFixed(decimals)
  return {
    temperature: { text, value: Number(text) },
    typed: { reading: temperature, lateS, doubt: readings.oddAt.get(Math.round(atS)) ?? null },
  }
}

/** The mark that stands for one moment of one tube: the first that was not struck. */
export function markOf(melt: MeltFacts, slot: number, moment: Moment): Mark | null {
  return melt.marks.find(({ entry }) => entry.body.slot === slot && entry.body.moment === moment) ?? null
}

/** Tubes whose marks stand the wrong way round: all liquid was pressed, or read, before the first liquid. */
export function swappedSlots(melt: MeltFacts): readonly number[] {
  return melt.planned.body.tubes.flatMap(({ slot }) => {
    const [first, all] = [markOf(melt, slot, 'first liquid'), markOf(melt, slot, 'all liquid')]
    if (!first || !all) return []
    const [low, high] = [first.temperature, all.temperature]
    const isSwapped =
      low && high ? low.value > high.value : first.entry.body.pressedAtS > all.entry.body.pressedAtS
    return isSwapped ? [slot] : []
  })
}
