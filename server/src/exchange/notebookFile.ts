import { Router } from 'express'
import Joi from 'joi'
import { CORE_VERSION, type NotebookId, type RawEntry } from '@ivory-crystal/core'
import type { Clock } from '../clock'
import { checked, HttpProblem } from '../http/problem'
import { existing } from '../ledger/routes'
import type { LedgerStore } from '../ledger/store'

/** A whole notebook as a file: every line as it was written, nothing computed. */
export interface NotebookFile {
  readonly format: 'ivory-crystal notebook'
  readonly version: 1
  readonly coreVersion: string
  readonly exportedAt: number
  readonly notebook: { readonly id: NotebookId; readonly title: string }
  readonly entries: readonly RawEntry[]
}

const fileBody = Joi.object({
  format: Joi.string().valid('ivory-crystal notebook').required(),
  version: Joi.number().valid(1).required(),
  coreVersion: Joi.string().max(40).required(),
  exportedAt: Joi.number().integer().required(),
  notebook: Joi.object({
    id: Joi.string().uuid().required(),
    title: Joi.string().min(1).max(200).required(),
  }).required(),
  entries: Joi.array().items(Joi.any()).max(500_000).required(),
})

export function exchangeRoutes(store: LedgerStore, clock: Clock): Router {
  const router = Router()
  router.get('/notebooks/:notebook/export', async (request, response) => {
    const id = await existing(store, request.params.notebook)
    const title = (await store.notebooks()).find((row) => row.id === id)?.title ?? ''
    const file: NotebookFile = {
      format: 'ivory-crystal notebook',
      version: 1,
      coreVersion: CORE_VERSION,
      exportedAt: clock.now(),
      notebook: { id, title },
      entries: (await store.after(id, 0)).map((line) => line.entry),
    }
    const name =
      title
        .toLowerCase()
        .replaceAll(/[^a-z0-9]+/g, '-')
        .replaceAll(/^-|-$/g, '') || 'notebook'
    response.attachment(`${name}.ivory-crystal.json`).json(file)
  })
  router.post('/import', async (request, response) => {
    const file = checked<NotebookFile>(fileBody, request.body)
    if (!(await store.notebooks()).some((row) => row.id === file.notebook.id))
      await store.createNotebook({ id: file.notebook.id, title: file.notebook.title })
    const answers = await store.append(
      file.notebook.id,
      file.entries.map((entry) => [entry]),
      { fromElsewhere: true },
    )
    if (!answers) throw new HttpProblem(500, 'Import failed', 'The notebook could not be made.')
    const counted = { stored: 0, duplicate: 0, conflict: 0, refused: 0 }
    for (const { outcome } of answers) counted[outcome] += 1
    const report = answers.flatMap((answer, i) =>
      'sentence' in answer ? [{ line: i + 1, sentence: answer.sentence }] : [],
    )
    response.json({ notebook: file.notebook, ...counted, report: report.slice(0, 200) })
  })
  return router
}
