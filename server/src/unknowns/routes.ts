import { Router } from 'express'
import Joi from 'joi'
import type { NotebookId, UnknownId } from '@ivory-crystal/core'
import type { Clock } from '../clock'
import { checked } from '../http/problem'
import { existing } from '../ledger/routes'
import type { LedgerStore } from '../ledger/store'
import type { ShelfStore } from '../shelf/shelf'
import { openAnswer, sealAnswer } from './seals'

const id = Joi.string().uuid().required()
const sealBody = Joi.object({
  notebook: id,
  unknown: id,
  compound: Joi.string().max(100).required(),
  purity: Joi.number().min(0.5).max(1).required(),
})
const openBody = Joi.object({ notebook: id, unknown: id })

export function unknownRoutes(shelf: ShelfStore, store: LedgerStore, clock: Clock): Router {
  const router = Router()
  router.post('/seals', async (request, response) => {
    const asked = checked<{ notebook: string; unknown: UnknownId; compound: string; purity: number }>(
      sealBody,
      request.body,
    )
    const notebook = await existing(store, asked.notebook)
    response.status(201).json(await sealAnswer(shelf, { ...asked, notebook }))
  })
  router.post('/seals/open', async (request, response) => {
    const { notebook, unknown } = checked<{ notebook: NotebookId; unknown: UnknownId }>(
      openBody,
      request.body,
    )
    response.json(await openAnswer(shelf, store, await existing(store, notebook), unknown, clock))
  })
  return router
}
