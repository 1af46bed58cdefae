import Joi from 'joi'
import { LANE_KINDS } from '../../../chromatography/readPlate'
import { name, number, reading, shape, uuid } from '../../../schema/pieces'
import { type PlateDeveloped, SPOT_SHAPES, VISUALIZED } from './kind'

const mm = number.min(0).max(500)
export const plateDevelopedV1 = shape<PlateDeveloped>({
  of: uuid.allow(null).required(),
  stationary: name.required(),
  eluent: name.required(),
  visualized: Joi.array()
    .items(Joi.string().valid(...VISUALIZED))
    .min(1)
    .unique()
    .required(),
  size: Joi.object({ widthMm: mm.positive().required(), heightMm: mm.positive().required() }).required(),
  lineMm: mm.required(),
  frontMm: reading.required(),
  lanes: Joi.array()
    .items(
      Joi.object({
        sample: uuid.allow(null).required(),
        label: name.required(),
        kind: Joi.string()
          .valid(...LANE_KINDS)
          .required(),
        acrossMm: mm.required(),
        spots: Joi.array()
          .items(
            Joi.object({
              centreMm: reading.required(),
              shape: Joi.string()
                .valid(...SPOT_SHAPES)
                .required(),
            }),
          )
          .max(12)
          .required(),
      }),
    )
    .min(1)
    .max(12)
    .required(),
})

export const schemas = { 1: plateDevelopedV1 }
