import type { StepTicked } from './kind'
import { shortName, shape } from '../pieces'

export const stepTickedV1 = shape<StepTicked>({ step: shortName.required() })

export const schemas = { 1: stepTickedV1 }
