import Joi from 'joi'
import { COLD_SEEN, COOLED_SEEN, HOT_SEEN } from '../../../solubility/trial'
import { name, number, shortName } from '../pieces'

const seen = (words: readonly string[]) =>
  Joi.string()
    .valid(...words)
    .allow(null)
    .required()
export const trialSeenV1 = Joi.object({
  solvent: shortName.required(),
  solventName: name.required(),
  sampleMg: number.positive().max(10_000).required(),
  solventML: number.positive().max(100).required(),
  cold: seen(COLD_SEEN),
  hot: seen(HOT_SEEN),
  cooled: seen(COOLED_SEEN),
})
