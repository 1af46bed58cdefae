import { Router } from 'express'
import Joi from 'joi'
import type { BlockCommand, MeltId } from '@ivory-crystal/core'
import { blockCommand } from '@ivory-crystal/core/schemas'
import { checked } from '../http/problem'
import { notebookIn } from '../ledger/routes'
import type { SimulatedBench } from './bench'

const startBody = Joi.object({
  notebook: Joi.string().uuid().required(),
  melt: Joi.string().uuid().required(),
})
const commandBody = Joi.object({ command: blockCommand.required() })
const passBody = Joi.object({ seconds: Joi.number().integer().min(1).max(7200).required() })

/** @param byHand adds the endpoint that lets time pass, for tests only */
export function instrumentRoutes(bench: SimulatedBench, byHand: boolean): Router {
  const router = Router()
  router.get('/instruments', (_request, response) => {
    response.json({ instruments: bench.states() })
  })
  router.post('/instruments/:instrument/runs', async (request, response) => {
    const { notebook, melt } = checked<{ notebook: string; melt: string }>(startBody, request.body)
    response
      .status(201)
      .json(await bench.start(request.params.instrument, notebookIn(notebook), melt as MeltId))
  })
  router.post('/instruments/:instrument/runs/:run/commands', async (request, response) => {
    const { command } = checked<{ command: BlockCommand }>(commandBody, request.body)
    response.json(await bench.command(request.params.instrument, request.params.run, command))
  })
  router.post('/instruments/:instrument/runs/:run/end', async (request, response) => {
    checked(Joi.object({}), request.body)
    response.json(await bench.end(request.params.instrument, request.params.run))
  })
  if (byHand)
    router.post('/instruments/:instrument/advance', async (request, response) => {
      const { seconds } = checked<{ seconds: number }>(passBody, request.body)
      response.json(await bench.pass(request.params.instrument, seconds))
    })
  return router
}
