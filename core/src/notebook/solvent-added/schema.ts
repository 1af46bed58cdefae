import Joi from 'joi'
import { reading } from '../commonSchema'

export const solventAddedV1 = Joi.object({
  volume: reading
    .custom((value: { value: number }, helpers) =>
      value.value > 0 && value.value <= 10_000
        ? value
        : helpers.message({ custom: `A portion of ${value.value} mL cannot have been added.` }),
    )
    .required(),
  use: Joi.string().valid('dissolve', 'dilute', 'rinse').required(),
})
