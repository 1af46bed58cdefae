import type { BlockReading } from '../instruments/reading'
import { isTooFast, minutesToWindow } from '../heating/watching'
import { type CurvePoint, dialCurve } from './curves'
import { isSettled, mendingSetting, modelledNow } from './dialTurns'
import { rateOf } from '../heating/rateOf'
import { misreadSentence, outOfLine } from '../thermometer/misread'
import type { Conventions } from '../conventions/conventions'
import type { View } from '../notebook/fold'
import { type MeltFacts } from '../notebook/views/melt'
import { heatingKnown, readingsOf } from '../notebook/views/readings'
import { linesOf } from '../notebook/read'
import type { Entry } from '../notebook/entry'

/**
 * About where a thermometer read by eye stands now: by the learned dial, else carried on from the last readings.
 *
 * @returns °C; null before anything was read
 */
export function estimatedNow(view: View, melt: MeltFacts, atS: number): number | null {
  if (!melt.run) return null
  const { steadyC } = readingsOf(view, melt.id, melt.run.id)
  const [lastS, last] = [...steadyC].reduce<readonly [number, number | null]>(
    (latest, one) => (latest[1] === null || one[0] > latest[0] ? one : latest),
    [0, null],
  )
  if (last === null) return modelledNow(melt, atS)
  const modelledThen = modelledNow(melt, lastS)
  const modelled = modelledNow(melt, atS)
  if (modelled !== null && modelledThen !== null) return last + modelled - modelledThen
  return last + ((rateByEye(steadyC, BY_EYE_C)?.rateCPerMin ?? 0) * (atS - lastS)) / 60
}

/** A reading typed during a run that lies where the heating cannot have been, and the question about it. */
export interface Misread {
  readonly typed: Entry<'temperature typed'>
  readonly sentence: string
}

/** Readings of a run that do not belong with those around them: each to be asked about once. */
export function misreadingsOf(view: View, melt: MeltFacts): readonly Misread[] {
  const { run, planned } = melt
  if (!run) return []
  const typed = linesOf(view, melt.id, 'temperature typed')
    .filter(({ body }) => body.run === run.id)
    .sort((p, q) => p.body.atS - q.body.atS)
  return outOfLine(
    typed.map(({ body }) => ({ atS: body.atS, valueC: body.temperature.value })),
    heatingKnown(planned.body.window),
    (fromS, toS) => {
      const [from, to] = [modelledNow(melt, fromS), modelledNow(melt, toS)]
      return from === null || to === null ? null : to - from
    },
  ).flatMap((odd) => {
    const line = typed[odd.index]
    return line ? [{ typed: line, sentence: misreadSentence(line.body.temperature.value, odd) }] : []
  })
}

/** A rate as it is shown: °C/min, and how far off it could be (k = 2) by how finely the thermometer was read. */
export interface LiveRate {
  readonly rateCPerMin: number
  readonly withinCPerMin: number
}

/** Live rate of a run from what is on record and the latest readings heard; null while too little is. */
export function liveRate(
  view: View,
  melt: MeltFacts,
  readingsSoFar: readonly (readonly [sample: number, temperatureC: number])[],
): LiveRate | null {
  if (!melt.run) return null
  const readings = readingsOf(view, melt.id, melt.run.id)
  if (readings.byEye || melt.run.started.body.recorded === false)
    return rateByEye(readings.steadyC, Math.max(BY_EYE_C, rounded(readings.decimals)))
  const last = Math.max(readingsSoFar[readingsSoFar.length - 1]?.[0] ?? 0, 0)
  const merged = new Map<number, number>(readingsSoFar)
  for (let s = Math.max(1, last - 60); s <= last; s++) {
    const value = readings.probeC.get(s)
    if (value !== undefined) merged.set(s, value)
  }
  const samples = [...merged.entries()].sort((p, q) => p[0] - q[0]).map(([s, c]) => [s / 60, c] as const)
  return newestRate(samples, rounded(readings.decimals))
}

/** Standard uncertainty of a reading that was rounded to so many decimals, °C. */
const rounded = (decimals: number) => 10 ** -decimals / Math.sqrt(12)
/** An eye reads a scale to about half of what half a degree is, °C (standard uncertainty). */
const BY_EYE_C = 0.25

type Samples = readonly (readonly [minute: number, temperatureC: number])[]

/** How far off a slope through samples of the last minutes may be (k = 2), by the uncertainty of each, °C/min. */
function slopeWithin(samples: Samples, overMin: number, readingC: number): number {
  const last = samples.at(-1)?.[0] ?? 0
  const minutes = samples.map(([minute]) => minute).filter((minute) => minute > last - overMin - 1e-9)
  const mean = minutes.reduce((sum, minute) => sum + minute, 0) / minutes.length
  const spread = minutes.reduce((sum, minute) => sum + (minute - mean) ** 2, 0)
  return (2 * readingC) / Math.sqrt(spread)
}

/** A rate that changed by more than a tenth of a degree in half a minute can feign is told from that half minute. */
const CHANGED_BY_C_PER_MIN = 0.6
const CHANGED_BY_PART = 0.25

/** Steady over a minute where it is steady; of the last half minute as soon as that tells of another heating. */
function newestRate(samples: Samples, readingC: number): LiveRate | null {
  const [minute, half] = [rateOf(samples, 1), rateOf(samples, 0.5)]
  if (minute === null) return null
  const byCPerMin = half === null ? 0 : Math.abs(half - minute)
  const hasChanged =
    half !== null && byCPerMin > Math.max(CHANGED_BY_C_PER_MIN, CHANGED_BY_PART * Math.abs(half))
  return {
    rateCPerMin: hasChanged ? half : minute,
    withinCPerMin: slopeWithin(samples, hasChanged ? 0.5 : 1, readingC),
  }
}

/** A rate by eye needs a longer look back: readings come once a minute or so. */
const BY_EYE_OVER_MIN = 4

function rateByEye(probeC: ReadonlyMap<number, number>, readingC: number): LiveRate | null {
  const samples = [...probeC.entries()].sort((p, q) => p[0] - q[0]).map(([s, c]) => [s / 60, c] as const)
  const last = samples[samples.length - 1]
  if (!last) return null
  const recent = samples.filter(([minute]) => minute >= last[0] - BY_EYE_OVER_MIN)
  const first = recent[0]
  const rate =
    recent.length === 2 && first
      ? (last[1] - first[1]) / (last[0] - first[0])
      : rateOf(samples, BY_EYE_OVER_MIN)
  return rate === null
    ? null
    : { rateCPerMin: rate, withinCPerMin: slopeWithin(samples, BY_EYE_OVER_MIN, readingC) }
}

/** A melt as it stands at this moment, for whoever watches it. */
export interface Moment {
  /** What the thermometer shows, or about; null while nobody knows, °C. */
  readonly nowC: number | null
  readonly atS: number
  /** What the instrument is doing; null where nothing is heard of it. */
  readonly phase: BlockReading['phase'] | null
  readonly rateCPerMin: number | null
  readonly isConnected: boolean
}
/** What a watcher has to be told now. */
export type Announcement =
  | { readonly say: 'not heard' | 'at the stop' | 'past the stop' | 'in the window' }
  | {
      readonly say: 'too fast'
      readonly rateCPerMin: number
      /** The setting of the dial that mends it; null where none is known. */
      readonly setting: number | null
      readonly byHand: boolean
    }
  /** Heated by a hand that has no settings to go by, and hardly rising any more. */
  | { readonly say: 'too slow'; readonly rateCPerMin: number }
  /** `inMin` is null while nobody can say. */
  | { readonly say: 'opens'; readonly atC: number; readonly inMin: number | null }

/** The rate allowed through the range: house rules’, but a scouting run’s own where it is to go quickly. */
export function meltRateOf(melt: MeltFacts): Conventions['meltRate'] {
  const { purpose, conventions, window } = melt.planned.body
  if (purpose !== 'scouting') return conventions.meltRate
  const target = window.rateCPerMin
  return { min: target / 2, target, max: Math.max(target, conventions.meltRate.max) }
}

/** Less than this part of the least rate is told: at a setting too low it comes to rest and never melts. */
const TOO_SLOW_PART = 0.5

/** A setting within a degree of the stop counts as there, °C. */
const AT_STOP_C = 1

/** What is to be said of a melt that is watched: whether to look, to turn down, or how long there is; null when nothing is. */
export function announcementOf(melt: MeltFacts, moment: Moment): Announcement | null {
  const { window, heating } = melt.planned.body
  const { nowC, phase, rateCPerMin } = moment
  const byHand = melt.run?.started.body.feed === 'by hand'
  if (!moment.isConnected && !byHand) return { say: 'not heard' }
  if (nowC === null) return null
  if (!byHand && phase !== 'ramping' && phase !== 'heating')
    return phase === 'holding' && nowC >= window.stopC - AT_STOP_C ? { say: 'at the stop' } : null
  if (nowC < window.watchFromC)
    return { say: 'opens', atC: window.watchFromC, inMin: minutesUntilWindow(melt, moment, nowC) }
  if (rateCPerMin !== null && isSettled(melt, moment.atS) && isTooFast(rateCPerMin, meltRateOf(melt)))
    return {
      say: 'too fast',
      rateCPerMin,
      setting: mendingSetting(melt, nowC),
      byHand: heating.by === 'hand',
    }
  if (
    rateCPerMin !== null &&
    heating.by === 'hand' &&
    nowC <= window.stopC &&
    isSettled(melt, moment.atS) &&
    rateCPerMin < TOO_SLOW_PART * meltRateOf(melt).min
  )
    return { say: 'too slow', rateCPerMin }
  return { say: nowC > window.stopC ? 'past the stop' : 'in the window' }
}

/** A rate below this tells nothing of when anything is reached, °C/min. */
const HEATS_FROM_C_PER_MIN = 0.2

/**
 * Minutes until the window opens: by the plan, which knows what comes; where there is none, by the rate once it tells
 * of the heating last asked for.
 */
function minutesUntilWindow(melt: MeltFacts, { atS, rateCPerMin }: Moment, nowC: number): number | null {
  const { window, heating } = melt.planned.body
  if (heating.by === 'ramp') return minutesToWindow(window, nowC)
  if (heating.by === 'dial') {
    const curve = dialCurve(heating)
    const minuteAt = (c: number) => curve.find(([minute, at]) => at >= c && isHeating(curve, minute))?.[0]
    const [now, opens] = [minuteAt(nowC), minuteAt(window.watchFromC)]
    if (now !== undefined && opens !== undefined) return Math.max(0, opens - now)
  }
  const rate = isSettled(melt, atS) ? rateCPerMin : null
  return rate !== null && rate > HEATS_FROM_C_PER_MIN
    ? minutesToWindow({ ...window, rateCPerMin: rate }, nowC)
    : null
}

/** Whether a planned curve has done with cooling by this minute. */
function isHeating(curve: readonly CurvePoint[], minute: number): boolean {
  const coldest = curve.reduce((least, point) => (point[1] < least[1] ? point : least))
  return minute >= coldest[0]
}

/** Whether the rate shown is that of the slow part, where fast is too fast. */
export function isSlowPart(melt: MeltFacts, { nowC, atS }: Pick<Moment, 'nowC' | 'atS'>): boolean {
  return (nowC ?? 0) >= melt.planned.body.window.startC && isSettled(melt, atS)
}
