import Joi from 'joi'
import { reading } from '../pieces'

export const temperatureReadV1 = Joi.object({
  temperature: reading
    .custom((value: { value: number }, helpers) =>
      value.value > -100 && value.value < 300
        ? value
        : helpers.message({ custom: `A solution at ${value.value} °C cannot be.` }),
    )
    .required(),
})
