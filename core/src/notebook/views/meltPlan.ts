import type { SampleId } from '../../ids'
import { attempt, problem, type Result } from '../../problems'
import { LOOK_BEFORE_C, planRamp, type RampInput, ROOM_BELOW_FIRST_LIQUID_C } from '../../heating/planRamp'
import type { Heating, MeltWindow } from '../../heating/heatingPlan'
import type { Entry } from '../entry'
import { type DialPlanInput, planDial } from '../../heating/planDial'
import type { Conventions } from '../../conventions/conventions'
import { dialForRate, modelledC } from '../../heating/dial'
import { rateOf } from '../../heating/rateOf'
import { eutectic } from '../../melting/eutectic'
import { ASKED_ABOUT_C } from '../../thermometer/atTheEvent'
import { fusionOf } from '../../reference/fusionOf'
import type { Instrument } from '../../wire'
import type { View } from '../fold'
import type { MeltPlanned, PlannedTube } from '../kinds/melt-planned/kind'
import { modelOf } from './instruments'
import { type MeltFacts, readingsOf } from './melt'
import type { PrepFacts } from './prep'
import { type Expected, expectedOf } from './samples'

export interface EutecticLine {
  readonly temperatureC: number
  readonly impurity: string
  /** True when a fusion enthalpy in it is an estimate. */
  readonly estimated: boolean
}

/** Eutectic of a prep's product with its impurity, when the impurity is known. */
export function eutecticOf(prep: PrepFacts): EutecticLine | null {
  const impurity = prep.plan?.body.impurity
  if (!impurity) return null
  const [a, b] = [fusionOf(prep.opened.body.compound), fusionOf(impurity)]
  return {
    temperatureC: eutectic(a, b).temperatureC,
    impurity: impurity.name,
    estimated: a.estimated || b.estimated,
  }
}

/** What is asked of a melt: which tubes, on which instrument, as it stands now, and by which rules. */
export interface MeltWish {
  readonly tubes: readonly PlannedTube[]
  readonly instrument: Instrument
  /** Temperature of the block now, °C. */
  readonly blockC: number
  readonly conventions: Conventions
  readonly purpose: MeltPlanned['purpose']
}
export type PlannedHeating = Pick<MeltPlanned, 'literature' | 'window' | 'heating'>

/** A scouting run goes through everything at this rate, from here on, °C/min and °C. */
const SCOUTING = { rateCPerMin: 10, fromC: 40 } as const

/**
 * How these tubes are to be heated on this instrument: a ramp for a programme, dial settings where the dial has
 * been learned, by hand where it has not. The window spans every tube, begun early enough for an impure one.
 * A scouting run goes quickly through all the instrument reaches.
 */
export function planMelt(view: View, wish: MeltWish): Result<PlannedHeating> {
  if (wish.purpose === 'scouting') return scout(view, wish)
  const expected: Expected[] = []
  for (const { sample, label } of wish.tubes) {
    const one = expectedOf(view, sample)
    if (!one)
      return problem(
        'too-few-samples',
        `Nobody knows yet where ${label} melts. Do a scouting run first: fast, for a rough value.`,
      )
    expected.push(one)
  }
  const span = spanOf(expected)
  if (!span) return problem('too-few-samples', 'Put a sample into at least one slot.')
  return attempt(() => ({
    literature: { lowC: span.lowC, highC: span.highC, source: span.source },
    ...heat(view, wish, span),
  }))
}

function spanOf(expected: readonly Expected[]): Expected | null {
  if (expected.length === 0) return null
  const first = expected.flatMap(({ firstLiquidFromC }) => firstLiquidFromC ?? [])
  return {
    lowC: Math.min(...expected.map(({ lowC }) => lowC)),
    highC: Math.max(...expected.map(({ highC }) => highC)),
    firstLiquidFromC: first.length > 0 ? Math.min(...first) : null,
    source: [...new Set(expected.map(({ source }) => source))].join('; '),
  }
}

function heat(view: View, wish: MeltWish, span: Expected): { window: MeltWindow; heating: Heating } {
  const { character, id } = wish.instrument
  if (character.control === 'program') return byRamp(wish, span)
  const model = modelOf(view, id, character.ambientC)
  return model && character.dial ? byDial(wish, span, model) : byHand(wish, span)
}

function byRamp({ instrument, blockC, conventions }: MeltWish, span: Expected) {
  const { ambientC, heatCPerMin, coolTimeConstantMin, rates, maxC } = instrument.character
  const input: RampInput = {
    apparatus: { ambientC, blockC, heatCPerMin, coolTimeConstantMin, rates, maxC },
    conventions,
    expectedLowC: span.lowC,
    expectedHighC: span.highC,
    ...(span.firstLiquidFromC === null ? {} : { firstLiquidFromC: span.firstLiquidFromC }),
  }
  const plan = planRamp(input)
  const { startC, watchFromC, stopC, rateCPerMin, watchFromMin, totalMin } = plan
  return {
    window: { startC, watchFromC, stopC, rateCPerMin, watchFromMin, totalMin },
    heating: { by: 'ramp' as const, input, plan },
  }
}

function byDial(
  { instrument, blockC, conventions }: MeltWish,
  span: Expected,
  model: DialPlanInput['model'],
) {
  const { dial } = instrument.character
  const earliest =
    span.firstLiquidFromC === null ? span.lowC : span.firstLiquidFromC - ROOM_BELOW_FIRST_LIQUID_C
  const input: DialPlanInput = {
    model,
    dialStep: dial?.step ?? 1,
    dialMax: dial?.max ?? 10,
    startC: blockC,
    expectedLowC: span.lowC,
    expectedHighC: span.highC,
    leadC: Math.max(conventions.startBelowC, span.lowC - earliest),
    tailC: conventions.stopAboveC,
    minRate: conventions.meltRate.min,
    maxRate: conventions.meltRate.max,
    maxApproachRate: Math.max(conventions.approachRateMaxCPerMin, conventions.meltRate.max),
    dialUse: conventions.dialUse,
  }
  const plan = planDial(input)
  const startC = Math.max(model.ambientC, span.lowC - input.leadC)
  return {
    window: {
      ...windowOf(span, startC, conventions),
      watchFromMin: plan.watchFromMin,
      totalMin: plan.totalMin,
    },
    heating: { by: 'dial' as const, input, plan },
  }
}

function byHand({ blockC, instrument, conventions }: MeltWish, span: Expected) {
  const first = span.firstLiquidFromC === null ? span.lowC : span.firstLiquidFromC - ROOM_BELOW_FIRST_LIQUID_C
  const startC = Math.max(instrument.character.ambientC, Math.min(span.lowC - conventions.startBelowC, first))
  const warnings = [
    `What this ${instrument.character.control} does has not been learned yet, so no settings can be given. Heat fast to ${startC.toFixed(0)} °C, then keep the rate between ${conventions.meltRate.min} and ${conventions.meltRate.max} °C/min.`,
    ...(blockC > startC
      ? [`It is at ${blockC.toFixed(0)} °C, above the start. Let it cool before any tube goes in.`]
      : []),
  ]
  return {
    window: { ...windowOf(span, startC, conventions), watchFromMin: null, totalMin: null },
    heating: { by: 'hand' as const, blockC, warnings },
  }
}

function windowOf(span: Expected, startC: number, conventions: Conventions) {
  const first = Math.min(span.lowC, span.firstLiquidFromC ?? span.lowC)
  return {
    startC,
    watchFromC: Math.max(startC, first - LOOK_BEFORE_C),
    stopC: span.highC + conventions.stopAboveC,
    rateCPerMin: conventions.meltRate.target,
  }
}

function scout(view: View, wish: MeltWish): Result<PlannedHeating> {
  const { character } = wish.instrument
  const fromC = Math.max(character.ambientC + 5, SCOUTING.fromC)
  const span: Expected = {
    lowC: fromC,
    highC: character.maxC - 10,
    firstLiquidFromC: null,
    source: 'not known: a scouting run',
  }
  const rules: Conventions = {
    ...wish.conventions,
    startBelowC: 0,
    stopAboveC: 0,
    meltRate: { min: SCOUTING.rateCPerMin / 2, target: SCOUTING.rateCPerMin, max: SCOUTING.rateCPerMin },
    approachRateMaxCPerMin: Math.max(wish.conventions.approachRateMaxCPerMin, SCOUTING.rateCPerMin),
  }
  return attempt(() => ({
    literature: { lowC: span.lowC, highC: span.highC, source: span.source },
    ...heat(view, { ...wish, conventions: rules }, span),
  }))
}

/** Samples of a melt whose melting point nobody knows yet. */
export function unknownAmong(view: View, samples: readonly SampleId[]): readonly SampleId[] {
  return samples.filter((sample) => expectedOf(view, sample) === null)
}

type CurvePoint = readonly [minutes: number, temperatureC: number]

/** A run as read, thinned for drawing, in minutes of instrument time. */
export function readCurve(view: View, melt: MeltFacts, most = 400): readonly CurvePoint[] {
  if (!melt.run) return []
  const { probeC } = readingsOf(view, melt.id, melt.run.id)
  const samples = [...probeC.entries()].sort((p, q) => p[0] - q[0])
  const every = Math.max(1, Math.ceil(samples.length / most))
  return samples.filter((_, i) => i % every === 0).map(([s, c]) => [s / 60, c])
}

/** The planned heating laid over the run: its ramp begins when the ramp of the run did. */
export function plannedCurve(melt: MeltFacts): readonly CurvePoint[] {
  const { heating } = melt.planned.body
  const atS = (kind: string) => melt.run?.commands.find(({ body }) => body.command.kind === kind)?.body.atS
  if (heating.by === 'dial') return dialCurve(heating, (atS('dial') ?? 0) / 60)
  if (heating.by === 'hand') return []
  const ramp = atS('ramp')
  const curve: CurvePoint[] = []
  let minute = (atS('preheat') ?? 0) / 60
  for (const segment of heating.plan.segments) {
    if (segment.kind === 'ramp' && ramp !== undefined) minute = ramp / 60
    curve.push([minute, segment.fromC], [minute + segment.minutes, segment.toC])
    minute += segment.minutes
  }
  return curve
}

const CURVE_POINTS = 80

/** A plan for the dial as its model draws it, from the minute it was begun. */
export function dialCurve({ input, plan }: Heating & { by: 'dial' }, fromMin = 0): readonly CurvePoint[] {
  return Array.from({ length: CURVE_POINTS + 1 }, (_, i) => {
    const minute = (plan.totalMin * i) / CURVE_POINTS
    return [fromMin + minute, modelledC(input.model, input.startC, plan.steps, minute)] as const
  })
}

// ── the dial while it runs ──────────────────────────────────────────────────────────────────────
export interface DialTurn {
  /** The setting to turn to. */
  readonly dial: number
  readonly atMin: number
  readonly atC: number
  readonly made: Entry<'run command'> | null
}

/** The turns of the dial a plan asks for, with those made. A turn made late shifts nothing: temperature decides. */
export function dialTurnsOf(melt: MeltFacts): readonly DialTurn[] {
  const { heating } = melt.planned.body
  if (heating.by !== 'dial') return []
  const made = (melt.run?.commands ?? []).filter(({ body }) => body.command.kind === 'dial')
  return heating.plan.steps.map((step, i) => ({ ...step, made: made[i] ?? null }))
}

/** The next turn to make, and how many minutes until it is due: by temperature where heating, by time where cooling. */
export function nextTurn(
  melt: MeltFacts,
  nowC: number,
  atS: number,
  rateCPerMin: number | null,
): (DialTurn & { readonly dueInMin: number | null }) | null {
  const turns = dialTurnsOf(melt)
  const i = turns.findIndex(({ made }) => made === null)
  const turn = turns[i]
  if (!turn) return null
  const before = turns[i - 1]
  if (!before) return { ...turn, dueInMin: 0 }
  if (before.dial === 0 && before.atC > turn.atC)
    return {
      ...turn,
      dueInMin:
        nowC <= turn.atC ? 0 : rateCPerMin && rateCPerMin < 0 ? (turn.atC - nowC) / rateCPerMin : null,
    }
  const since = before.made ? atS / 60 - before.made.body.atS / 60 : 0
  const byPlan = turn.atMin - before.atMin - since
  const byTemperature =
    nowC >= turn.atC ? 0 : rateCPerMin && rateCPerMin > 0.05 ? (turn.atC - nowC) / rateCPerMin : byPlan
  return { ...turn, dueInMin: Math.max(0, byTemperature) }
}

/** The setting that brings the rate back to what is wanted, by the learned dial; null where none was learned. */
export function mendingSetting(melt: MeltFacts, nowC: number): number | null {
  const { heating, conventions } = melt.planned.body
  if (heating.by !== 'dial') return null
  const { model, dialStep } = heating.input
  const wanted = dialForRate(model, Math.max(nowC, model.ambientC), conventions.meltRate.target)
  return Math.floor(wanted / dialStep + 1e-9) * dialStep
}

/** Where the block should be by the learned dial and the turns made so far, °C; null when nobody can say. */
export function modelledNow(melt: MeltFacts, atS: number): number | null {
  const { heating } = melt.planned.body
  if (heating.by !== 'dial' || !melt.run) return null
  const changes = melt.run.commands.flatMap(({ body }) =>
    body.command.kind === 'dial'
      ? [{ atMin: body.atS / 60, dial: body.command.setting }]
      : body.command.kind === 'stop'
        ? [{ atMin: body.atS / 60, dial: 0 }]
        : [],
  )
  return modelledC(
    heating.input.model,
    melt.run.started.body.blockC ?? heating.input.startC,
    changes,
    atS / 60,
  )
}

/**
 * About where a thermometer read by eye stands now: by the learned dial, else carried on from the last readings.
 *
 * @returns °C; null before anything was read
 */
export function estimatedNow(view: View, melt: MeltFacts, atS: number): number | null {
  if (!melt.run) return null
  const { probeC, lastSample } = readingsOf(view, melt.id, melt.run.id)
  const last = probeC.get(lastSample)
  if (last === undefined) return modelledNow(melt, atS)
  const modelledThen = modelledNow(melt, lastSample)
  const modelled = modelledNow(melt, atS)
  if (modelled !== null && modelledThen !== null) return last + modelled - modelledThen
  return last + ((rateByEye(probeC) ?? 0) * (atS - lastSample)) / 60
}

/**
 * Where a reading by eye is expected now, and how far it may lie from that before it is asked about: the longer
 * ago and the faster the heating, the further.
 *
 * @returns null while too little was read to expect anything
 */
export function expectedReading(
  view: View,
  melt: MeltFacts,
  atS: number,
): { readonly temperatureC: number; readonly withinC: number } | null {
  if (!melt.run) return null
  const { probeC, lastSample } = readingsOf(view, melt.id, melt.run.id)
  const last = probeC.get(lastSample)
  if (last === undefined || (probeC.size < 2 && modelledNow(melt, atS) === null)) return null
  const temperatureC = estimatedNow(view, melt, atS)
  if (temperatureC === null) return null
  return { temperatureC, withinC: Math.max(ASKED_ABOUT_C, MAY_CHANGE * Math.abs(temperatureC - last)) }
}
/** The dial may have been turned since: so much of what was expected on top may be missing. */
const MAY_CHANGE = 0.9

/** Live rate of a run, °C/min, from what is on record and the latest readings heard. */
export function liveRate(
  view: View,
  melt: MeltFacts,
  heard: readonly (readonly [sample: number, temperatureC: number])[],
): number | null {
  if (!melt.run) return null
  const readings = readingsOf(view, melt.id, melt.run.id)
  if (readings.byEye || melt.run.started.body.recorded === false) return rateByEye(readings.probeC)
  const last = Math.max(heard[heard.length - 1]?.[0] ?? 0, 0)
  const merged = new Map<number, number>(heard)
  for (let s = Math.max(1, last - 60); s <= last; s++) {
    const value = readings.probeC.get(s)
    if (value !== undefined) merged.set(s, value)
  }
  return rateOf(
    [...merged.entries()].sort((p, q) => p[0] - q[0]).map(([s, c]) => [s / 60, c] as const),
    1,
  )
}

/** A rate by eye needs a longer look back: readings come once a minute or so. */
const BY_EYE_OVER_MIN = 4

function rateByEye(probeC: ReadonlyMap<number, number>): number | null {
  const samples = [...probeC.entries()].sort((p, q) => p[0] - q[0]).map(([s, c]) => [s / 60, c] as const)
  const last = samples[samples.length - 1]
  if (!last) return null
  const recent = samples.filter(([minute]) => minute >= last[0] - BY_EYE_OVER_MIN)
  const first = recent[0]
  if (recent.length === 2 && first) return (last[1] - first[1]) / (last[0] - first[0])
  return rateOf(samples, BY_EYE_OVER_MIN)
}
