import Joi from 'joi'
import { celsius, fusion, grain, name, number, shortName, slot, uuid } from '../commonSchema'

export const runStartedV1 = Joi.object({
  run: uuid.required(),
  instrument: shortName.required(),
  simulated: Joi.boolean().valid(true).required(),
  seed: Joi.number().integer().required(),
  character: Joi.object({
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
  }).required(),
  blockC: celsius.required(),
  tubes: Joi.array()
    .items(
      Joi.object({
        slot: slot.required(),
        sample: Joi.object({
          a: fusion.required(),
          b: fusion.allow(null).required(),
          moleFractionA: number.min(0).max(1).required(),
          decomposesAtC: celsius,
        }).required(),
        packing: Joi.object({
          fillMm: number.positive().max(50).required(),
          grain: grain.required(),
        }).required(),
      }),
    )
    .max(12)
    .required(),
})
