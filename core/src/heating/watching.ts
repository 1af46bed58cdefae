import type { RampPlan } from './planRamp'
import type { Conventions } from '../conventions/conventions'

/** Watching that began closer than this to the onset may have missed it, °C. */
export const WATCHED_FROM_C = 2
/** How far the first liquid that is expected may lie off, °C: a plan leaves so much more room. */
const EXPECTED_WITHIN_C = 3
/** Room a plan leaves between the start of the slow part and the first liquid it expects, °C: what the judge asks for, and how far that may lie off. */
export const ROOM_BELOW_FIRST_LIQUID_C = WATCHED_FROM_C + EXPECTED_WITHIN_C

/** A live rate is read to about a tenth, so that much over the rule is not yet too fast. */
const RATE_SLACK = 1.1

/**
 * Minutes until the window opens, at the planned rate; 0 once it is open.
 *
 * @param plan of the ramp
 * @param nowC what the probe reads, °C
 * @example minutesToWindow({ ...plan, watchFromC: 89, rateCPerMin: 1 }, 84) // 5
 */
export function minutesToWindow(plan: Pick<RampPlan, 'watchFromC' | 'rateCPerMin'>, nowC: number): number {
  return Math.max(0, (plan.watchFromC - nowC) / plan.rateCPerMin)
}

/**
 * Whether a live rate is faster than house rules allow while it melts.
 *
 * @param rateCPerMin °C/min
 * @example isTooFast(2.5, { min: 1, target: 1, max: 2 }) // true
 */
export function isTooFast(rateCPerMin: number, allowed: Conventions['meltRate']): boolean {
  return rateCPerMin > RATE_SLACK * allowed.max
}
