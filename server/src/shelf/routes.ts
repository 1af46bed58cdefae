import { Router } from 'express'
import Joi from 'joi'
import { OWN_SORTS, type OwnSort, unstorable } from '@ivory-crystal/core/checks'
import { checked, HttpProblem } from '../http/problem'
import { idOf } from './items'
import type { ShelfStore } from './shelf'

/** Rows a request may carry; a large file comes in several. */
const ROWS_MOST = 1000
/** Bench code of who does it. */
const AUTHOR = Joi.string().max(80)
const rowsBody = Joi.object({
  rows: Joi.array().items(Joi.any()).min(1).max(ROWS_MOST).required(),
  dryRun: Joi.boolean().required(),
  author: AUTHOR,
})
const offBody = Joi.object({ id: Joi.string().max(300).required(), author: AUTHOR })

export function shelfRoutes(shelf: ShelfStore): Router {
  const router = Router()
  router.get('/shelf', async (_request, response) => {
    response.json(await shelf.read())
  })
  router.post('/shelf/:sort', async (request, response) => {
    const { rows, dryRun, author } = checked<{ rows: unknown[]; dryRun: boolean; author?: string }>(
      rowsBody,
      request.body,
    )
    response.json(await shelf.put(sortIn(request.params.sort), rows, dryRun, saidBy(author)))
  })
  router.get('/shelf/:sort/versions', async (request, response) => {
    const sort = sortIn(request.params.sort)
    const asked = idIn(request.query['id'])
    const refusal = unstorable(asked)
    if (refusal) throw new HttpProblem(400, 'This request cannot be read', refusal)
    // House rules are asked for by their name: what they are kept under is made from it.
    const id = sort === 'house rules' ? idOf(sort, { name: asked }) : asked
    response.json({ versions: await shelf.versions(sort, id) })
  })
  router.post('/shelf/:sort/off', async (request, response) => {
    const { id, author } = checked<{ id: string; author?: string }>(offBody, request.body)
    await shelf.takeOff(sortIn(request.params.sort), id, saidBy(author))
    response.json({})
  })
  return router
}

function saidBy(author: string | undefined): string | null {
  const refusal = author === undefined ? null : unstorable(author)
  if (refusal) throw new HttpProblem(400, 'Cannot be saved', refusal)
  return author ?? null
}

function sortIn(text: string): OwnSort {
  const sort = OWN_SORTS.find((one) => one === text)
  if (!sort) throw new HttpProblem(404, 'Not found', `There is no “${text}” on the shelf.`)
  return sort
}

function idIn(value: unknown): string {
  if (typeof value !== 'string')
    throw new HttpProblem(400, 'This request cannot be read', '“id” says of what.')
  return value
}
