import { minutesInWords } from '../words'
import type { Compound, Solvent } from '../substances/shelf'
import type { Conventions } from '../conventions/conventions'
import { airMinutesOf } from '../weighing/airDrying'
import { type Drying, dryingFor } from './drying'

/** The least drying between two weighings that are to show constant mass, min. */
const BETWEEN_WEIGHINGS_MIN = 30
/** The same where nothing warm helps: a night. */
const A_NIGHT_MIN = 720
/** Two weighings agree within no more than this share of the mass. */
const AGREE_WITHIN_SHARE = 0.002

/** What counts as dry for one batch: said by its steps, asked by the balance, believed by the judge. */
export interface DryRule {
  readonly by: 'minutes of air' | 'constant mass'
  /** Drawn with air at the funnel, or left open in a tube, first, min. */
  readonly firstMin: number
  /** Minutes of air that show it dry, the first ones among them; Infinity where air does not. */
  readonly airMin: number
  /** Drying between two weighings that are to agree, min. */
  readonly betweenMin: number
  readonly how: Drying['how']
}

/**
 * What counts as dry, by house rules and by what the crystals are wet with: minutes of air where that is the rule and
 * air is enough, never fewer than the solvent needs; else two weighings that agree, with at least 30 min of drying
 * between them, and a night where they dry in a desiccator. Wet with nothing that is known, by the house’s rule alone.
 *
 * @param house the house's rule
 * @param solvents all that it crystallized from
 * @example dryRuleOf({ atLeastMin: 10, constantMassToleranceG: null }, [ethanol95], benzil).airMin // 60
 */
export function dryRuleOf(
  house: Conventions['drying'],
  solvents: readonly Solvent[],
  compound: Compound,
): DryRule {
  const airMin = Math.max(house.atLeastMin, solvents.length === 0 ? 0 : airMinutesOf(solvents))
  const { how } = dryingFor(solvents, compound)
  // In air alone, what is wet with water or a high boiler takes as long as in a desiccator.
  const isSlow = how !== 'oven' && (how !== 'air' || !Number.isFinite(airMin))
  return {
    by: house.constantMassToleranceG === null && Number.isFinite(airMin) ? 'minutes of air' : 'constant mass',
    firstMin: Math.max(1, house.atLeastMin),
    airMin,
    betweenMin: Math.max(house.atLeastMin, isSlow ? A_NIGHT_MIN : BETWEEN_WEIGHINGS_MIN),
    how,
  }
}

/**
 * How far apart two weighings may lie and still agree, g: what the house says, else two steps of the balance, and no
 * more than 0.2 % of the mass. Below one step of the balance they agree to the last digit.
 *
 * @example agreeWithinG({ atLeastMin: 10, constantMassToleranceG: null }, 1.5, 0.01) // 0.003
 */
export function agreeWithinG(house: Conventions['drying'], massG: number, readabilityG: number): number {
  const asked = house.constantMassToleranceG ?? 2 * readabilityG
  return Math.min(asked, AGREE_WITHIN_SHARE * massG)
}

/**
 * A drying time as it is said.
 *
 * @example durationInWords(720) // 'a night'
 */
export function durationInWords(minutes: number): string {
  if (minutes >= A_NIGHT_MIN) return minutes >= 2 * A_NIGHT_MIN ? `${Math.round(minutes / 60)} h` : 'a night'
  return minutesInWords(minutes)
}
