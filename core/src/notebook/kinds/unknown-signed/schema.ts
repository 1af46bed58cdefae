import Joi from 'joi'
import type { UnknownSigned } from './kind'
import {
  celsius,
  conventions,
  coreVersion,
  name,
  number,
  range,
  restsOn,
  shape,
  shortName,
} from '../../../schema/pieces'
import { CANDIDATES_MOST } from '../candidates-listed/kind'

const chance = number.min(0).max(1).required()
const options = Joi.object({
  sigmaC: celsius.required(),
  depressionMeanC: celsius.required(),
  mixtureSigmaC: celsius.required(),
  undepressedSigmaC: celsius.required(),
  noDepressionChance: chance,
  mishapChance: chance,
  mishapSpanC: celsius.required(),
  unlistedPrior: chance,
  unlistedSpanC: celsius.required(),
  visibleLiquidFraction: chance,
})

export const unknownSignedV1 = shape<UnknownSigned>({
  signedBy: name.required(),
  answer: Joi.alternatives(
    Joi.object({
      is: Joi.string().valid('compound').required(),
      compound: shortName.required(),
      name: name.required(),
    }),
    Joi.object({ is: Joi.string().valid('not on the list', 'cannot tell').required() }),
  ).required(),
  ranked: Joi.array()
    .items(Joi.object({ id: shortName.allow(null).required(), probability: chance }))
    .max(CANDIDATES_MOST + 1)
    .required(),
  unknown: range.required(),
  mixtures: Joi.array()
    .items(
      Joi.object({
        reference: shortName.required(),
        name: name.required(),
        range: range.required(),
        verdict: Joi.string().valid('same', 'different', 'repeat').allow(null).required(),
      }),
    )
    .max(50)
    .required(),
  options: options.required(),
  conventions: conventions.required(),
  coreVersion: coreVersion.required(),
  restsOn: restsOn.required(),
})

export const schemas = { 1: unknownSignedV1 }
