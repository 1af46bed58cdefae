import { Router } from 'express'
import Joi from 'joi'
import type { NotebookId, UnknownId } from '@ivory-crystal/core/ids'
import type { Clock } from '../clock'
import { queue } from '../queue'
import { checked } from '../http/problem'
import { existing } from '../ledger/routes'
import type { LedgerStore } from '../ledger/storeTypes'
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
  /** Asked twice at once, an answer is sealed once and its opening written once. */
  const inTurn = queue()
  router.post('/seals', async (request, response) => {
    const asked = checked<{ notebook: string; unknown: UnknownId; compound: string; purity: number }>(
      sealBody,
      request.body,
    )
    const notebook = await existing(store, asked.notebook)
    const line = await inTurn(() => sealAnswer(shelf, store, { ...asked, notebook }, clock))
    response.status(201).json({ line })
  })
  router.post('/seals/open', async (request, response) => {
    const { notebook, unknown } = checked<{ notebook: NotebookId; unknown: UnknownId }>(
      openBody,
      request.body,
    )
    const there = await existing(store, notebook)
    response.json(await inTurn(() => openAnswer(shelf, store, there, unknown, clock)))
  })
  return router
}
