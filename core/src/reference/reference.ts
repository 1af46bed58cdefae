export { REFERENCE_COMPOUNDS, type ReferenceCompound } from './compounds'
export { REFERENCE_SOLVENTS } from './solvents'
export { REFERENCE_SOLUBILITIES } from './solubilities'

/** Said beside every reference value. */
export const REFERENCE_SOURCE = 'general reference value'
/** When the values were compiled, year and month. */
export const REFERENCE_COMPILED = '2026-11'
