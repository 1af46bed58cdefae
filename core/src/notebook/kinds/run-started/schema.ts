import Joi from 'joi'
import type { RunStarted } from './kind'
import { celsius, fusion, grain, name, number, shape, shortName, slot, uuid } from '../pieces'

const contents = Joi.object({
  a: fusion.required(),
  b: fusion.allow(null).required(),
  moleFractionA: number.min(0).max(1).required(),
  decomposesAtC: celsius,
})
const packing = Joi.object({ fillMm: number.positive().max(50).required(), grain: grain.required() })

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
        sample: contents.required(),
        packing: packing.required(),
      }),
    )
    .max(12)
    .required(),
})

const dial = Joi.object({
  max: number.positive().max(1000).required(),
  step: number.positive().max(1000).required(),
  gain: number.positive().max(1e5).required(),
  exponent: number.positive().max(10).required(),
})
/** A heated instrument's character, simulated or nominal. */
export const character = (runStartedV1.extract('character') as Joi.ObjectSchema).keys({
  probeSlope: number.min(-1).max(1).required(),
  control: Joi.string().valid('program', 'dial', 'flame').required(),
  dial: dial.allow(null).required(),
  heaterMass: number.positive().max(10).required(),
  heaterToBlockS: number.positive().max(1000).required(),
  readBy: Joi.string().valid('probe', 'eye').required(),
  readsLight: Joi.boolean().required(),
})
export const runStartedV2 = shape<RunStarted>({
  run: uuid.required(),
  instrument: shortName.required(),
  feed: Joi.string().valid('simulated', 'connected', 'by hand').required(),
  simulation: Joi.object({
    seed: Joi.number().integer().required(),
    character: character.required(),
    // An unknown with a sealed answer keeps what is in its tube to itself.
    tubes: Joi.array()
      .items(
        Joi.object({
          slot: slot.required(),
          sample: contents.allow(null).required(),
          packing: packing.required(),
        }),
      )
      .max(12)
      .required(),
  })
    .allow(null)
    .required(),
  blockC: celsius.allow(null).required(),
  recorded: Joi.boolean().required(),
})

export const schemas = { 1: runStartedV1, 2: runStartedV2 }
