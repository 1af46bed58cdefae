import { attempt, problem, type Result } from '../../problems'
import type { InstrumentId, SubjectId } from '../../ids'
import type { Entry } from '../entry'
import type { Conventions } from '../../conventions/conventions'
import { type Calibration, calibrationLine, interpolationErrorC } from '../../thermometer/correctReading'
import type { BlockModel } from '../../heating/dial'
import { DEFAULT_HOUSE_RULES } from '../../conventions/schools'
import { CORE_VERSION } from '../../version'
import type { DialLearned } from '../kinds/dial-learned/kind'
import type { View } from '../fold'
import { latestLine, linesOf } from '../read'
import type { StandardRead } from '../kinds/standard-read/kind'
import type { ThermometerCalibrated } from '../kinds/thermometer-calibrated/kind'
import { isStale } from './stale'

/** What the bench itself has decided is written about this subject. */
export const BENCH = 'bench' as SubjectId

/** The house rules in force: the set taken last, else the first of the shelf. */
export function houseRulesOf(view: View, shelf: readonly Conventions[]): Conventions {
  return latestLine(view, BENCH, 'rules taken')?.body.conventions ?? shelf[0] ?? DEFAULT_HOUSE_RULES
}

// ── who has it ──────────────────────────────────────────────────────────────────────────────────
export interface Turn {
  readonly entry: Entry<'turn taken'>
  readonly who: string
  readonly slots: number
  /** Has the instrument now, or waits. */
  readonly state: 'has it' | 'waits'
}

/** Who has the slots of an instrument and who waits, in order; turns that ended are gone. */
export function turnsOf(view: View, instrument: InstrumentId, slots: number): readonly Turn[] {
  const ended = new Set(linesOf(view, instrument, 'turn ended').map(({ body }) => body.turn))
  let free = slots
  let queued = false
  return linesOf(view, instrument, 'turn taken')
    .filter(({ id }) => !ended.has(id))
    .map((entry) => {
      // Nobody overtakes: once one waits, those behind wait too.
      queued ||= entry.body.slots > free
      if (!queued) free -= entry.body.slots
      return { entry, who: entry.body.who, slots: entry.body.slots, state: queued ? 'waits' : 'has it' }
    })
}

// ── what the dial does ──────────────────────────────────────────────────────────────────────────
export interface DialFacts {
  readonly entry: Entry<'dial learned'>
  /** A sentence when a heating it rests on was struck, or more have been logged since. */
  readonly stale: string | null
}

export function heatingsOf(view: View, instrument: InstrumentId): readonly Entry<'heating logged'>[] {
  return linesOf(view, instrument, 'heating logged')
}

/** The dial as it was learned last, or null. */
export function dialOf(view: View, instrument: InstrumentId): DialFacts | null {
  const entry = latestLine(view, instrument, 'dial learned')
  if (!entry) return null
  const newer = heatingsOf(view, instrument).some(({ id }) => id > entry.id)
  return {
    entry,
    stale: isStale(view, entry)
      ? 'A heating it is based on was struck out. Fit the dial again.'
      : newer
        ? 'A heating has been logged since. Fit the dial again to use it.'
        : null,
  }
}

/** Whether a temperature at a setting lies outside what was logged: there the model is a guess. */
export function isOutsideLogged(
  { span }: Pick<DialLearned, 'span'>,
  dial: number,
  temperatureC: number,
): boolean {
  return (
    dial > span.mostDial || dial < span.leastDial || temperatureC > span.mostC || temperatureC < span.leastC
  )
}

/** The model a plan is made with: learned, or null. */
export function modelOf(view: View, instrument: InstrumentId, ambientC: number): BlockModel | null {
  const dial = dialOf(view, instrument)
  return dial ? { ...dial.entry.body.model, ambientC } : null
}

// ── the thermometer ─────────────────────────────────────────────────────────────────────────────
export function standardsOf(view: View, instrument: InstrumentId): readonly Entry<'standard read'>[] {
  return linesOf(view, instrument, 'standard read')
}

/** Midpoint read against midpoint of the literature. */
export function calibrationPointOf({ read, literature }: StandardRead): readonly [number, number] {
  const values = read.map(({ value }) => value)
  return [
    values.reduce((sum, value) => sum + value, 0) / values.length,
    (literature.lowC + literature.highC) / 2,
  ]
}

/** The calibration these standards give. Its rate and packing are the mean of theirs. */
export function calibrationFrom(
  standards: readonly Entry<'standard read'>[],
  method: Calibration['method'],
): Result<ThermometerCalibrated> {
  if (standards.length === 0)
    return problem('too-few-samples', 'No standard has been read on this thermometer yet.')
  const points = standards.map(({ body }) => calibrationPointOf(body))
  const heated = standards.flatMap(({ body }) => body.heating ?? [])
  const mean = (of: (one: (typeof heated)[number]) => number) =>
    heated.reduce((sum, one) => sum + of(one), 0) / heated.length
  const [first] = heated
  return attempt(() => ({
    method,
    points,
    errorC: method === 'straight line' ? calibrationLine(points).leaveOneOutC : interpolationErrorC(points),
    heating: first
      ? { rateCPerMin: mean((one) => one.rateCPerMin), fillMm: mean((one) => one.fillMm), grain: first.grain }
      : null,
    coreVersion: CORE_VERSION,
    restsOn: standards.map(({ id }) => id),
  }))
}

/** A thermometer is calibrated anew after this many days. */
const GOOD_FOR_DAYS = 90
const DAY_MS = 86_400_000

export interface CalibrationFacts {
  readonly entry: Entry<'thermometer calibrated'>
  readonly ageDays: number
  /** A sentence when it should no longer be trusted, or null. */
  readonly stale: string | null
}

/** The calibration in force, or null. */
export function calibrationOf(view: View, instrument: InstrumentId, now: number): CalibrationFacts | null {
  const entry = latestLine(view, instrument, 'thermometer calibrated')
  if (!entry) return null
  const ageDays = Math.max(0, Math.floor((now - entry.at) / DAY_MS))
  return {
    entry,
    ageDays,
    stale: isStale(view, entry)
      ? 'A standard it is based on was struck out. Calibrate again.'
      : ageDays > GOOD_FOR_DAYS
        ? `It is ${ageDays} days old. Read two standards again before you rely on it.`
        : null,
  }
}
