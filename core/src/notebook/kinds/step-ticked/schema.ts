import type { StepTicked } from './kind'
import { shape, shortName } from '../pieces'

export const stepTickedV1 = shape<StepTicked>({ step: shortName.required() })

export const schemas = { 1: stepTickedV1 }
