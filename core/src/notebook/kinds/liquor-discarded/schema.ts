import Joi from 'joi'

export const liquorDiscardedV1 = Joi.object({
  waste: Joi.string().min(1).max(300).required(),
  yieldKnown: Joi.boolean().required(),
})
