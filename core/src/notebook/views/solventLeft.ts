import { wettingML } from '../../procedures/amounts'
import type { PortionUse } from '../../procedures/portions'
import { type PrepFacts, solventSoFarML } from './prep'

/** A portion that a plan asks for as a whole. */
export interface WholePortion {
  readonly what: 'before the heat' | 'the rest'
  readonly ml: number
}

/** Less than this nobody adds, mL. */
const HALF_A_DROP_ML = 0.02

/** What is still to be added up to the plan, or what the crude is wetted with before the heat; null when neither is. */
export function solventLeft(prep: PrepFacts, use: PortionUse): WholePortion | null {
  const plan = prep.plan?.body
  if (!plan) return null
  const { hotML, rinseML } = solventSoFarML(prep)
  const isByPortions = use === 'dissolve' && plan.amount !== 'measured volume'
  if (isByPortions) return hotML === 0 ? { what: 'before the heat', ml: wettingML(plan) } : null
  const ml = use === 'rinse' ? plan.input.washML - rinseML : (plan.pair?.goodML ?? plan.result.hotML) - hotML
  return ml > HALF_A_DROP_ML ? { what: 'the rest', ml } : null
}
