import Joi from 'joi'
import { reading } from '../pieces'

export const solventRemovedV1 = Joi.object({
  volume: reading
    .custom((value: { value: number }, helpers) =>
      value.value > 0 && value.value <= 10_000
        ? value
        : helpers.message({ custom: `${value.value} mL cannot have boiled away.` }),
    )
    .required(),
})
