import { solventsOf } from '../../procedures/batch'
import { weighedAs } from '../../procedures/drying'
import { capital } from '../../words'
import { type PrepFacts, recoveryOf } from './prep'

const WATER_G_PER_MOL = 18.015

/** What the crystal water of a hydrate makes of a recovery. */
export interface HydrateAccount {
  /** Water in what was weighed, per cent of its mass. */
  readonly waterPercent: number
  /** Percent recovery counted without that water: right where the crude had none in it. */
  readonly withoutWaterPercent: number
  readonly sentence: string
}

/** The recovery of a product that is weighed as its hydrate, counted without its water; null where it is not one. */
export function hydrateOf(prep: PrepFacts): HydrateAccount | null {
  const plan = prep.plan?.body
  const recovery = recoveryOf(prep)
  if (!plan || !recovery.ok || weighedAs(solventsOf(plan), plan.compound) !== 'hydrate') return null
  const { compound } = plan
  const waters = compound.hydrateWaters
  if (waters === undefined) return null
  const waterG = waters * WATER_G_PER_MOL
  const share = waterG / (compound.molarMassGPerMol + waterG)
  const withoutWaterPercent = recovery.value.percent.value * (1 - share)
  return {
    waterPercent: 100 * share,
    withoutWaterPercent,
    sentence: `${capital(compound.name)} is weighed here as its hydrate, ${(100 * share).toFixed(1)} % of it water. For a crude without that water the recovery is ${withoutWaterPercent.toFixed(1)} %.`,
  }
}
