import type { Entry, EntryId, MeltId, PrepId, RunId } from '../../contract'
import { rateOf } from '../../heating/rateOf'
import { latestLine, linesOf, type View } from '../fold'
import type { Moment } from '../mark-made/kind'
import type { Trace } from '../trace/kind'

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
}

export interface Mark {
  readonly entry: Entry<'mark made'>
  /** As the instrument gave it; null while the trace has yet to tell what it was at the press. */
  readonly temperature: { readonly text: string; readonly value: number } | null
  readonly word: string | null
}

/** Every melt of the notebook, or of one prep, in order of planning. */
export function meltsOf(view: View, prep?: PrepId): readonly MeltFacts[] {
  const melts: MeltFacts[] = []
  for (const subject of view.subjects.keys()) {
    const melt = meltOf(view, subject as MeltId)
    if (melt && (prep === undefined || melt.planned.body.prep === prep)) melts.push(melt)
  }
  return melts.sort((p, q) => (p.planned.id < q.planned.id ? -1 : 1))
}

/** One melt with its latest run, or null. */
export function meltOf(view: View, id: MeltId): MeltFacts | null {
  const planned = latestLine(view, id, 'melt planned')
  if (!planned) return null
  const started = latestLine(view, id, 'run started')
  const run = started ? runOf(view, id, started) : null
  return { id, planned, run, marks: run ? marksOf(view, id, run.id) : [] }
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

function marksOf(view: View, id: MeltId, run: RunId): Mark[] {
  const readings = readingsOf(view, id, run)
  const words = new Map<EntryId, string>(
    linesOf(view, id, 'sign named').map(({ body }) => [body.mark, body.word]),
  )
  return linesOf(view, id, 'mark made')
    .filter((entry) => entry.body.run === run)
    .map((entry) => ({
      entry,
      temperature: temperatureAt(entry, readings),
      word: words.get(entry.id) ?? null,
    }))
}

function temperatureAt({ body }: Entry<'mark made'>, readings: Readings): Mark['temperature'] {
  if (body.pressedAtS - body.lastSample <= FRESH_S) return body.lastProbe
  const value = readings.probeC.get(Math.round(body.pressedAtS))
  return value === undefined ? null : { value, text: value.toFixed(readings.decimals) }
}

export interface Readings {
  /** °C by sample number; one sample a second of instrument time. */
  readonly probeC: ReadonlyMap<number, number>
  readonly decimals: number
  readonly lastSample: number
}

const NO_READINGS: Readings = { probeC: new Map(), decimals: 1, lastSample: 0 }
/** A live list of traces is made anew only when a trace arrives, so it can stand for its contents. */
const flattened = new WeakMap<readonly Entry<'trace'>[], Map<RunId, Readings>>()

/** Every recorded reading of a run. */
export function readingsOf(view: View, melt: MeltId, run: RunId): Readings {
  const traces = linesOf(view, melt, 'trace')
  if (traces.length === 0) return NO_READINGS
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
  let lastSample = 0
  for (const { firstSample, probeC: values } of traces) {
    values.forEach((value, i) => probeC.set(firstSample + i, value))
    lastSample = Math.max(lastSample, firstSample + values.length - 1)
  }
  return { probeC, decimals: traces[0]?.decimals ?? 1, lastSample }
}

/** Heating rate over a stretch of a run from instrument time, °C/min; null when too little is on record. */
export function rateBetween(readings: Readings, fromS: number, toS: number): number | null {
  const from = Math.round(Math.min(fromS, toS - 60))
  const samples: [number, number][] = []
  for (let s = Math.max(1, from); s <= toS; s++) {
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
