import {
  type CrystallizationInput,
  type CrystallizationPlan,
  planCrystallization,
} from './planCrystallization'
import type { Compound, Solvent } from '../reference/shelf'
import { ImpossibleInput, requireNumber } from '../problems'

/** Beyond this many times the least volume, keeping the impurity dissolved costs more product than it is worth. */
const DILUTE_AT_MOST = 5
const ROOM_ABOVE_LEAST = 1.1
const ROOM_ABOVE_IMPURITY = 1.02

/**
 * Volume to propose: a tenth above the least, or just past where the impurity stays dissolved cold when that
 * is within five times the least. Rounded up to what a measuring cylinder shows.
 *
 * @param plan at any volume
 * @returns mL
 * @example proposedVolumeML(planCrystallization({ ...input, excess: 0 })) // 11 for 10.4 mL to keep the impurity in
 */
export function proposedVolumeML({ minimumHotML, impurityStaysDissolvedML }: CrystallizationPlan): number {
  const tenthOver = ROOM_ABOVE_LEAST * minimumHotML
  const keepsImpurity =
    impurityStaysDissolvedML !== null && impurityStaysDissolvedML <= DILUTE_AT_MOST * minimumHotML
  const wanted = keepsImpurity
    ? Math.max(tenthOver, ROOM_ABOVE_IMPURITY * impurityStaysDissolvedML)
    : tenthOver
  const stepsAMillilitre = wanted >= 10 ? 2 : 10
  return Math.ceil(wanted * stepsAMillilitre - 1e-9) / stepsAMillilitre
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

/**
 * Temperatures to begin planning with: hot just under boiling and 10 °C short of where the solid would melt,
 * cold in ice but 2 °C clear of where the solvent freezes.
 *
 * @returns whole °C
 * @example workingTemperatures(ethanol95, benzil) // { hotC: 78, coldC: 2 }
 */
export function workingTemperatures(solvent: Solvent, compound: Compound): { hotC: number; coldC: number } {
  const boilingC = solvent.boilingPointC ?? 70
  return {
    hotC: Math.floor(Math.min(boilingC - 0.2, compound.meltLowC - 10)),
    coldC: Math.max(2, Math.ceil((solvent.freezingPointC ?? 0) + 2)),
  }
}

/** Solid that is left in this many times the least hot volume is taken for grit; a rule of the bench. */
const GRIT_AT_TIMES_LEAST = 2
/** Added up to this much beyond the plan, solvent is within what a cylinder and evaporation explain. */
const SLACK_OVER_PLAN = 1.1

/**
 * Volume at which solid that is still there is taken for grit: more solvent would only keep more product back.
 *
 * @param minimumHotML least hot volume, mL
 * @returns mL
 * @example gritMarkML(3.5) // 7
 */
export function gritMarkML(minimumHotML: number): number {
  return GRIT_AT_TIMES_LEAST * minimumHotML
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
): number | null {
  const remarkable = addedML > gritMarkML(plan.minimumHotML) && addedML > SLACK_OVER_PLAN * plan.hotML
  return remarkable ? addedML - plan.hotML : null
}
