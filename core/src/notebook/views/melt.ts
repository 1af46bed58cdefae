import { type Reading } from '../../units'
import { type EntryId, type MeltId, type PrepId, type RunId } from '../../ids'
import { type Entry } from '../entry'
import { rateOf } from '../../heating/rateOf'
import { atTheEvent } from '../../thermometer/atTheEvent'
import { latestLine, linesOf, type View } from '../fold'
import type { Moment } from '../kinds/mark-made/kind'
import type { Trace } from '../kinds/trace/kind'

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

export interface Mark {
  readonly entry: Entry<'mark made'>
  /** As the instrument gave it; null while the trace has yet to tell what it was at the press. */
  readonly temperature: Reading | null
  /** A reading by eye that was taken back to the press: as typed, and how late, s. */
  readonly typed: { readonly reading: Reading; readonly lateS: number } | null
  readonly word: string | null
}

/** Every melt of the notebook, or of one prep, in order of planning. */
export function meltsOf(view: View, prep?: PrepId): readonly MeltFacts[] {
  const melts: MeltFacts[] = []
  for (const subject of view.subjects.keys()) {
    const melt = meltOf(view, subject as MeltId)
    if (melt && (prep === undefined || isOfPrep(view, melt, prep))) melts.push(melt)
  }
  return melts.sort((p, q) => (p.planned.id < q.planned.id ? -1 : 1))
}

/** Planned from this prep's page, or with a tube of one of its samples. */
function isOfPrep(view: View, { planned }: MeltFacts, prep: PrepId): boolean {
  return (
    planned.body.prep === prep ||
    planned.body.tubes.some(({ sample }) => latestLine(view, sample, 'sample named')?.body.prep === prep)
  )
}

/** One melt with its latest run, or null. */
export function meltOf(view: View, id: MeltId): MeltFacts | null {
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
}

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
  const words = new Map<EntryId, string>(
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
      const told = byEye ? takenBack(entry, byEye, readings, plannedRate) : null
      return {
        entry,
        temperature: told?.temperature ?? temperatureAt(entry, readings),
        typed: told?.typed ?? null,
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

/** The reading typed for a press, taken back to it at the rate of that time; as many digits as were read. */
function takenBack(
  { body }: Entry<'mark made'>,
  { body: { temperature, atS } }: Entry<'temperature typed'>,
  readings: Readings,
  plannedRate: number,
): Pick<Mark, 'temperature' | 'typed'> {
  const lateS = Math.max(0, atS - body.pressedAtS)
  const rate = rateBetween(readings, body.pressedAtS - RATE_ABOUT_S, atS) ?? plannedRate
  const decimals = decimalsOf(temperature.text)
  const text = atTheEvent(temperature.value, lateS, rate).toFixed(decimals)
  return { temperature: { text, value: Number(text) }, typed: { reading: temperature, lateS } }
}

function decimalsOf(text: string): number {
  return text.includes('.') ? text.length - text.indexOf('.') - 1 : 0
}

export interface Readings {
  /** °C by sample number; one sample a second of instrument time. */
  readonly probeC: ReadonlyMap<number, number>
  readonly decimals: number
  readonly lastSample: number
  /** Light through each tube by sample number, where the instrument reads it. */
  readonly light: ReadonlyMap<number, readonly number[]>
  /** True when what is on record was read by eye and typed. */
  readonly byEye: boolean
}

const NO_READINGS: Readings = {
  probeC: new Map(),
  decimals: 1,
  lastSample: 0,
  light: new Map(),
  byEye: false,
}
/** A live list of traces is made anew only when a trace arrives, so it can stand for its contents. */
const flattened = new WeakMap<readonly Entry<'trace'>[], Map<RunId, Readings>>()

/** Every recorded reading of a run. */
export function readingsOf(view: View, melt: MeltId, run: RunId): Readings {
  const traces = linesOf(view, melt, 'trace')
  if (traces.length === 0) return typedReadings(view, melt, run)
  const byRun = flattened.get(traces) ?? new Map<RunId, Readings>()
  flattened.set(traces, byRun)
  const known = byRun.get(run)
  if (known) return known
  const readings = flatten(traces.filter((line) => line.body.run === run).map((line) => line.body))
  byRun.set(run, readings)
  return readings
}

function flatten(traces: readonly Trace[]): Readings {
  const probeC = new Map<number, number>()
  const lit = new Map<number, readonly number[]>()
  let lastSample = 0
  for (const { firstSample, probeC: values, light } of traces) {
    values.forEach((value, i) => probeC.set(firstSample + i, value))
    light?.forEach((value, i) => lit.set(firstSample + i, value))
    lastSample = Math.max(lastSample, firstSample + values.length - 1)
  }
  return { probeC, decimals: traces[0]?.decimals ?? 1, lastSample, light: lit, byEye: false }
}

/** What was read by eye, at the second it was read. */
function typedReadings(view: View, melt: MeltId, run: RunId): Readings {
  const typed = linesOf(view, melt, 'temperature typed').filter(({ body }) => body.run === run)
  if (typed.length === 0) return NO_READINGS
  const probeC = new Map(typed.map(({ body }) => [Math.round(body.atS), body.temperature.value]))
  return {
    probeC,
    decimals: Math.max(...typed.map(({ body }) => decimalsOf(body.temperature.text))),
    lastSample: Math.max(...probeC.keys()),
    light: new Map(),
    byEye: true,
  }
}

/** Heating rate over a stretch of a run from instrument time, °C/min; null when too little is on record. */
export function rateBetween(readings: Readings, fromS: number, toS: number): number | null {
  const from = Math.round(Math.min(fromS, toS - 60))
  const samples: [number, number][] = []
  for (let s = Math.max(readings.byEye ? 0 : 1, from); s <= toS; s++) {
    const value = readings.probeC.get(s)
    if (value !== undefined) samples.push([s / 60, value])
  }
  const last = samples[samples.length - 1]
  const first = samples[0]
  if (!last || !first) return null
  const thinned = samples.filter((_, i) => i % Math.max(1, Math.floor(samples.length / 120)) === 0)
  return rateOf(thinned, last[0] - first[0] + 1)
}

/** The mark that stands for one moment of one tube: the first that was not struck. */
export function markOf(melt: MeltFacts, slot: number, moment: Moment): Mark | null {
  return melt.marks.find(({ entry }) => entry.body.slot === slot && entry.body.moment === moment) ?? null
}
