import Joi from 'joi'
import type { RunStarted } from './kind'
import { character, firstCharacter } from '../../../schema/character'
import { celsius, fusion, grain, number, shape, shortName, slot, uuid } from '../../../schema/pieces'

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
  character: firstCharacter.required(),
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
