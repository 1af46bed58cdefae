import { randomUUID } from 'node:crypto'
import { readFile } from 'node:fs/promises'
import { join } from 'node:path'
import { rebase, type NotebookId, type RawEntry, type SolubilityRow } from '@ivory-crystal/core'
import type { Clock } from './clock'
import type { LedgerStore } from './ledger/store'
import { GOLDEN } from './paths'
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
  return JSON.parse(await readFile(join(GOLDEN, 'ledger.v3.json'), 'utf8')) as GoldenFile
}

/** Writes the golden ledger as the demo notebook, its times moved to now. */
export async function writeDemo(store: LedgerStore, golden: GoldenFile, clock: Clock): Promise<void> {
  if ((await store.notebooks()).length > 0) return
  const { id: notebook } = await store.createNotebook({ id: randomUUID() as NotebookId, title: golden.title })
  const entries = rebase(golden.entries, clock.now() - golden.nowMs, { ledger: store.ledger, notebook })
  const answers = await store.append(
    notebook,
    entries.map((entry) => [entry]),
  )
  const refused = answers?.find((answer) => answer.outcome !== 'stored')
  if (refused) throw new Error(`The demo notebook does not fit this build: ${JSON.stringify(refused)}`)
}

/** Keeps the sealed answers of the demo's unknowns for the notebook they stand in. */
export async function keepDemoAnswers(
  shelf: ShelfStore,
  store: LedgerStore,
  golden: GoldenFile,
): Promise<void> {
  const notebook = (await store.notebooks()).find(({ title }) => title === golden.title)?.id
  if (!notebook) return
  for (const { seal, ...answer } of golden.sealed)
    await shelf.keepSealed(seal, { notebook, ...answer } satisfies Sealed)
}
