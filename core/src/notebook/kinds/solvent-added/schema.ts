import Joi from 'joi'
import { number, reading, shape } from '../../../schema/pieces'
import type { SolventAdded } from './kind'
import { PORTION_USES } from '../../../procedures/portions'

const first = {
  volume: reading
    .custom((value: { value: number }, helpers) =>
      value.value > 0 && value.value <= 10_000
        ? value
        : helpers.message({ custom: `A portion of ${value.value} mL cannot have been added.` }),
    )
    .required(),
  use: Joi.string().valid('dissolve', 'dilute', 'rinse').required(),
}
export const solventAddedV1 = Joi.object(first)

export const solventAddedV2 = shape<SolventAdded>({
  ...first,
  drops: Joi.object({
    count: Joi.number().integer().min(1).max(10_000).required(),
    perML: number.min(5).max(200).required(),
  })
    .allow(null)
    .required(),
  use: Joi.string()
    .valid(...PORTION_USES)
    .required(),
  hot: Joi.boolean().required(),
})

export const schemas = { 1: solventAddedV1, 2: solventAddedV2 }
