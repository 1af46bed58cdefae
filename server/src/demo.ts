import { randomUUID } from 'node:crypto'
import { readdir, readFile } from 'node:fs/promises'
import { join } from 'node:path'
import type { NotebookId } from '@ivory-crystal/core/ids'
import type { RawEntry } from '@ivory-crystal/core/notebook'
import type { SolubilityRow } from '@ivory-crystal/core/substances'
import { readySchemasOf, rebase } from '@ivory-crystal/core/checks'
import type { Clock } from './clock'
import type { LedgerStore } from './ledger/storeTypes'
import { GOLDEN } from './paths'
import type { PhotographStore } from './photographs/store'
import type { ShelfStore } from './shelf/shelf'
import type { Sealed } from './unknowns/seals'

export interface GoldenFile {
  /** The moment the demo takes place, as the lines' times are written. */
  readonly nowMs: number
  readonly title: string
  /** Sample data “measured at bench 7”; not reference values. */
  readonly solubilities: readonly SolubilityRow[]
  /** Answers to the demo's unknowns, as the server keeps them. */
  readonly sealed: readonly (Omit<Sealed, 'notebook'> & { readonly seal: string })[]
  readonly entries: readonly RawEntry[]
}

export async function readGolden(): Promise<GoldenFile> {
  return JSON.parse(await readFile(join(GOLDEN, 'ledger.v4.json'), 'utf8')) as GoldenFile
}

/** The demo's pictures, drawn for it. */
async function keepPictures(photographs: PhotographStore): Promise<void> {
  const place = join(GOLDEN, 'photographs')
  for (const name of await readdir(place))
    await photographs.keep(name.replace('.jpg', ''), await readFile(join(place, name)))
}

/** Writes the golden ledger as a demo notebook, its times moved to now, with its sealed answers; answers with its id. */
export async function writeDemo(
  store: LedgerStore,
  shelf: ShelfStore,
  photographs: PhotographStore,
  golden: GoldenFile,
  clock: Clock,
): Promise<NotebookId> {
  await keepPictures(photographs)
  const { id: notebook } = await store.createNotebook({ id: randomUUID() as NotebookId, title: golden.title })
  // A seal is known by its id in the whole ledger, so every demo has its own.
  const seals = golden.sealed.map((sealed) => ({ ...sealed, own: randomUUID() }))
  const lines = seals.reduce(
    (text, { seal, own }) => text.replaceAll(seal, own),
    JSON.stringify(golden.entries),
  )
  await readySchemasOf(golden.entries)
  const entries = rebase(JSON.parse(lines) as RawEntry[], clock.now() - golden.nowMs, {
    ledger: store.ledger,
    notebook,
  })
  const answers = await store.append(
    notebook,
    entries.map((entry) => [entry]),
  )
  const refused = answers?.find((answer) => answer.outcome !== 'stored')
  if (refused) throw new Error(`The demo notebook does not fit this build: ${JSON.stringify(refused)}`)
  for (const { own, unknown, compound, purity, salt } of seals)
    await shelf.keepSealed(own, { notebook, unknown, compound, purity, salt } satisfies Sealed)
  return notebook
}
