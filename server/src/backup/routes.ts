import { once } from 'node:events'
import { raw, Router } from 'express'
import { HttpProblem } from '../http/problem'
import { keepingOf } from './keeping'
import type { BackupParts } from './parts'
import { makeBackup } from './make'
import { restore } from './restore'

const BACKUP_MOST = '1gb'

/** What is stored where; a backup out, and one in again. */
export function backupRoutes(parts: BackupParts): Router {
  const { folder, store, photographs, clock } = parts
  const router = Router()
  const requireFolder = () => {
    if (parts.isElsewhere)
      throw new HttpProblem(
        409,
        'Kept elsewhere',
        'The lines of this ledger are in a PostgreSQL server: back that up with its own tools, and the folder’s photographs beside it.',
      )
  }
  router.get('/keeping', async (_request, response) => {
    response.json(await keepingOf(parts))
  })
  router.get('/backup', async (_request, response) => {
    requireFolder()
    const notebooks = []
    for (const { id, title } of await store.notebooks())
      notebooks.push({ id, title, ...(await store.head(id)) })
    const nowMs = clock.now()
    response.attachment(`ivory-crystal-backup-${new Date(nowMs).toISOString().slice(0, 10)}.zip`)
    response.type('application/zip')
    for await (const piece of makeBackup({ folder, ledger: store.ledger, notebooks, photographs, nowMs })) {
      if (response.destroyed) return
      if (!response.write(piece)) await Promise.race([once(response, 'drain'), once(response, 'close')])
    }
    response.end()
  })
  const zip = raw({ type: 'application/zip', limit: BACKUP_MOST })
  const restored = (isLook: boolean) => async (body: unknown) => {
    requireFolder()
    if (!Buffer.isBuffer(body))
      throw new HttpProblem(415, 'No backup', 'A backup is sent as application/zip.')
    return restore(body, parts, isLook)
  }
  router.post('/restore/look', zip, async (request, response) => {
    response.json(await restored(true)(request.body))
  })
  router.post('/restore', zip, async (request, response) => {
    response.json(await restored(false)(request.body))
  })
  return router
}
