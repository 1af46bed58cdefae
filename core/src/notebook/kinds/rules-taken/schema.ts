import type { RulesTaken } from './kind'
import { conventions, shape } from '../../../schema/pieces'

export const rulesTakenV1 = shape<RulesTaken>({ conventions: conventions.required() })

export const schemas = { 1: rulesTakenV1 }
