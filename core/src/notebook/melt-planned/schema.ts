import Joi from 'joi'
import {
  celsius,
  conventions,
  coreVersion,
  grain,
  name,
  number,
  restsOn,
  shortName,
  slot,
  uuid,
} from '../commonSchema'

const minutes = number.min(0).max(100_000).required()
export const meltPlannedV1 = Joi.object({
  prep: uuid.allow(null).required(),
  instrument: shortName.required(),
  tubes: Joi.array()
    .items(
      Joi.object({
        slot: slot.required(),
        sample: uuid.required(),
        label: name.required(),
        fillMm: number.positive().max(50).required(),
        grain: grain.required(),
      }),
    )
    .min(1)
    .max(3)
    .unique('slot')
    .required(),
  literature: Joi.object({
    lowC: celsius.required(),
    highC: celsius.required(),
    source: Joi.string().max(500).required(),
  }).required(),
  input: Joi.object({
    apparatus: Joi.object({
      ambientC: celsius.required(),
      blockC: celsius.required(),
      heatCPerMin: number.positive().max(1000).required(),
      coolTimeConstantMin: number.positive().max(1000).required(),
      rates: Joi.array().items(number.positive().max(1000)).min(1).max(50).required(),
      maxC: celsius.required(),
    }).required(),
    conventions: conventions.required(),
    expectedLowC: celsius.required(),
    expectedHighC: celsius.required(),
    firstLiquidFromC: celsius,
  }).required(),
  plan: Joi.object({
    segments: Joi.array()
      .items(
        Joi.object({
          kind: Joi.string().valid('cool', 'preheat', 'ramp').required(),
          fromC: celsius.required(),
          toC: celsius.required(),
          rateCPerMin: number.min(-1000).max(1000).required(),
          minutes,
        }),
      )
      .max(10)
      .required(),
    startC: celsius.required(),
    stopC: celsius.required(),
    rateCPerMin: number.positive().max(1000).required(),
    watchFromC: celsius.required(),
    watchFromMin: minutes,
    totalMin: minutes,
    warnings: Joi.array().items(Joi.string().max(500)).max(20).required(),
  }).required(),
  conventions: conventions.required(),
  coreVersion: coreVersion.required(),
  restsOn: restsOn.required(),
})
