import Joi from 'joi'
import type { TrialSeen } from './kind'
import { COLD_SEEN, COOLED_SEEN, HOT_SEEN } from '../../../solubility/trial'
import { name, number, shape, shortName } from '../../../schema/pieces'

const seen = (words: readonly string[]) =>
  Joi.string()
    .valid(...words)
    .allow(null)
    .required()
export const trialSeenV1 = shape<TrialSeen>({
  solvent: shortName.required(),
  solventName: name.required(),
  sampleMg: number.positive().max(10_000).required(),
  solventML: number.positive().max(100).required(),
  cold: seen(COLD_SEEN),
  hot: seen(HOT_SEEN),
  cooled: seen(COOLED_SEEN),
})

export const schemas = { 1: trialSeenV1 }
