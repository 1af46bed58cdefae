export type { Conventions } from './conventions'
export { type LabRules, labRulesOf } from './lab'
export { DEFAULT_HOUSE_RULES, SCHOOLS } from './schools'
