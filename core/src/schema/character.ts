import Joi from 'joi'
import { celsius, name, number, slot } from './pieces'

/** The character of a heated instrument as the first version wrote it: it knew one programmable block. */
export const firstCharacter = Joi.object({
  name: name.required(),
  ambientC: celsius.required(),
  maxC: celsius.required(),
  heatCPerMin: number.positive().max(1000).required(),
  coolTimeConstantMin: number.positive().max(1000).required(),
  rates: Joi.array().items(number.positive().max(1000)).min(1).max(50).required(),
  slots: slot.required(),
  sampleLagMin: number.min(0).max(100).required(),
  probeLagMin: number.min(0).max(100).required(),
  probeNoiseC: number.min(0).max(10).required(),
  probeOffsetC: number.min(-50).max(50).required(),
  decimals: Joi.number().integer().min(0).max(4).required(),
})

const dial = Joi.object({
  max: number.positive().max(1000).required(),
  step: number.positive().max(1000).required(),
  gain: number.positive().max(1e5).required(),
  exponent: number.positive().max(10).required(),
})
/** A heated instrument's character, simulated or nominal. */
export const character = firstCharacter.keys({
  probeSlope: number.min(-1).max(1).required(),
  control: Joi.string().valid('program', 'dial', 'flame').required(),
  dial: dial.allow(null).required(),
  heaterMass: number.positive().max(10).required(),
  heaterToBlockS: number.positive().max(1000).required(),
  readBy: Joi.string().valid('probe', 'eye').required(),
  readsLight: Joi.boolean().required(),
})
