import type { EntryId } from '../../ids'
import type { Entry } from '../entry'
import { dropsPerML } from '../../solubility/drops'
import { SOLID_ML_PER_G } from '../../solubility/glassware'
import { glassOf } from '../../procedures/amounts'
import { gritMarkML, pastThePlanML } from '../../solubility/volume'
import { isHotDoubtful } from '../../procedures/batch'
import { attempt } from '../../problems'
import { solubilityAt } from '../../solubility/solubilityAt'
import { significant } from '../../words'
import type { View } from '../fold'
import { latestLine, linesOf } from '../read'
import type { PlanFixed } from '../kinds/plan-fixed/kind'
import type { PortionSeen } from '../kinds/portion-seen/kind'
import { type PrepFacts, solventSoFarML } from './prep'

interface Portion {
  readonly entry: Entry<'solvent added'>
  readonly effect: PortionSeen['effect'] | null
}
export interface Dissolving {
  readonly portions: readonly Portion[]
  readonly state: 'not begun' | 'dissolving' | 'dissolved' | 'grit'
  /** What to make of it now, or null. */
  readonly remark: string | null
}

/** Portions that in a row changed nothing before what is left is called grit. */
const PORTIONS_WITHOUT_CHANGE = 2

/** Where the dissolving stands, from the portions and what each was seen to do. */
export function dissolvingOf(view: View, prep: PrepFacts): Dissolving {
  const effects = new Map<EntryId, PortionSeen['effect']>(
    linesOf(view, prep.id, 'portion seen').map(({ body }) => [body.portion, body.effect]),
  )
  const portions = prep.portions
    .filter(({ body }) => body.use === 'dissolve')
    .map((entry) => ({ entry, effect: effects.get(entry.id) ?? null }))
  const isUnchanged = changedNothing(portions)
  const state = stateOf(portions, isUnchanged && !isShortOf(prep))
  return { portions, state, remark: remarkOf(prep, state, isUnchanged) }
}

function stateOf(portions: readonly Portion[], isGrit: boolean): Dissolving['state'] {
  if (portions.findLast(({ effect }) => effect !== null)?.effect === 'all dissolved') return 'dissolved'
  if (isGrit) return 'grit'
  return portions.length === 0 ? 'not begun' : 'dissolving'
}

function changedNothing(portions: readonly Portion[]): boolean {
  const last = portions.flatMap(({ effect }) => (effect ? [effect] : [])).slice(-PORTIONS_WITHOUT_CHANGE)
  return last.length === PORTIONS_WITHOUT_CHANGE && last.every((effect) => effect === 'no change')
}

/** Less hot solvent than the plan’s least is in: solid is still to be expected, whatever two portions did. */
function isShortOf(prep: PrepFacts): boolean {
  const plan = prep.plan?.body
  return plan !== undefined && solventSoFarML(prep).hotML < leastOf(plan)
}

function leastOf(plan: PlanFixed): number {
  return plan.pair?.goodML ?? plan.result.minimumHotML
}

/** Since the last portion the hot liquid was filtered or drawn off what did not dissolve, or taken off the heat. */
function isTakenOff({ ticked, portions }: PrepFacts): boolean {
  const last = portions.at(-1)?.id ?? ''
  return [...ticked].some(([step, { id, body }]) => OFF_THE_GRIT.test(step) && !body.isLeftOut && id > last)
}
const OFF_THE_GRIT =
  /^(filter-hot|leave-the-grit|draw-off-grit|grit-in-craig|off-the-heat|heat-away|cover-the-filtrate|cool-)/

function remarkOf(prep: PrepFacts, state: Dissolving['state'], isUnchanged: boolean): string | null {
  const plan = prep.plan?.body
  if (!plan) return null
  const { hotML } = solventSoFarML(prep)
  const leastML = leastOf(plan)
  const isDoubtful = isHotDoubtful(plan)
  const past = pastThePlanML(plan.result, hotML, isDoubtful)
  const isOff = isTakenOff(prep)
  const overflow = isOff ? null : overflowOf(plan, hotML)
  if (overflow !== null) return overflow
  // Once the hot liquid is off it, nothing is left to be warned of.
  if (state === 'grit' && isOff) return null
  if (state === 'grit')
    return 'Two portions changed nothing: what is left is grit. Stop adding solvent, and filter the hot liquid off it. Oily drops are not grit: they need more hot solvent.'
  if (state === 'dissolving' && isUnchanged)
    return `Two portions changed nothing, but only ${hotML.toFixed(1)} of about ${leastML.toFixed(1)} mL are in. Undissolved solid is still expected, so it is not grit yet. Check that it is hot enough, swirl it, and go on in portions.`
  if (past !== null)
    return `Past the plan by ${past.toFixed(1)} mL. ${keepsBack(plan, past)}. What is still solid is grit, or the compound is less soluble than the plan assumed. You can boil solvent away again.`
  if (
    state === 'dissolving' &&
    plan.amount === 'least hot solvent' &&
    hotML > gritMarkML(leastML, isDoubtful) &&
    !plan.pair
  )
    return `${isDoubtful ? 'Three times' : 'Twice'} the least volume is in and not all has dissolved. What is left is probably grit. Oily drops are not grit: they need more hot solvent.`
  return null
}

/** What is in the vessel against what it holds: a digit too many, or a flask that boils over. */
function overflowOf(plan: PlanFixed, hotML: number): string | null {
  const { vessel, vesselML } = glassOf(plan.procedure.collect, plan)
  if (vessel === null || vesselML === null) return null
  const isFlask = vessel.endsWith('flask')
  // A tube is planned full; a flask for what swirls in it, with its solid.
  const contentsML = isFlask ? hotML + SOLID_ML_PER_G * plan.input.crudeG : hotML
  const what = vessel.replace(/^\d+ mL /, '')
  if (contentsML > vesselML)
    return `${hotML.toFixed(1)} mL${isFlask ? ' and the solid' : ''} are more than a ${vesselML} mL ${what} holds. If a volume is wrong, strike it out. If not, do not heat so full a vessel: divide it between two.`
  if (isFlask && contentsML > FILLED_AT_MOST * vesselML)
    return `The ${vesselML} mL ${what} is more than ${FILLED_IN_WORDS} full and could boil over. Take it off the heat, let it cool a little, and move it to a larger one before you add more.`
  return null
}
/** Fuller than this nothing is brought to the boil. */
const FILLED_AT_MOST = 2 / 3
const FILLED_IN_WORDS = 'two thirds'

/** What so much solvent more keeps in the liquor once it is cold, in words. */
function keepsBack({ input, compound }: PlanFixed, ml: number): string {
  const cold = attempt(() => solubilityAt(input.product, input.coldC, input.productFusionKJPerMol))
  const keptG = cold.ok ? Math.min((cold.value.gPer100ML * ml) / 100, input.crudeG * input.assay) : null
  return keptG === null
    ? 'Each extra mL keeps product in the mother liquor'
    : `That keeps about ${significant(keptG, 2)} g more of the ${compound.name} in the mother liquor`
}

/** Drops per mL of this bench's pipette, as last counted; null before it was. */
export function pipetteOf(view: View, prep: PrepFacts): number | null {
  const counted = latestLine(view, prep.id, 'pipette counted')
  if (!counted) return null
  const perML = attempt(() => dropsPerML(counted.body.drops, counted.body.volume.value))
  return perML.ok ? perML.value : null
}
