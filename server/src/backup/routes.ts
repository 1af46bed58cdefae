import { once } from 'node:events'
import { rm } from 'node:fs/promises'
import { join } from 'node:path'
import { type Request, type Response, Router } from 'express'
import Joi from 'joi'
import { checked, HttpProblem } from '../http/problem'
import { keepingOf } from './keeping'
import { makeBackup } from './make'
import { oneAtATime } from './oneAtATime'
import type { BackupParts } from './parts'
import { receiveZip } from './receive'
import { restore } from './restore'

/** The instructor’s word goes with a restore in a header: as UTF-8, each byte that is no letter as %XX. */
export const WORD_HEADER = 'instructor-word'
const WORD_MOST = 200
const backupBody = Joi.object({ word: Joi.string().max(WORD_MOST).allow('', null) })

/** What is stored where; a backup out, and one in again. */
export function backupRoutes(parts: BackupParts): Router {
  const { folder, store, photographs, clock } = parts
  const router = Router()
  const alone = oneAtATime()
  const requireFolder = () => {
    if (parts.isElsewhere)
      throw new HttpProblem(
        409,
        'Kept elsewhere',
        'The entries of this ledger are in a PostgreSQL server. Back it up with its own tools, together with the photographs in the folder.',
      )
  }
  async function send(response: Response, word: string | null): Promise<void> {
    const notebooks = []
    for (const { id, title } of await store.notebooks())
      notebooks.push({ id, title, ...(await store.head(id)) })
    const nowMs = clock.now()
    const pieces = makeBackup({ folder, ledger: store.ledger, notebooks, photographs, nowMs, word })
    for await (const piece of pieces) {
      if (!response.headersSent) {
        response.attachment(`ivory-crystal-backup-${new Date(nowMs).toISOString().slice(0, 10)}.zip`)
        response.type('application/zip')
      }
      if (response.destroyed) return
      if (!response.write(piece)) await Promise.race([once(response, 'drain'), once(response, 'close')])
    }
    response.end()
  }
  router.get('/keeping', async (_request, response) => {
    response.json(await keepingOf(parts))
  })
  router.get('/backup', async (_request, response) => {
    requireFolder()
    await alone(() => send(response, null))
  })
  // With the instructor's word sealed answers go along; a word belongs into no address and no log.
  router.post('/backup', async (request, response) => {
    requireFolder()
    const { word } = checked<{ word?: string | null }>(backupBody, request.body)
    await alone(() => send(response, word || null))
  })
  const receive = (isLook: boolean) => async (request: Request, response: Response) => {
    requireFolder()
    const word = wordIn(request)
    const restored = await alone(async () => {
      const zip = join(folder, 'restoring.zip')
      await receiveZip(request, zip)
      try {
        return await restore(zip, parts, { isLook, word })
      } finally {
        await rm(zip, { force: true })
      }
    })
    // Answered once it has ended: whoever asks next finds it free.
    response.json(restored)
  }
  router.post('/restore/look', receive(true))
  router.post('/restore', receive(false))
  return router
}

function wordIn(request: Request): string | null {
  const text = request.get(WORD_HEADER)
  if (!text) return null
  try {
    return decodeURIComponent(text).slice(0, WORD_MOST)
  } catch {
    throw new HttpProblem(
      400,
      'This request cannot be read',
      'The instructor’s word is not in the right form.',
    )
  }
}
