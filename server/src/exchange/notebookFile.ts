import { Router } from 'express'
import Joi from 'joi'
import type { NotebookId } from '@ivory-crystal/core/ids'
import type { Answer, RawEntry } from '@ivory-crystal/core/notebook'
import { CORE_VERSION } from '@ivory-crystal/core/version'
import type { ImportLook } from '@ivory-crystal/core/wire'
import type { Clock } from '../clock'
import { checked, HttpProblem } from '../http/problem'
import { existing } from '../ledger/routes'
import type { LedgerStore } from '../ledger/storeTypes'
import { storableTitle } from '../ledger/journalRows'
import { linesLook } from '../ledger/look'
import { pieces, readySchemasOf, refusalOf } from '@ivory-crystal/core/checks'
import { sendList } from '../http/sendList'

/** A whole notebook as a file: every line as it was written, nothing computed. */
export interface NotebookFile {
  readonly format: 'ivory-crystal notebook'
  readonly version: 1
  readonly coreVersion: string
  readonly exportedAt: number
  readonly notebook: { readonly id: NotebookId; readonly title: string }
  readonly entries: readonly RawEntry[]
}

/** A title is cut to what is kept of it; one that is longer than this is none. */
const TITLE_READ_MOST = 2000

const fileBody = Joi.object({
  format: Joi.string().valid('ivory-crystal notebook').required(),
  version: Joi.number().valid(1).required(),
  coreVersion: Joi.string().max(40).required(),
  exportedAt: Joi.number().integer().required(),
  notebook: Joi.object({
    id: pieces.uuid.required(),
    title: Joi.string().allow('').max(TITLE_READ_MOST).required(),
  }).required(),
  entries: Joi.array().items(Joi.any()).max(500_000).required(),
})

/** Lines of an import stored together. */
const LINES_AT_ONCE = 1000

/** Lines of a report that are told; the rest is counted. */
const REPORTED_MOST = 200

/** @throws HttpProblem on what is no notebook: a file of nonsense leaves no empty one behind */
async function readable(body: unknown, isHere = false): Promise<NotebookFile> {
  const read = checked<NotebookFile>(fileBody, body)
  const { id, title } = read.notebook
  const file = { ...read, notebook: { id, title: storableTitle(title) } }
  await readySchemasOf(file.entries)
  if (!isHere && file.entries.length > 0 && file.entries.every((entry) => refusalOf(entry) !== null))
    throw new HttpProblem(400, 'This file cannot be read', 'None of its entries belongs to a notebook.')
  return file
}

async function* entriesOf(store: LedgerStore, id: NotebookId): AsyncGenerator<readonly RawEntry[]> {
  for await (const lines of store.after(id, 0)) yield lines.map(({ entry }) => entry)
}

export function exchangeRoutes(store: LedgerStore, clock: Clock): Router {
  const router = Router()
  router.get('/notebooks/:notebook/export', async (request, response) => {
    const id = await existing(store, request.params.notebook)
    const title = (await store.notebooks()).find((row) => row.id === id)?.title ?? ''
    const head: Omit<NotebookFile, 'entries'> = {
      format: 'ivory-crystal notebook',
      version: 1,
      coreVersion: CORE_VERSION,
      exportedAt: clock.now(),
      notebook: { id, title },
    }
    const name =
      title
        .toLowerCase()
        .replaceAll(/[^a-z0-9]+/g, '-')
        .replaceAll(/^-|-$/g, '') || 'notebook'
    response.attachment(`${name}.ivory-crystal.json`)
    await sendList(response, head, 'entries', entriesOf(store, id))
  })
  // A look first: nothing is stored.
  router.post('/import/look', async (request, response) => {
    const file = await readable(request.body)
    const look = await linesLook(store, file.notebook.id, clock.now())
    const report: { line: number; sentence: string }[] = []
    for (let i = 0; i < file.entries.length; i += LINES_AT_ONCE)
      for (const [k, sentence] of (await look.add(file.entries.slice(i, i + LINES_AT_ONCE))).entries())
        if (sentence !== null && report.length < REPORTED_MOST) report.push({ line: i + k + 1, sentence })
    response.json({
      notebook: file.notebook,
      isHere: look.isHere,
      ...look.report(),
      report,
    } satisfies ImportLook)
  })
  router.post('/import', async (request, response) => {
    const asked = (request.body as { notebook?: { id?: unknown } } | undefined)?.notebook?.id
    const isHere = (await store.notebooks()).some((row) => row.id === asked)
    // A later part of a long file may be refused whole: its notebook is here by then.
    const file = await readable(request.body, isHere)
    if (!isHere) await store.createNotebook({ id: file.notebook.id, title: file.notebook.title })
    const answers: Answer[] = []
    for (let i = 0; i < file.entries.length; i += LINES_AT_ONCE) {
      const groups = file.entries.slice(i, i + LINES_AT_ONCE).map((entry) => [entry])
      answers.push(...((await store.append(file.notebook.id, groups, { fromElsewhere: true })) ?? []))
    }
    const counted = { stored: 0, duplicate: 0, conflict: 0, refused: 0 }
    for (const { outcome } of answers) counted[outcome] += 1
    const report = answers.flatMap((answer, i) =>
      'sentence' in answer ? [{ line: i + 1, sentence: answer.sentence }] : [],
    )
    response.json({ notebook: file.notebook, ...counted, report: report.slice(0, REPORTED_MOST) })
  })
  return router
}
