import Joi from 'joi'
import type { ReactionNamed } from './kind'
import { name, number, reading, shape } from '../../../schema/pieces'

export const reactionNamedV1 = shape<ReactionNamed>({
  limiting: Joi.object({
    name: name.required(),
    molarMassGPerMol: number.positive().max(1e6).required(),
  }).required(),
  limitingMass: reading
    .custom((value: { value: number }, helpers) =>
      value.value > 0 ? value : helpers.message({ custom: 'The limiting reagent has a mass above zero.' }),
    )
    .required(),
  productPerLimiting: number.positive().max(100).required(),
})

export const schemas = { 1: reactionNamedV1 }
