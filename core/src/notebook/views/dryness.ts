import type { EpochMs } from '../../ids'
import type { Entry } from '../entry'
import type { Conventions } from '../../conventions/conventions'
import { solventsOf } from '../../procedures/batch'
import { driesInAir } from '../../procedures/airDrying'
import { capital, listed } from '../../words'
import { isConstantMass } from '../../weighing/constantMass'
import { netMass } from '../../weighing/netMass'
import { attempt } from '../../problems'
import { DEFAULT_HOUSE_RULES } from '../../conventions/schools'
import type { View } from '../fold'
import { linesOf, remember } from '../read'
import { weighingOf } from '../kinds/weighed/kind'
import { type PrepFacts, sampleOf } from './prep'

export interface DryPoint {
  readonly at: EpochMs
  readonly massG: number
  readonly readabilityG: number
}
export interface Dryness {
  readonly rule: Conventions['drying']
  readonly isDry: boolean
  /** Weighings of the product, in the order made. */
  readonly trend: readonly DryPoint[]
  /** Loss between the last two, g; null with fewer than two. */
  readonly lastLossG: number | null
  /** What house rules still ask for, or what was met. */
  readonly sentence: string
}

/** How dry the product is by house rules: so many minutes of air, or two weighings that agree. */
export const drynessOf = remember((view: View, prep: PrepFacts): Dryness => {
  const rule = (prep.plan?.body.conventions ?? DEFAULT_HOUSE_RULES).drying
  const product = sampleOf(prep, 'product')
  const trend = (product?.weighings ?? []).flatMap(({ at, body }) => {
    const mass = attempt(() => netMass(weighingOf(body)))
    return mass.ok ? [{ at, massG: mass.value.value, readabilityG: body.readabilityG }] : []
  })
  const [before, last] = trend.slice(-2)
  const lastLossG = before && last ? before.massG - last.massG : null
  const solvents = prep.plan ? solventsOf(prep.plan.body) : []
  // Minutes of air are enough for low boilers alone: anything else is weighed until it agrees.
  const wantsMass = solvents.length > 0 && !driesInAir(solvents)
  if (rule.constantMassToleranceG === null && !wantsMass) {
    const isDry = airTimed(view, prep, rule.atLeastMin)
    return { rule, trend, lastLossG, isDry, sentence: airSentence(isDry, rule.atLeastMin) }
  }
  const toleranceG = rule.constantMassToleranceG ?? 2 * (last?.readabilityG ?? 0)
  const isDry = isConstantMass(trend, { toleranceG, dryingMin: rule.atLeastMin })
  return {
    rule,
    trend,
    lastLossG,
    isDry,
    sentence: constantSentence(isDry, trend.length, lastLossG, {
      asks:
        rule.constantMassToleranceG === null
          ? `${capital(listed(solvents.map(({ name }) => name)))} ${solvents.length > 1 ? 'do' : 'does'} not leave in minutes of air`
          : 'House rules ask for constant mass',
      toleranceG,
      atLeastMin: rule.atLeastMin,
    }),
  }
})

/** Timers by which a prep's product was dried, in the order started. */
export function dryingTimersOf(view: View, prep: PrepFacts): readonly Entry<'timer started'>[] {
  return linesOf(view, prep.id, 'timer started').filter(
    ({ body }) => body.timer === 'air' || body.timer === 'dry',
  )
}

/** Minutes that drying timers had run at a time, min; where two ran together, once. */
export function airMinutes(timers: readonly Entry<'timer started'>[], until: EpochMs): number {
  let dried = 0
  let counted = -Infinity
  for (const { at, body } of timers) {
    const [from, to] = [Math.max(at, counted), Math.min(until, at + body.minutes * 60_000)]
    if (to <= from) continue
    dried += to - from
    counted = to
  }
  return dried / 60_000
}

function airTimed(view: View, prep: PrepFacts, atLeastMin: number): boolean {
  const weighed = sampleOf(prep, 'product')?.weighing
  if (!weighed) return false
  return dryingTimersOf(view, prep).some(
    ({ body, at }) => weighed.at - at >= Math.min(body.minutes, atLeastMin) * 60_000,
  )
}

function airSentence(isDry: boolean, atLeastMin: number): string {
  return isDry
    ? `Drawn with air for at least ${atLeastMin} min, as house rules ask. Two weighings that agree would show that it is dry.`
    : `House rules ask for ${atLeastMin} min of air before it is weighed; no timer shows that.`
}

function constantSentence(
  isDry: boolean,
  weighings: number,
  lastLossG: number | null,
  wanting: { readonly asks: string; readonly toleranceG: number; readonly atLeastMin: number },
): string {
  if (isDry) return 'Two weighings with drying between them agree: constant mass.'
  const within = wanting.toleranceG > 0 ? ` within ${Number(wanting.toleranceG.toPrecision(3))} g,` : ''
  const wanted = `${within} with ${wanting.atLeastMin} min of drying between`.trimStart()
  if (weighings < 2 || lastLossG === null) return `${wanting.asks}: two weighings that agree ${wanted}.`
  return lastLossG < 0
    ? `It gained ${(-lastLossG).toFixed(4)} g: was it weighed warm, or in another vessel? Weigh again.`
    : `It lost ${lastLossG.toFixed(4)} g since the weighing before, or too little time lay between: dry on; they must agree ${wanted}.`
}
