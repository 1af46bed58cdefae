import {
  type CrystallizationInput,
  type CrystallizationPlan,
  planCrystallization,
} from './planCrystallization'
import { boilsFromC } from '../substances/boiling'
import type { Compound, Solvent } from '../substances/shelf'
import { ImpossibleInput, requireNumber } from '../problems'
import { reactionOf } from '../substances/reactions'
import { solubilityAt } from './solubilityAt'

/** Beyond this many times the least volume, keeping the impurity dissolved costs more product than it is worth. */
const DILUTE_AT_MOST = 5
const ROOM_ABOVE_LEAST = 1.1
const ROOM_ABOVE_IMPURITY = 1.02
/** Solvent for a gram of crude that leaves a liquor to part from, mL: half way in what solvents are ranked by. */
export const WORKABLE_ML_PER_G = 1.5
/** Less than this is a wet cake, mL. */
export const WET_CAKE_BELOW_ML_PER_G = 1
/** More solvent is no help where it would keep more of the product than this in the liquor. */
const KEPT_BACK_AT_MOST = 0.3

/** Why a volume is proposed. */
type VolumeReason =
  | 'a tenth over the least'
  | 'keeps the impurity dissolved'
  | 'room to work'
  | 'no room to work'
  | 'for recovery and room'
export interface ProposedVolume {
  readonly ml: number
  readonly because: VolumeReason
}

/**
 * Volume to propose: a tenth above the least, or just past where the impurity stays dissolved cold when that is
 * within five times the least. Where that is under 1.5 mL a gram, more, as far as the liquor keeps no more than three
 * tenths of the product. Rounded up to what a measuring cylinder shows.
 *
 * @param plan at any volume
 * @param input of that plan
 * @returns mL, and why; `no room to work` where even so it is a wet cake
 * @example proposedVolume(planCrystallization({ ...input, excess: 0 }), input) // { ml: 11, because: 'keeps the impurity dissolved' }
 */
export function proposedVolume(
  { minimumHotML, impurityStaysDissolvedML }: CrystallizationPlan,
  input: Omit<CrystallizationInput, 'excess'>,
): ProposedVolume {
  const tenthOver = ROOM_ABOVE_LEAST * minimumHotML
  const keepsImpurity =
    impurityStaysDissolvedML !== null &&
    impurityStaysDissolvedML <= DILUTE_AT_MOST * minimumHotML &&
    ROOM_ABOVE_IMPURITY * impurityStaysDissolvedML > tenthOver
  const wanted = keepsImpurity ? ROOM_ABOVE_IMPURITY * impurityStaysDissolvedML : tenthOver
  const workable = WORKABLE_ML_PER_G * input.crudeG
  if (wanted >= workable)
    return {
      ml: poured(wanted),
      because: keepsImpurity ? 'keeps the impurity dissolved' : 'a tenth over the least',
    }
  const cold = solubilityAt(input.product, input.coldC, input.productFusionKJPerMol).gPer100ML
  const affordable = (KEPT_BACK_AT_MOST * 100 * input.assay * input.crudeG) / cold
  const ml = poured(Math.max(wanted, Math.min(workable, affordable)))
  return { ml, because: ml / input.crudeG >= WET_CAKE_BELOW_ML_PER_G ? 'room to work' : 'no room to work' }
}

/** Rounded up to what a measuring cylinder shows, mL. */
function poured(ml: number): number {
  const steps = ml >= 10 ? 2 : ml >= 1 ? 10 : 100
  return Math.ceil(ml * steps - 1e-9) / steps
}

/**
 * The input that uses a given volume in place of an excess.
 *
 * @param volumeML hot solvent in all
 * @throws ImpossibleInput below the least hot volume
 */
export function withVolumeML(
  input: Omit<CrystallizationInput, 'excess'>,
  volumeML: number,
): CrystallizationInput {
  requireNumber(volumeML, 'The volume')
  const { minimumHotML } = planCrystallization({ ...input, excess: 0 })
  if (volumeML < minimumHotML)
    throw new ImpossibleInput(
      'bad-volume',
      `${volumeML} mL is below the least hot volume of ${minimumHotML.toFixed(1)} mL: the product would not all dissolve.`,
    )
  return { ...input, excess: volumeML / minimumHotML - 1 }
}

/** Where nothing is known of its boiling, a solvent is planned no hotter than this, °C. */
const HOT_WHERE_UNKNOWN_C = 70
/** Two solvents work this far under where the first of them boils, °C. */
const PAIR_BELOW_BOILING_C = 5
/** A solid is dissolved so far below where it would melt, °C. */
export const BELOW_MELTING_C = 10
/** What hot solvent slowly splits is planned no hotter than this, °C. */
const SPLIT_HOT_FROM_C = 70
/** A solvent that freezes above this, °C, is kept out of ice. */
const FREEZES_NEAR_ICE_ABOVE_C = 1
/** How far a bath stays above where the solvent freezes, °C. */
export const ABOVE_FREEZING_C = 5
const ICE_C = 2

/** Whether a solvent would freeze in the ice bath, or nearly. */
export function freezesNearIce({ freezingPointC }: Pick<Solvent, 'freezingPointC'>): boolean {
  return freezingPointC !== null && freezingPointC > FREEZES_NEAR_ICE_ABOVE_C
}

/**
 * Temperatures to begin planning with: hot just under boiling (a pair 5 °C under the lower boiling point) and 10 °C
 * short of where the solid would melt; cold in ice, or in cool water 5 °C clear of where the solvent freezes.
 *
 * @returns whole °C
 * @example workingTemperatures(ethanol95, benzil) // { hotC: 78, coldC: 2 }
 */
export function workingTemperatures(
  solvent: Solvent,
  compound: Compound,
  second: Solvent | null = null,
): { hotC: number; coldC: number } {
  const solvents = second ? [solvent, second] : [solvent]
  const boilsC = Math.min(...solvents.map((one) => boilsFromC(one) ?? HOT_WHERE_UNKNOWN_C))
  // A pair, and what boils over a range, is kept short of where the first of it boils.
  const isMixed = second !== null || (solvent.boilingPointC === null && boilsFromC(solvent) !== null)
  const shortOfBoilingC = isMixed ? boilsC - PAIR_BELOW_BOILING_C : boilsC - 0.2
  const freezing = solvents.filter(freezesNearIce).map(({ freezingPointC }) => freezingPointC ?? 0)
  const isSplit = solvents.some((one) => reactionOf(compound, one) !== null)
  return {
    hotC: Math.floor(
      Math.min(shortOfBoilingC, compound.meltLowC - BELOW_MELTING_C, isSplit ? SPLIT_HOT_FROM_C : Infinity),
    ),
    coldC: Math.max(ICE_C, ...freezing.map((c) => Math.ceil(c + ABOVE_FREEZING_C))),
  }
}

/** The hottest two solvents are used at, °C: 5 °C under the lower boiling point; null where neither is known. */
export function hottestOfPairC(solvent: Solvent, second: Solvent): number | null {
  const known = [solvent, second].flatMap((one) => boilsFromC(one) ?? [])
  return known.length > 0 ? Math.floor(Math.min(...known) - PAIR_BELOW_BOILING_C) : null
}

/** Solid that is left in this many times the least hot volume is taken for grit; a rule of the bench. */
const GRIT_AT_TIMES_LEAST = 2
/** The same where the solubility is continued beyond its points, or of low confidence: the least may be wrong. */
const GRIT_WHERE_DOUBTFUL = 3

/** Added up to this much beyond the plan, solvent is within what a cylinder and evaporation explain. */
const SLACK_OVER_PLAN = 1.1

/**
 * Volume at which solid that is still there is taken for grit: more solvent would only keep more product back.
 *
 * @param minimumHotML least hot volume, mL
 * @param isDoubtful whether the hot solubility lies beyond its points, or is of low confidence
 * @returns mL
 * @example gritMarkML(3.5) // 7
 */
export function gritMarkML(minimumHotML: number, isDoubtful = false): number {
  return (isDoubtful ? GRIT_WHERE_DOUBTFUL : GRIT_AT_TIMES_LEAST) * minimumHotML
}

/**
 * How far the solvent added goes past the plan, or null while that needs no remark.
 *
 * @param plan as fixed
 * @param addedML hot solvent so far
 * @returns mL beyond the planned volume
 * @example pastThePlanML({ ...plan, minimumHotML: 3.5, hotML: 11 }, 20) // 9
 */
export function pastThePlanML(
  plan: Pick<CrystallizationPlan, 'minimumHotML' | 'hotML'>,
  addedML: number,
  isDoubtful = false,
): number | null {
  const remarkable =
    addedML > gritMarkML(plan.minimumHotML, isDoubtful) && addedML > SLACK_OVER_PLAN * plan.hotML
  return remarkable ? addedML - plan.hotML : null
}
