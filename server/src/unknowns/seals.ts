import { createHash, randomBytes, randomUUID } from 'node:crypto'
import type { NotebookId, UnknownId } from '@ivory-crystal/core/ids'
import {
  type Entry,
  firstLine,
  fold,
  KINDS,
  type RawEntry,
  unknownOf,
  unknownsOf,
  type View,
} from '@ivory-crystal/core/notebook'
import { sealedContents, type SealedContents } from '@ivory-crystal/core/simulator'
import type { Compound } from '@ivory-crystal/core/substances'
import type { Clock } from '../clock'
import { HttpProblem } from '../http/problem'
import type { LedgerStore } from '../ledger/storeTypes'
import type { ShelfStore } from '../shelf/shelf'

/** What an unknown is, as the server keeps it; no route gives it out before the verdict is signed. */
export interface Sealed {
  readonly notebook: NotebookId
  readonly unknown: UnknownId
  readonly compound: Compound
  /** Mole fraction of the compound; the rest melts near it. */
  readonly purity: number
  /** 32 bytes, hexadecimal. */
  readonly salt: string
}

export interface OpenedAnswer {
  readonly seal: string
  readonly compound: string
  readonly name: string
  readonly salt: string
  /** The line that says it was opened, as it stands in the notebook. */
  readonly line: RawEntry
}

/** SHA-256 over salt and answer: says nothing before, and shows afterwards that nothing was changed. */
export function commitmentOf(salt: string, compound: string): string {
  return createHash('sha256').update(`${salt} ${compound}`).digest('hex')
}

/**
 * Seals the answer to one unknown of one notebook, and writes into the notebook that it was sealed. The first for a
 * case stands. Should its line be missing, because the server ended between the two, it is written on the next try.
 *
 * @returns the line
 * @throws HttpProblem 409 when one is sealed already
 */
export async function sealAnswer(
  shelf: ShelfStore,
  store: LedgerStore,
  asked: {
    readonly notebook: NotebookId
    readonly unknown: UnknownId
    readonly compound: string
    readonly purity: number
  },
  clock: Clock,
): Promise<RawEntry> {
  const compound = (await shelf.read()).compounds.find(({ id }) => id === asked.compound)
  if (!compound) throw new HttpProblem(404, 'Not on the shelf', `“${asked.compound}” is not on the shelf.`)
  const { notebook, unknown, purity } = asked
  const salt = randomBytes(32).toString('hex')
  const own = { id: randomUUID(), body: { notebook, unknown, compound, purity, salt } satisfies Sealed }
  const standing = await shelf.keepSealed(own.id, own.body, (other) => {
    const sealed = other as Sealed
    return sealed.notebook === notebook && sealed.unknown === unknown
  })
  const sealed = standing.body as Sealed
  const body = { seal: standing.id, commitment: commitmentOf(sealed.salt, sealed.compound.id) }
  const written = (await store.ofSubject(notebook, unknown)).find(
    ({ kind, body: sealedBody }) =>
      kind === 'answer sealed' && (sealedBody as { seal?: string }).seal === body.seal,
  )
  const line = written ?? (await writeLine(store, notebook, unknown, 'answer sealed', body, clock))
  if (standing.id !== own.id)
    throw new HttpProblem(
      409,
      'Sealed already',
      'An answer is already sealed for this unknown. The first one is valid.',
    )
  return line
}

/**
 * Opens the sealed answer of a case that has been signed.
 *
 * @throws HttpProblem 409 before it is signed, 404 where no answer is kept here
 */
export async function openAnswer(
  shelf: ShelfStore,
  store: LedgerStore,
  notebook: NotebookId,
  unknown: UnknownId,
  clock: Clock,
): Promise<OpenedAnswer> {
  const view = fold(await store.all(notebook))
  const facts = unknownOf(view, unknown)
  const seal = facts?.sealed?.body.seal
  if (!facts || !seal) throw new HttpProblem(404, 'No answer', 'No answer was sealed for this unknown.')
  if (!facts.signed)
    throw new HttpProblem(409, 'Not signed', 'The answer stays sealed until the verdict is signed and saved.')
  const sealed = await sealedFor(shelf, seal, notebook, unknown)
  if (!sealed)
    throw new HttpProblem(
      404,
      'No answer',
      'The answer was sealed on another computer and can be opened only there.',
    )
  const opened = { seal, compound: sealed.compound.id, name: sealed.compound.name, salt: sealed.salt }
  const line = facts.answer ?? (await writeLine(store, notebook, unknown, 'answer opened', opened, clock))
  return { ...opened, line }
}

/** What happens to a sealed answer is a line of the notebook that the server writes, whoever asked and by what way. */
async function writeLine<K extends 'answer sealed' | 'answer opened'>(
  store: LedgerStore,
  notebook: NotebookId,
  unknown: UnknownId,
  kind: K,
  body: Entry<K>['body'],
  clock: Clock,
): Promise<RawEntry> {
  const line: RawEntry = {
    id: store.newId(),
    v: KINDS[kind].version,
    ledger: store.ledger,
    notebook,
    subject: unknown,
    kind,
    body,
    at: clock.now(),
    author: 'recorder',
    device: 'server',
  }
  const [answer] = (await store.append(notebook, [[line]])) ?? []
  if (answer?.outcome !== 'stored') throw new Error(`The server could not write “${kind}”.`)
  return line
}

/** A seal answers only for the case it was made for. */
async function sealedFor(
  shelf: ShelfStore,
  seal: string,
  notebook: NotebookId,
  unknown: UnknownId,
): Promise<Sealed | null> {
  const sealed = (await shelf.sealed(seal)) as Sealed | null
  return sealed?.notebook === notebook && sealed.unknown === unknown ? sealed : null
}

/** What simulated tubes of this notebook's unknowns hold. */
export async function contentsFor(
  shelf: ShelfStore,
  notebook: NotebookId,
  view: View,
): Promise<SealedContents> {
  const known = new Map<string, ReturnType<SealedContents>>()
  for (const { id, sample } of unknownsOf(view)) {
    const seal = firstLine(view, id, 'answer sealed')?.body.seal
    const sealed = seal ? await sealedFor(shelf, seal, notebook, id) : null
    if (sealed) known.set(sample.id, sealedContents(sealed.compound, sealed.purity))
  }
  return (sample) => known.get(sample) ?? null
}
