import { ACTION_CODES, FINDING_CODES } from '../../../judging/judgement'
import Joi from 'joi'
import type { VerdictSigned } from './kind'
import {
  celsius,
  conventions,
  coreVersion,
  fusion,
  grain,
  name,
  number,
  range,
  restsOn,
  shape,
  uuid,
} from '../pieces'

const sentence = Joi.string().max(1000).required()
const first = {
  sample: uuid.required(),
  signedBy: name.required(),
  judgement: Joi.object({
    verdict: Joi.string()
      .valid('consistent with pure', 'nearly pure', 'impure', 'not this compound', 'cannot tell')
      .required(),
    findings: Joi.array()
      .items(
        Joi.object({
          code: Joi.string()
            .valid(...FINDING_CODES)
            .required(),
          numbers: Joi.object().pattern(Joi.string().max(40), number).required(),
          headline: Joi.string().max(200).required(),
          sentence,
        }),
      )
      .max(30)
      .required(),
    actions: Joi.array()
      .items(
        Joi.object({
          code: Joi.string()
            .valid(...ACTION_CODES)
            .required(),
          minutes: number.min(0),
          sentence,
        }),
      )
      .max(20)
      .required(),
  }).required(),
  input: Joi.object({
    corrected: range.required(),
    literature: Joi.object({ lowC: celsius.required(), highC: celsius.required() }).required(),
    fusion,
    rateCPerMin: number.min(0).max(1000).required(),
    fillMm: number.positive().max(50).required(),
    grain: grain.required(),
    calibration: Joi.string().valid('none', 'in place', 'at another rate').required(),
    dried: Joi.boolean().required(),
    decomposed: Joi.boolean(),
    residualSolid: Joi.boolean(),
    crude: range,
    authenticSameRun: range,
    impurity: Joi.object({ name: name.required(), fusion: fusion.required() }),
  }).required(),
  conventions: conventions.required(),
  coreVersion: coreVersion.required(),
  restsOn: restsOn.required(),
}
export const verdictSignedV1 = Joi.object(first)

const judgeInput = verdictSignedV1.extract('input') as Joi.ObjectSchema
/** The second version knows of mixed melts, plates, repeats and how good the thermometer is. */
export const verdictSignedV2 = shape<VerdictSigned>({
  ...first,
  input: judgeInput
    .keys({
      thermometerErrorC: number.min(0).max(1000).allow(null),
      mixed: Joi.object({
        verdict: Joi.string().valid('same', 'different', 'repeat').required(),
        because: sentence,
      }),
      plate: Joi.object({
        spots: number.integer().min(0).max(50).required(),
        agrees: Joi.boolean().allow(null).required(),
        isPoor: Joi.boolean().required(),
        sentence,
      }),
      repeats: Joi.object({
        count: number.integer().min(1).max(1000).required(),
        spreadC: number.min(0).max(1000).required(),
      }),
    })
    .required(),
})

export const schemas = { 1: verdictSignedV1, 2: verdictSignedV2 }
