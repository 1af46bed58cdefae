import Joi from 'joi'
import type { MeltPlanned } from './kind'
import {
  blockModel,
  calibration,
  celsius,
  conventions,
  coreVersion,
  grain,
  name,
  number,
  restsOn,
  shape,
  shortName,
  slot,
  uuid,
} from '../../../schema/pieces'

const minutes = number.min(0).max(100_000).required()
const literature = Joi.object({
  lowC: celsius.required(),
  highC: celsius.required(),
  source: Joi.string().max(500).required(),
}).required()
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
  literature,
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

const minutesOrNone = number.min(0).max(100_000).allow(null).required()
const rate = number.positive().max(1000).required()
const warnings = Joi.array().items(Joi.string().max(500)).max(20).required()
const dialHeating = Joi.object({
  by: Joi.string().valid('dial').required(),
  input: Joi.object({
    model: blockModel.required(),
    dialStep: rate,
    dialMax: rate,
    startC: celsius.required(),
    expectedLowC: celsius.required(),
    expectedHighC: celsius.required(),
    leadC: number.min(0).max(500).required(),
    tailC: number.min(0).max(500).required(),
    minRate: rate,
    maxRate: rate,
    maxApproachRate: rate,
    dialUse: Joi.string().valid('one setting, nudged', 'stepped'),
  }).required(),
  plan: Joi.object({
    steps: Joi.array()
      .items(
        Joi.object({
          atMin: minutes,
          atC: celsius.required(),
          dial: number.min(0).max(1000).required(),
        }),
      )
      .max(200)
      .required(),
    watchFromMin: minutes,
    totalMin: minutes,
    warnings,
  }).required(),
})
const heating = Joi.alternatives()
  .conditional('.by', {
    switch: [
      {
        is: 'ramp',
        then: Joi.object({
          by: Joi.string().valid('ramp').required(),
          input: meltPlannedV1.extract('input').required(),
          plan: meltPlannedV1.extract('plan').required(),
        }),
      },
      { is: 'dial', then: dialHeating },
    ],
    otherwise: Joi.object({
      by: Joi.string().valid('hand').required(),
      blockC: celsius.required(),
      warnings,
    }),
  })
  .required()

const tubes = Joi.array()
  .items(
    Joi.object({
      slot: slot.required(),
      sample: uuid.required(),
      label: name.required(),
      fillMm: number.positive().max(50).required(),
      grain: grain.required(),
      tube: uuid,
    }),
  )
  .min(1)
  .max(12)
  .unique('slot')
  .required()

export const meltPlannedV2 = shape<MeltPlanned>({
  prep: uuid.allow(null).required(),
  instrument: shortName.required(),
  instrumentName: name.required(),
  purpose: Joi.string().valid('careful', 'scouting').required(),
  tubes,
  literature,
  window: Joi.object({
    startC: celsius.required(),
    watchFromC: celsius.required(),
    stopC: celsius.required(),
    rateCPerMin: rate,
    watchFromMin: minutesOrNone,
    totalMin: minutesOrNone,
  }).required(),
  heating,
  calibration: calibration
    .keys({ entry: uuid.required(), at: Joi.number().integer().min(0).max(8.64e15).required() })
    .allow(null)
    .required(),
  conventions: conventions.required(),
  coreVersion: coreVersion.required(),
  restsOn: restsOn.required(),
})

export const schemas = { 1: meltPlannedV1, 2: meltPlannedV2 }
