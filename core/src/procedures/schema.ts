import Joi from 'joi'
import { name, number, shortName } from '../schema/pieces'
import { PORTION_USES } from './portions'
import { STATIONS } from '../stations/stations'
import { COLLECTS, CONDITIONS, STEP_ASKS, STEP_MARKS } from './procedure'
import { AMOUNTS } from './amounts'
import { unknownAmounts } from './render'
import { takes } from './takesSchema'

const condition = Joi.string().valid(...CONDITIONS)
const text = Joi.string()
  .trim()
  .min(1)
  .max(1500)
  .custom((value: string, helpers) => {
    const [unknown] = unknownAmounts(value)
    if (unknown === undefined) return value
    const known = Object.keys(AMOUNTS).map((one) => `{${one}}`)
    const sentence = `{${unknown}} is no amount the app knows. It fills in ${known.join(' ')}.`
    return helpers.message({ custom: '{{#sentence}}' }, { sentence })
  })
const minutes = Joi.alternatives(
  number.positive().max(10_000),
  Joi.string().valid('house rule', 'rest of the air'),
  Joi.object({ small: number.positive().max(10_000).required() }),
)

const step = Joi.object({
  id: shortName.required(),
  station: Joi.string()
    .valid(...STATIONS)
    .required(),
  text: text.required(),
  cautions: Joi.array()
    .items(Joi.object({ text: text.required(), when: condition }))
    .max(10),
  timer: Joi.object({
    timer: Joi.string().valid('cool', 'ice', 'air', 'spin', 'boil', 'dry').required(),
    minutes: minutes.required(),
  }),
  portions: Joi.string().valid(...PORTION_USES),
  asks: Joi.string().valid(...STEP_ASKS),
  means: Joi.string().valid(...STEP_MARKS),
  meanwhile: text,
  stop: text,
  stopWhen: condition,
  when: Joi.array().items(condition).max(10),
  takes,
})

/** A procedure of the shelf: shipped ones are code, a lab's own come through here. */
export const procedure = Joi.object({
  id: shortName.required(),
  name: name.required(),
  collect: Joi.string()
    .valid(...COLLECTS)
    .required(),
  solvents: Joi.string().valid('one', 'pair', 'water only').required(),
  scaleG: Joi.array()
    .ordered(number.min(0).max(1e6).required(), number.positive().max(1e6).required())
    .required(),
  suits: Joi.string().trim().min(1).max(300).required(),
  steps: Joi.array().items(step).min(1).max(80).unique('id').required(),
  waste: Joi.array().items(text).max(20).required(),
  copiedFrom: shortName,
})
