import { REFERENCE_COMPOUNDS as FIRST_SET, type ReferenceCompound as FirstValues } from './compounds'
import { MORE_COMPOUNDS } from './compoundsMore'
import { SOLUBILITY_CLASSES } from './classes'
import { HYDRATES, type HydrateValues } from './hydrates'
import { PHYSICAL, type PhysicalValues } from './physical'
import type { SolubilityClasses, SolubilityRow } from '../substances/shelf'
import { REFERENCE_SOLUBILITIES as FIRST_POINTS } from './solubilities'
import { MORE_SOLUBILITIES } from './solubilitiesMore'
import { takeIn, takenForTheOther } from './takeIn'

/** The reference compounds with their further values; a hazard that either set agreed on counts. */
export type ReferenceCompound = FirstValues &
  Partial<Omit<PhysicalValues, 'hazards'>> & {
    readonly solubilityClasses?: SolubilityClasses
  } & Partial<HydrateValues>
export const REFERENCE_COMPOUNDS: readonly ReferenceCompound[] = [...FIRST_SET, ...MORE_COMPOUNDS].map(
  (compound) => {
    const more = PHYSICAL[compound.id]
    const solubilityClasses = SOLUBILITY_CLASSES[compound.id]
    const classes = { ...(solubilityClasses ? { solubilityClasses } : {}), ...HYDRATES[compound.id] }
    if (!more) return { ...compound, ...classes }
    const hazards = [...new Set([...compound.hazards, ...more.hazards])].sort()
    const hazardsToCheck = more.hazardsToCheck.filter((code) => !hazards.includes(code))
    const { hazardsToCheck: _, ...values } = more
    return {
      ...compound,
      ...values,
      ...classes,
      hazards,
      ...(hazardsToCheck.length > 0 ? { hazardsToCheck } : {}),
    }
  },
)
export { REFERENCE_SOLVENTS } from './solvents'

const SECOND = takeIn(
  FIRST_POINTS,
  MORE_SOLUBILITIES.map(([compound, solvent, temperatureC, gPer100ML, confidence]) => ({
    compound,
    solvent,
    temperatureC,
    gPer100ML,
    confidence,
  })),
)
const OF_TWO_SETS = [...FIRST_POINTS, ...SECOND.taken]

/** Said beside every reference value. */
export const REFERENCE_SOURCE = 'general reference value'
/** When the values were compiled, year and month. */
export const REFERENCE_COMPILED = '2026-11'
const SECOND_SOURCE = `${REFERENCE_SOURCE}, recalled twice but not independently`

/** Every solubility of the shelf: the first set, what the second adds, and one ethanol taken for the other. */
export const REFERENCE_SOLUBILITIES: readonly SolubilityRow[] = [
  ...FIRST_POINTS.map((row) => ({ ...row, source: REFERENCE_SOURCE })),
  ...SECOND.taken.map((row) => ({ ...row, source: SECOND_SOURCE })),
  ...takenForTheOther(OF_TWO_SETS).map((row) => ({
    ...row,
    source: `${REFERENCE_SOURCE}, of the other ethanol`,
  })),
]
/** Points of the second set that contradict: not on the shelf. */
export const SOLUBILITIES_LEFT_OUT: ReturnType<typeof takeIn>['leftOut'] = SECOND.leftOut
