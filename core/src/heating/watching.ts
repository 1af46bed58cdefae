import type { RampPlan } from './planRamp'
import type { Conventions } from '../conventions/conventions'

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
