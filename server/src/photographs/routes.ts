import { raw, Router } from 'express'
import { PHOTOGRAPH_BYTES_MOST } from '@ivory-crystal/core/notebook'
import { HttpProblem } from '../http/problem'
import type { PhotographStore } from './store'

/** Photographs in and out, by their SHA-256. What is under a hash never changes, so it could be kept for ever. */
export function photographRoutes(store: PhotographStore): Router {
  const router = Router()
  router.post(
    '/photographs/:sha256',
    raw({ type: 'image/jpeg', limit: PHOTOGRAPH_BYTES_MOST + 1 }),
    async (request, response) => {
      const { sha256 } = request.params
      if (!Buffer.isBuffer(request.body))
        throw new HttpProblem(415, 'No picture', 'A photograph is sent as image/jpeg.')
      const isNew = await store.keep(checkedHash(sha256), request.body)
      response.status(isNew ? 201 : 200).json({ sha256 })
    },
  )
  router.get('/photographs/:sha256', async (request, response) => {
    const bytes = await store.read(checkedHash(request.params.sha256))
    if (!bytes)
      throw new HttpProblem(
        404,
        'Not found',
        'This picture is not here. It could still be on the device that took it.',
      )
    response
      .set('Cache-Control', 'private, max-age=31536000, immutable')
      .set('Content-Disposition', 'inline')
      .type('image/jpeg')
      .send(bytes)
  })
  return router
}

function checkedHash(text: string | undefined): string {
  if (text && /^[0-9a-f]{64}$/.test(text)) return text
  throw new HttpProblem(400, 'No such name', 'A picture is named by its SHA-256, in 64 hexadecimal digits.')
}
