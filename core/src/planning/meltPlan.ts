import type { SampleId } from '../ids'
import { attempt, problem, type Result } from '../problems'
import { LOOK_BEFORE_C, planRamp, type RampInput } from '../heating/planRamp'
import { ROOM_BELOW_FIRST_LIQUID_C } from '../heating/room'
import type { Heating, MeltWindow } from '../heating/heatingPlan'
import { minutesToReach, modelledC } from '../heating/dial'
import { type DialPlan, type DialPlanInput, planDial } from '../heating/planDial'
import type { Conventions } from '../conventions/conventions'
import { eutectic } from '../melting/eutectic'
import { fusionOf } from '../substances/fusionOf'
import type { Instrument } from '../instruments/instrument'
import type { View } from '../notebook/fold'
import type { MeltPlanned, PlannedHeating, PlannedTube } from '../notebook/kinds/melt-planned/kind'
import { modelOf } from '../notebook/views/instruments'
import { heatedAsItBehaves } from '../notebook/views/meltBehaviour'
import type { PrepFacts } from '../notebook/views/prep'
import { type Expected, expectedOf } from '../notebook/views/samples'

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
        `It is not known yet where ${label} melts. Do a scouting run first: heat fast for a rough value.`,
      )
    expected.push(one)
  }
  const whole = spanOf(expected)
  if (!whole) return problem('too-few-samples', 'Put a sample into at least one slot.')
  const { conventions, decomposes } = heatedAsItBehaves(view, wish.tubes, wish.conventions)
  // Slow heating from far below decomposes it on the way: an impure tube of it is put in late like any other.
  const span = decomposes && whole.isSeenBelow !== true ? { ...whole, firstLiquidFromC: null } : whole
  const reachesC = Math.min(wish.instrument.character.maxC, wish.instrument.thermometer.highC)
  if (span.lowC >= reachesC)
    return problem(
      'too-few-samples',
      `It would begin to melt near ${span.lowC.toFixed(0)} °C, and the ${wish.instrument.name.toLowerCase()} reaches ${reachesC.toFixed(0)} °C. Use another instrument.`,
    )
  return attempt(() => ({
    literature: { lowC: span.lowC, highC: span.highC, source: span.source },
    ...heat(view, { ...wish, conventions }, span),
  }))
}

function spanOf(expected: readonly Expected[]): Expected | null {
  if (expected.length === 0) return null
  const first = expected.flatMap(({ firstLiquidFromC }) => firstLiquidFromC ?? [])
  return {
    lowC: Math.min(...expected.map(({ lowC }) => lowC)),
    highC: Math.max(...expected.map(({ highC }) => highC)),
    firstLiquidFromC: first.length > 0 ? Math.min(...first) : null,
    isSeenBelow: expected.some(({ isSeenBelow }) => isSeenBelow === true),
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
  const window = windowOf(span, startC, conventions)
  const watchFromMin = minuteAtC(model, blockC, plan, window.watchFromC)
  return {
    window: { ...window, watchFromMin, totalMin: plan.totalMin },
    heating: { by: 'dial' as const, input, plan },
  }
}

/** When a plan for the dial comes to a temperature in the slow part, min; its end where it never does. */
function minuteAtC(model: DialPlanInput['model'], fromC: number, plan: DialPlan, c: number): number {
  const { steps, watchFromMin, totalMin } = plan
  const last = steps.findLast(({ atMin, atC }) => atMin >= watchFromMin && atC <= c)
  const from = last ?? {
    atMin: watchFromMin,
    atC: modelledC(model, fromC, steps, watchFromMin),
    dial: steps.findLast(({ atMin }) => atMin <= watchFromMin)?.dial ?? 0,
  }
  if (from.atC >= c) return from.atMin
  return Math.min(totalMin, from.atMin + (minutesToReach(model, from.dial, from.atC, c) ?? totalMin))
}

function byHand({ blockC, instrument, conventions }: MeltWish, span: Expected) {
  const first = span.firstLiquidFromC === null ? span.lowC : span.firstLiquidFromC - ROOM_BELOW_FIRST_LIQUID_C
  const startC = Math.max(instrument.character.ambientC, Math.min(span.lowC - conventions.startBelowC, first))
  const warnings = [
    `What this ${instrument.character.control} does has not been measured yet, so no settings can be given. Heat fast to ${startC.toFixed(0)} °C, then keep the rate between ${conventions.meltRate.min} and ${conventions.meltRate.max} °C/min.`,
    ...(blockC > startC + 0.5
      ? [`It is at ${blockC.toFixed(0)} °C, above the start. Let it cool before you put any tube in.`]
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
