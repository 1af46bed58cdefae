import { coolsForMin } from './cooling'
import type { Conventions } from '../conventions/conventions'
import { ImpossibleInput, requireTemperature } from '../problems'
import { ROOM_BELOW_FIRST_LIQUID_C } from './room'

export interface RampApparatus {
  readonly ambientC: number
  readonly blockC: number
  readonly heatCPerMin: number
  readonly coolTimeConstantMin: number
  readonly rates: readonly number[]
  readonly maxC: number
}
export interface RampInput {
  readonly apparatus: RampApparatus
  readonly conventions: Conventions
  readonly expectedLowC: number
  readonly expectedHighC: number
  /** From the phase map: where an impure sample begins to melt. */
  readonly firstLiquidFromC?: number | undefined
}
interface RampSegment {
  readonly kind: 'cool' | 'preheat' | 'ramp'
  readonly fromC: number
  readonly toC: number
  readonly rateCPerMin: number
  readonly minutes: number
}
export interface RampPlan {
  readonly segments: readonly RampSegment[]
  readonly startC: number
  readonly stopC: number
  readonly rateCPerMin: number
  readonly watchFromC: number
  readonly watchFromMin: number
  readonly totalMin: number
  readonly warnings: readonly string[]
}

/** Shrinking and sweating begin up to about 3 °C before the first liquid; the eye is at the lens before that. */
export const LOOK_BEFORE_C = 5
/** A block hardly comes closer to the room than this in any useful time. */
const ABOVE_AMBIENT_C = 2

/**
 * Heating on a programmable block: cool if it is too hot, preheat fast to the start, then ramp slowly through
 * the range to the stop.
 *
 * @param input temperatures °C, rates °C/min; `firstLiquidFromC` pulls the start down for an impure sample
 * @returns segments in order, with minutes and sentences of warning
 * @throws ImpossibleInput on an inverted expected range or an apparatus without a usable rate
 * @example planRamp({ apparatus, conventions, expectedLowC: 94, expectedHighC: 96 }).startC // 79 with a start 15 below
 */
export function planRamp(input: RampInput): RampPlan {
  requireInput(input)
  const { apparatus, conventions, expectedLowC, expectedHighC, firstLiquidFromC } = input
  const warnings: string[] = []
  const startC = startTemperature(input, warnings)
  const stopC = Math.min(apparatus.maxC, expectedHighC + conventions.stopAboveC)
  if (stopC < expectedHighC + conventions.stopAboveC)
    warnings.push(
      `This instrument ends at ${tidy(apparatus.maxC)} °C, ${tidy(expectedHighC + conventions.stopAboveC - stopC)} °C below the stop. Use one with a higher range.`,
    )
  if (stopC <= startC)
    throw new ImpossibleInput(
      'range-inverted',
      `The range lies above what this instrument reaches (${apparatus.maxC} °C).`,
    )
  const rateCPerMin = meltingRate(input, warnings)
  const segments = segmentsOf(input, startC, stopC, rateCPerMin, warnings)
  const beforeRamp = segments.slice(0, -1).reduce((sum, s) => sum + s.minutes, 0)
  const expectedFirst = Math.min(expectedLowC, firstLiquidFromC ?? expectedLowC)
  const watchFromC = Math.max(startC, expectedFirst - LOOK_BEFORE_C)
  return {
    segments,
    startC,
    stopC,
    rateCPerMin,
    watchFromC,
    watchFromMin: beforeRamp + (watchFromC - startC) / rateCPerMin,
    totalMin: segments.reduce((sum, s) => sum + s.minutes, 0),
    warnings,
  }
}

function startTemperature(
  { apparatus, conventions, expectedLowC, firstLiquidFromC }: RampInput,
  warnings: string[],
) {
  const byRule = expectedLowC - conventions.startBelowC
  const forImpure = firstLiquidFromC === undefined ? byRule : firstLiquidFromC - ROOM_BELOW_FIRST_LIQUID_C
  const wanted = Math.min(byRule, forImpure)
  const startC = Math.max(apparatus.ambientC + ABOVE_AMBIENT_C, wanted)
  if (forImpure < byRule)
    warnings.push(
      `An impure sample may show liquid from ${tidy(firstLiquidFromC ?? 0)} °C, so the slow part starts at ${tidy(startC)} °C instead of ${tidy(byRule)}.`,
    )
  if (wanted < startC)
    warnings.push(
      `The slow part should start at ${tidy(wanted)} °C, but the room is at ${tidy(apparatus.ambientC)} °C: watch from the moment the tubes go in.`,
    )
  return startC
}

function meltingRate({ apparatus, conventions }: RampInput, warnings: string[]): number {
  const { min, target, max } = conventions.meltRate
  const byDistance = [...apparatus.rates].sort((p, q) => Math.abs(p - target) - Math.abs(q - target))
  const allowed = byDistance.find((rate) => rate >= min && rate <= max)
  const rate = allowed ?? byDistance[0] ?? target
  if (allowed === undefined)
    warnings.push(
      `House rules ask for ${tidy(min)} to ${tidy(max)} °C/min; the nearest this instrument has is ${tidy(rate)}.`,
    )
  return rate
}

function segmentsOf(
  { apparatus, conventions }: RampInput,
  startC: number,
  stopC: number,
  rateCPerMin: number,
  warnings: string[],
): RampSegment[] {
  const segments: RampSegment[] = []
  if (apparatus.blockC > startC + 0.5) {
    const minutes = coolingMin(apparatus, startC)
    warnings.push(
      `The block is at ${tidy(apparatus.blockC)} °C, above the start. Let it cool for about ${Math.max(1, Math.round(minutes))} min before you put any tube in.`,
    )
    segments.push({
      kind: 'cool',
      fromC: apparatus.blockC,
      toC: startC,
      rateCPerMin: (startC - apparatus.blockC) / minutes,
      minutes,
    })
  } else if (apparatus.blockC < startC) {
    const rate = Math.min(apparatus.heatCPerMin, conventions.approachRateMaxCPerMin)
    segments.push({
      kind: 'preheat',
      fromC: apparatus.blockC,
      toC: startC,
      rateCPerMin: rate,
      minutes: (startC - apparatus.blockC) / rate,
    })
  }
  segments.push({
    kind: 'ramp',
    fromC: startC,
    toC: stopC,
    rateCPerMin,
    minutes: (stopC - startC) / rateCPerMin,
  })
  return segments
}

function coolingMin({ ambientC, blockC, coolTimeConstantMin }: RampApparatus, toC: number): number {
  return coolsForMin({ ambientC, timeConstantMin: coolTimeConstantMin }, blockC, toC)
}

function requireInput({ apparatus, expectedLowC, expectedHighC, firstLiquidFromC }: RampInput): void {
  requireTemperature(expectedLowC, 'The expected low end')
  requireTemperature(expectedHighC, 'The expected high end')
  if (firstLiquidFromC !== undefined) requireTemperature(firstLiquidFromC, 'The first liquid')
  if (expectedLowC > expectedHighC)
    throw new ImpossibleInput(
      'range-inverted',
      `The expected range from ${expectedLowC} to ${expectedHighC} °C runs backwards. Were the two numbers swapped?`,
    )
  if (!apparatus.rates.some((rate) => rate > 0) || !(apparatus.heatCPerMin > 0))
    throw new ImpossibleInput('bad-rate', 'This instrument has no heating rate to plan with.')
}

function tidy(value: number): string {
  return String(Math.round(value * 10) / 10)
}
