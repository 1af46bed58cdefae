import { REFERENCE_COMPOUNDS as FIRST_SET, type ReferenceCompound as FirstValues } from './compounds'
import { PHYSICAL, type PhysicalValues } from './physical'

/** The reference compounds with their further values; a hazard that either set agreed on counts. */
export type ReferenceCompound = FirstValues & Partial<Omit<PhysicalValues, 'hazards'>>
export const REFERENCE_COMPOUNDS: readonly ReferenceCompound[] = FIRST_SET.map((compound) => {
  const more = PHYSICAL[compound.id]
  if (!more) return compound
  const hazards = [...new Set([...compound.hazards, ...more.hazards])].sort()
  const hazardsToCheck = more.hazardsToCheck.filter((code) => !hazards.includes(code))
  const { hazardsToCheck: _, ...values } = more
  return { ...compound, ...values, hazards, ...(hazardsToCheck.length > 0 ? { hazardsToCheck } : {}) }
})
export { REFERENCE_SOLVENTS } from './solvents'
export { REFERENCE_SOLUBILITIES } from './solubilities'

/** Said beside every reference value. */
export const REFERENCE_SOURCE = 'general reference value'
/** When the values were compiled, year and month. */
export const REFERENCE_COMPILED = '2026-11'
