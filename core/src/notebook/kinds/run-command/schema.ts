import Joi from 'joi'
import type { RunCommand } from './kind'
import { celsius, number, shape, uuid } from '../../../schema/pieces'

const only = (kind: string) => Joi.string().valid(kind).required()
const first = {
  run: uuid.required(),
  atS: Joi.number().integer().min(0).max(1e7).required(),
  command: Joi.alternatives()
    .conditional('.kind', {
      switch: [
        { is: 'preheat', then: Joi.object({ kind: only('preheat'), toC: celsius.required() }) },
        {
          is: 'ramp',
          then: Joi.object({
            kind: only('ramp'),
            toC: celsius.required(),
            rateCPerMin: number.positive().max(100).required(),
          }),
        },
        { is: 'tubes in', then: Joi.object({ kind: only('tubes in') }) },
        { is: 'pace', then: Joi.object({ kind: only('pace'), pace: number.min(1).max(60).required() }) },
      ],
      otherwise: Joi.object({ kind: only('stop') }),
    })
    .required(),
}
export const runCommandV1 = Joi.object(first)
const dialCommand = Joi.object({ kind: only('dial'), setting: number.min(0).max(1000).required() })
export const runCommandV2 = shape<RunCommand>({
  ...first,
  command: Joi.alternatives()
    .conditional('.kind', { is: 'dial', then: dialCommand, otherwise: runCommandV1.extract('command') })
    .required(),
})
/** What may be asked of a block over HTTP. */
export const blockCommand = runCommandV2.extract('command')

export const schemas = { 1: runCommandV1, 2: runCommandV2 }
