import { randomBytes, randomUUID } from 'node:crypto'
import type { LedgerId, NotebookId } from '@ivory-crystal/core/ids'
import {
  type Answer,
  idMs,
  latestOf,
  nextId,
  type RawEntry,
  type StoredEntry,
} from '@ivory-crystal/core/notebook'
import { readySchemasOf } from '@ivory-crystal/core/checks'
import { readOlderVersions } from '@ivory-crystal/core/notebook/older'
import { type Database, messageOf } from '../db/open'
import { queue } from '../queue'
import { answerOf } from './answerOf'
import { beginningOf, chained, type HashedLine, type Linked } from './chain'
import { HttpProblem } from '../http/problem'
import { batchLines, type Damage, type Head, ledgerLine, notebookLine } from './journal'
import { titleTrouble } from './journalRows'
import { type OpenJournal, reconcile, replay } from './reconcile'
import { knownLines } from './known'
import { LineDamaged, tornEnd } from './lineDamaged'
import { readsOf } from './reads'
import { writeShared } from './shared'
import { type SortedLine, sortOut } from './sortOut'
import type { AppendOptions, LedgerStore, StoreSurroundings, Written } from './storeTypes'
import { verifier } from './verifier'
import {
  inserted,
  linesAfter,
  newestId,
  type PlacedLine,
  putNotebook,
  setLedgerId,
  surveyDatabase,
} from './tables'

// What was written by an earlier version is read like what is written now.
readOlderVersions()

/** Lines that go into one flushed append together. */
const TOGETHER_MOST = 2000

interface Waiting {
  readonly notebook: NotebookId
  readonly groups: readonly (readonly unknown[])[]
  readonly options: AppendOptions
  readonly answer: (answers: readonly Answer[] | null) => void
  readonly fail: (error: unknown) => void
}

/**
 * The ledger over a database and, with PGlite, a flushed journal beside it.
 *
 * @param journal null when the database is a server that flushes by itself
 */
export async function openStore(
  db: Database,
  journal: OpenJournal | null,
  { clock, say, mayWrite = () => Promise.resolve() }: StoreSurroundings,
): Promise<LedgerStore> {
  const setAside: Damage[] = journal ? [...(await reconcile(db, journal, say))] : []
  if (journal && journal.file.tornBytes > 0) setAside.push(tornEnd(journal.file.tornBytes))
  const ledger = await ownLedgerId()
  /** Greatest id that is stored: a later one cannot be known yet. */
  let newest = await newestId(db)
  let latest: string | null = newest
  /** With a journal this process is the only writer, so it knows every notebook and its last line. */
  const heads = new Map<NotebookId, Head>()
  await readHeads()
  const isAsWritten = verifier(
    db,
    setAside.some(({ isLoss }) => isLoss),
  )
  let suspect = false
  const listeners = new Set<(notebook: NotebookId, stored: readonly StoredEntry[]) => void>()
  const inTurn = queue()
  const waiting: Waiting[] = []

  async function ownLedgerId(): Promise<LedgerId> {
    const known = (await surveyDatabase(db)).ledger
    if (known) return known
    const id = randomUUID() as LedgerId
    await journal?.file.append([ledgerLine(id, clock.now())])
    await setLedgerId(db, id)
    return id
  }

  async function readHeads(): Promise<void> {
    heads.clear()
    for (const [id, { seq, hash }] of (await surveyDatabase(db)).notebooks)
      heads.set(id, { seq, hash: hash || beginningOf(id) })
  }

  /** After a write that failed half way, database and journal are brought to say the same before the next. */
  async function recover(): Promise<void> {
    if (!suspect) return
    if (journal) reportDamage(await reconcile(db, journal, say))
    await readHeads()
    newest = await newestId(db)
    suspect = false
  }

  /** Everything that waits goes into one flushed append and one statement; each line is answered by itself. */
  async function writeWaiting(): Promise<void> {
    const taken: Waiting[] = []
    for (let lines = 0; waiting[0] && lines < TOGETHER_MOST;) {
      const next = waiting.shift() as Waiting
      taken.push(next)
      lines += next.groups.reduce((sum, group) => sum + group.length, 0)
    }
    if (taken.length === 0) return
    try {
      await mayWrite()
      await recover()
      if (!journal) await readHeadsOf(taken)
      const known = await knownLines(
        db,
        taken.flatMap(({ groups }) => groups),
        journal ? newest : null,
      )
      await readySchemasOf(taken.flatMap(({ groups }) => groups.flat()))
      const fresh = new Map<string, RawEntry>()
      const sorted = taken.map(({ notebook, groups, options }) =>
        heads.has(notebook)
          ? sortOut(groups, {
              ledger,
              notebook,
              known,
              taken: fresh,
              // With the clock set back, what was stored before it still counts as past.
              now: Math.max(clock.now(), newest === null ? 0 : idMs(newest)),
              fromElsewhere: options.fromElsewhere === true,
            })
          : null,
      )
      const { stored, intoTables } = await write(taken, sorted)
      const byId = new Map(stored.map((line) => [line.entry.id, line]))
      taken.forEach(({ answer }, i) => {
        answer(sorted[i]?.map((line) => answerOf(line, byId)) ?? null)
      })
      announce(stored)
      await intoTables().catch((error: unknown) => {
        say(
          `The database did not accept what the journal has (${messageOf(error)}). It will be updated from the journal before it is used again.`,
        )
        throw error
      })
      suspect = false
    } catch (error) {
      // Whoever was answered already is not answered again: what the journal has stands.
      for (const { fail } of taken) fail(error)
    }
  }

  /**
   * The journal is the truth, and lines are answered for as soon as it is flushed: the tables follow in the queue.
   * Whoever reads them waits for that.
   */
  async function tablesFollow(): Promise<void> {
    if (suspect) await inTurn(recover)
  }

  /** What is found while it runs is told as well, once. */
  function reportDamage(damages: readonly Damage[]): void {
    for (const damage of damages)
      if (!setAside.some(({ reason }) => reason === damage.reason)) setAside.push(damage)
  }

  function announce(stored: readonly PlacedLine[]): void {
    const byNotebook = new Map<NotebookId, StoredEntry[]>()
    for (const { notebook, seq, recordedAt, entry } of stored) {
      newest = latestOf(newest, entry.id)
      latest = latestOf(latest, entry.id)
      const of = byNotebook.get(notebook) ?? []
      of.push({ seq, recordedAt, entry })
      byNotebook.set(notebook, of)
    }
    for (const [notebook, lines] of byNotebook) for (const listen of listeners) listen(notebook, lines)
  }

  async function write(
    taken: readonly Waiting[],
    sorted: readonly (readonly SortedLine[] | null)[],
  ): Promise<Written> {
    const accepted = new Map<NotebookId, RawEntry[]>()
    taken.forEach(({ notebook }, i) => {
      const lines = (sorted[i] ?? []).flatMap((one) => (one.accepted ? [one.accepted] : []))
      if (lines.length > 0) accepted.set(notebook, [...(accepted.get(notebook) ?? []), ...lines])
    })
    if (accepted.size === 0) return { stored: [], intoTables: () => Promise.resolve() }
    if (journal) return writeAlone(journal, accepted)
    return { stored: await writeShared(db, clock, accepted), intoTables: () => Promise.resolve() }
  }

  /** One flushed append to the journal, and one statement that the database takes whole or not at all. */
  async function writeAlone(
    { file }: OpenJournal,
    accepted: ReadonlyMap<NotebookId, readonly RawEntry[]>,
  ): Promise<Written> {
    const recordedAt = clock.now()
    const batches = [...accepted].map(([notebook, lines]) => {
      const head = headOf(notebook)
      const linked = lines.map((entry, i): Linked => ({ seq: head.seq + 1 + i, recordedAt, entry }))
      return { notebook, before: head.hash, lines: chained(head.hash, linked) }
    })
    suspect = true
    await file.append(batches.flatMap(({ notebook, before, lines }) => batchLines(notebook, before, lines)))
    const stored = batches.flatMap(({ notebook, lines }) => lines.map((line) => ({ ...line, notebook })))
    for (const { notebook, lines } of batches) moveHead(notebook, lines)
    return { stored, intoTables: () => db.execute(inserted(stored)) }
  }

  function headOf(notebook: NotebookId): Head {
    return heads.get(notebook) ?? { seq: 0, hash: beginningOf(notebook) }
  }

  function moveHead(notebook: NotebookId, lines: readonly HashedLine[]): void {
    const last = lines[lines.length - 1]
    if (last) heads.set(notebook, { seq: last.seq, hash: last.hash })
  }

  async function readHeadsOf(taken: readonly Waiting[]): Promise<void> {
    if (taken.every(({ notebook }) => heads.has(notebook))) return
    await readHeads()
  }

  /**
   * Lines as they were written: the first time they are read each is held against its hash. One that differs is
   * put right from the journal.
   */
  async function* after(notebook: NotebookId, seq: number): AsyncGenerator<readonly StoredEntry[]> {
    await tablesFollow()
    await verify(notebook)
    for await (const lines of linesAfter(db, notebook, seq))
      yield lines.map(({ seq: number, recordedAt, entry }) => ({ seq: number, recordedAt, entry }))
  }

  async function verify(notebook: NotebookId): Promise<void> {
    if (await isAsWritten(notebook)) return
    if (!journal) throw new LineDamaged(notebook)
    const reason = `Entries of notebook ${notebook} in the database were not as written. They were corrected from the journal.`
    say(reason)
    reportDamage([{ line: null, reason, text: '', isLoss: false }])
    await inTurn(async () => {
      suspect = true
      await replay(db, journal.path, say)
      await recover()
    })
    if (!(await isAsWritten(notebook))) throw new LineDamaged(notebook)
  }

  return {
    ledger,
    setAside,
    ...readsOf(db, tablesFollow),
    createNotebook: (row) =>
      inTurn(async () => {
        const trouble = titleTrouble(row.title)
        if (trouble) throw new HttpProblem(400, 'Cannot be saved', trouble)
        await mayWrite()
        await recover()
        const made = { id: row.id ?? (randomUUID() as NotebookId), title: row.title, createdAt: clock.now() }
        if (heads.has(made.id)) return made
        suspect = true
        await journal?.file.append([notebookLine(made.id, made.title, made.createdAt)])
        await putNotebook(db, made)
        suspect = false
        heads.set(made.id, { seq: 0, hash: beginningOf(made.id) })
        return made
      }),
    append: (notebook, groups, options = {}) =>
      new Promise((answer, fail) => {
        waiting.push({ notebook, groups, options, answer, fail })
        void inTurn(writeWaiting)
      }),
    after,
    async all(notebook) {
      const found: RawEntry[] = []
      for await (const lines of after(notebook, 0)) for (const { entry } of lines) found.push(entry)
      return found
    },
    async head(notebook) {
      if (!journal) await readHeads()
      return headOf(notebook)
    },
    newId(random = randomBytes(8)) {
      const id = nextId(latest, clock.now(), random)
      latest = id
      return id
    },
    onStored(listen) {
      listeners.add(listen)
      return () => listeners.delete(listen)
    },
    settled: () => inTurn(() => Promise.resolve()),
  }
}
