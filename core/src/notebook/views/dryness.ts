import type { EpochMs } from '../../ids'
import type { Entry } from '../entry'
import { solventsOf } from '../../procedures/batch'
import { agreeWithinG, type DryRule, dryRuleOf, durationInWords } from '../../procedures/dryRule'
import type { Solvent } from '../../substances/shelf'
import { capital, listed } from '../../words'
import { isConstantMass } from '../../weighing/constantMass'
import { netMass } from '../../weighing/netMass'
import { attempt } from '../../problems'
import { DEFAULT_HOUSE_RULES } from '../../conventions/schools'
import type { View } from '../fold'
import { linesOf, memoize } from '../read'
import { weighingOf } from '../kinds/weighed/kind'
import type { Conventions } from '../../conventions/conventions'
import { type PrepFacts, type SampleFacts, sampleOf } from './prep'

export interface DryPoint {
  readonly at: EpochMs
  readonly massG: number
  readonly readabilityG: number
}
export interface Dryness {
  readonly rule: DryRule
  readonly isDry: boolean
  /** Two weighings agree, whatever the house asks for. */
  readonly isConstant: boolean
  /** Weighings of the product, in the order made. */
  readonly trend: readonly DryPoint[]
  /** Loss between the last two, g; null with fewer than two. */
  readonly lastLossG: number | null
  /** What house rules still ask for, or what was met. */
  readonly sentence: string
}

/** How dry the product is by the plan’s rule: minutes of air, or two weighings that agree. */
export const drynessOf = memoize((view: View, prep: PrepFacts): Dryness => {
  const plan = prep.plan?.body
  const house = (plan?.conventions ?? DEFAULT_HOUSE_RULES).drying
  const solvents = plan ? solventsOf(plan) : []
  const rule = dryRuleOf(house, solvents, plan?.compound ?? prep.opened.body.compound)
  const product = sampleOf(prep, 'product')
  const trend = trendOf(product)
  const [before, last] = trend.slice(-2)
  const lastLossG = before && last ? before.massG - last.massG : null
  const toleranceG = last ? agreeWithinG(house, last.massG, last.readabilityG) : 0
  const isConstant = agrees(trend, house, rule)
  const known = { rule, trend, lastLossG, isConstant }
  if (isConstant) return { ...known, isDry: true, sentence: constantReached(lastLossG ?? 0, last) }
  if (rule.by === 'minutes of air') {
    const dried = product?.weighing ? airMinutes(dryingTimersOf(view, prep), product.weighing.at) : null
    const isDry = dried !== null && dried >= rule.airMin
    return { ...known, isDry, sentence: airSentence(rule, dried, solvents) }
  }
  return {
    ...known,
    isDry: false,
    sentence: constantWanted(trend, lastLossG, {
      asks:
        house.constantMassToleranceG === null
          ? `${capital(listed(solvents.map(({ name }) => name)))} ${solvents.length > 1 ? 'do' : 'does'} not evaporate within minutes in air`
          : 'House rules require constant mass',
      toleranceG,
      betweenMin: rule.betweenMin,
    }),
  }
})

function trendOf(product: SampleFacts | null): readonly DryPoint[] {
  return (product?.weighings ?? []).flatMap(({ at, body }) => {
    const mass = attempt(() => netMass(weighingOf(body)))
    return mass.ok ? [{ at, massG: mass.value.value, readabilityG: body.readabilityG }] : []
  })
}

function agrees(trend: readonly DryPoint[], house: Conventions['drying'], { betweenMin }: DryRule): boolean {
  const last = trend.at(-1)
  const toleranceG = last ? agreeWithinG(house, last.massG, last.readabilityG) : 0
  return isConstantMass(trend, { toleranceG, dryingMin: betweenMin })
}

/** Whether the product had come to constant mass by then: what is weighed afterwards does not dry a tube packed before. */
export function wasConstantAt(view: View, prep: PrepFacts, atMs: EpochMs): boolean {
  const house = (prep.plan?.body.conventions ?? DEFAULT_HOUSE_RULES).drying
  const before = trendOf(sampleOf(prep, 'product')).filter(({ at }) => at <= atMs)
  // Weighed on and on, any two neighbours that agreed showed it dry.
  return before.some((_, i) => agrees(before.slice(0, i + 1), house, drynessOf(view, prep).rule))
}

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

function airSentence(
  { airMin, firstMin }: DryRule,
  dried: number | null,
  solvents: readonly Solvent[],
): string {
  const names = listed(solvents.map(({ name }) => name))
  const asks =
    airMin > firstMin && names
      ? `${capital(names)} ${solvents.length > 1 ? 'take' : 'takes'}`
      : 'House rules ask for'
  if (dried !== null && dried >= airMin)
    return `In air for ${Math.floor(dried)} min by its timers: ${airMin} min ${airMin > firstMin && names ? `show it dry of ${names}` : 'are what house rules require'}. Two weighings that agree would also show it.`
  return dried === null || dried < 1
    ? `${asks} ${airMin} min in air before it is weighed; no timer shows that.`
    : `${asks} ${airMin} min of air in all; its timers show ${Math.floor(dried)}. Spread it for ${Math.ceil(airMin - dried)} min more, or weigh it until two weighings agree.`
}

function constantReached(lastLossG: number, last: DryPoint | undefined): string {
  const agree = 'Two weighings with drying between them agree: it has constant mass.'
  return lastLossG < 0 && last
    ? `${agree} The last reads ${grams(-lastLossG, last)} more, which counts as equal.`
    : agree
}

function constantWanted(
  trend: readonly DryPoint[],
  lastLossG: number | null,
  {
    asks,
    toleranceG,
    betweenMin,
  }: { readonly asks: string; readonly toleranceG: number; readonly betweenMin: number },
): string {
  const [before, last] = trend.slice(-2)
  const between = `${durationInWords(betweenMin)} of drying between`
  if (!before || !last || lastLossG === null) return `${asks}: two weighings that agree, with ${between}.`
  const isToTheDigit = toleranceG < last.readabilityG
  const within = isToTheDigit ? 'to the last digit' : `within ${grams(toleranceG, last)}`
  const minutes = Math.floor((last.at - before.at) / 60_000)
  if (minutes < betweenMin)
    return `Only ${durationInWords(minutes)} passed between the last two weighings; they count from ${between}. Dry it longer and weigh it again.`
  return lastLossG < 0
    ? `It gained ${grams(-lastLossG, last)}. Was it weighed warm, damp from the air, or in another vessel? Weigh it again.`
    : `It lost ${grams(lastLossG, last)} since the last weighing; two must agree ${within}: dry it for another ${durationInWords(betweenMin)}.`
}

/** Mass to the digits its balance shows. */
function grams(massG: number, { readabilityG }: DryPoint): string {
  return `${massG.toFixed(Math.max(0, Math.round(-Math.log10(readabilityG))))} g`
}
