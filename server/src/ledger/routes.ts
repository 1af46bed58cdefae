import { Router } from 'express'
import Joi from 'joi'
import type { NotebookId } from '@ivory-crystal/core/ids'
import { checked, HttpProblem } from '../http/problem'
import { sendList } from '../http/sendList'
import type { LedgerStore } from './storeTypes'

/** Lines a request may carry. */
const LINES_MOST = 500
const appendBody = Joi.object({
  groups: Joi.array()
    .items(Joi.array().items(Joi.any()).min(1).max(LINES_MOST))
    .min(1)
    .max(LINES_MOST)
    .required(),
})
const notebookBody = Joi.object({ title: Joi.string().trim().min(1).max(200).required() })

export function ledgerRoutes(store: LedgerStore): Router {
  const router = Router()
  router.get('/notebooks', async (_request, response) => {
    response.json({ ledger: store.ledger, notebooks: await store.notebooks() })
  })
  router.post('/notebooks', async (request, response) => {
    const { title } = checked<{ title: string }>(notebookBody, request.body)
    response.status(201).json(await store.createNotebook({ title }))
  })
  router.post('/notebooks/:notebook/entries', async (request, response) => {
    const { groups } = checked<{ groups: unknown[][] }>(appendBody, request.body)
    if (groups.flat().length > LINES_MOST)
      throw new HttpProblem(
        413,
        'Too many entries',
        `A request may hold ${LINES_MOST} entries at most. Send them in smaller parts.`,
      )
    const answers = await store.append(notebookIn(request.params.notebook), groups)
    if (!answers) throw noSuchNotebook()
    response.json({ answers })
  })
  router.get('/notebooks/:notebook/entries', async (request, response) => {
    const notebook = await existing(store, request.params.notebook)
    const after = sequenceIn(request.query['after'])
    await sendList(response, {}, 'entries', store.after(notebook, after))
  })
  router.get('/notebooks/:notebook/head', async (request, response) => {
    response.json(await store.head(await existing(store, request.params.notebook)))
  })
  return router
}

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/

/** @throws HttpProblem 404 when it cannot be the id of a notebook */
export function notebookIn(text: string): NotebookId {
  if (!UUID.test(text)) throw noSuchNotebook()
  return text as NotebookId
}

export async function existing(store: LedgerStore, text: string): Promise<NotebookId> {
  const id = notebookIn(text)
  if (!(await store.notebooks()).some((row) => row.id === id)) throw noSuchNotebook()
  return id
}

function noSuchNotebook(): HttpProblem {
  return new HttpProblem(
    404,
    'No such notebook',
    'This ledger holds no such notebook. The link could belong to another data folder.',
  )
}

/** @throws HttpProblem 400 unless it is a whole number from 0 */
export function sequenceIn(value: unknown): number {
  if (value === undefined) return 0
  if (typeof value !== 'string' || !/^\d{1,12}$/.test(value))
    throw new HttpProblem(
      400,
      'This request cannot be read',
      '“after” is a whole number: the last sequence number seen.',
    )
  return Number(value)
}
