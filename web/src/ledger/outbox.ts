import { answersTo } from './answers'
import type { DBSchema, IDBPDatabase } from 'idb'
import { openReopening } from './database'
import type { LedgerId, NotebookId } from '@ivory-crystal/core/ids'
import type { Answer, RawEntry } from '@ivory-crystal/core/notebook'

/** One line waiting for the server. Lines of one group go together or not at all. */
interface WaitingLine {
  readonly ledger: LedgerId
  readonly id: string
  readonly group: string
  readonly entry: RawEntry
}
/** A line the server refused, with its sentence. */
export interface QuarantinedLine {
  readonly ledger: LedgerId
  readonly id: string
  readonly entry: RawEntry
  readonly sentence: string
}
interface OutboxSchema extends DBSchema {
  waiting: { key: [string, string]; value: WaitingLine; indexes: { ledger: string } }
  quarantine: { key: [string, string]; value: QuarantinedLine; indexes: { ledger: string } }
}

export type Post = (
  notebook: NotebookId,
  groups: readonly (readonly RawEntry[])[],
) => Promise<readonly Answer[]>

export interface Outbox {
  /** Keeps a group; when this resolves it outlives the browser. */
  put(group: readonly RawEntry[]): Promise<void>
  waiting(): Promise<readonly RawEntry[]>
  /** Lines of other ledgers that were served at this address, and that never got there. */
  waitingElsewhere(): Promise<readonly RawEntry[]>
  quarantined(): Promise<readonly QuarantinedLine[]>
  /** Takes a refused line out of sight, for good. */
  dismiss(id: string): Promise<void>
  /**
   * Sends what waits, in order. What is stored or a duplicate leaves; what is refused goes to the quarantine
   * and blocks nothing behind it.
   * @returns ids that left the outbox
   * @throws what `post` throws; everything not answered stays
   */
  drain(post: Post): Promise<readonly string[]>
  close(): void
}

/** Lines sent in one request. */
const BATCH = 100
/** Bytes sent in one request: a server takes 1 MB. What is longer, such as a photograph, travels by itself. */
const BYTES = 500_000

/** The outbox of one ledger: lines of the demo and of one's own data never mix. */
export async function openOutbox(ledger: LedgerId): Promise<Outbox> {
  /** What this page put in and has not seen leave: put in again should the browser clear its storage meanwhile. */
  const mine = new Map<string, WaitingLine>()
  const database = await openReopening<OutboxSchema>(
    'ivory-crystal-outbox',
    1,
    (made) => {
      made.createObjectStore('waiting', { keyPath: ['ledger', 'id'] }).createIndex('ledger', 'ledger')
      made.createObjectStore('quarantine', { keyPath: ['ledger', 'id'] }).createIndex('ledger', 'ledger')
    },
    (db) => putLines(db, [...mine.values()]),
  )
  const all = () => database.withDb((db) => db.getAllFromIndex('waiting', 'ledger', ledger))
  return {
    async put(group) {
      const name = group[0]?.id ?? ''
      const lines = group.map((entry): WaitingLine => ({ ledger, id: entry.id, group: name, entry }))
      await database.withDb((db) => putLines(db, lines))
      for (const line of lines) mine.set(line.id, line)
    },
    waiting: async () => (await all()).map((line) => line.entry),
    waitingElsewhere: async () =>
      (await database.withDb((db) => db.getAll('waiting')))
        .filter((line) => line.ledger !== ledger)
        .map((line) => line.entry),
    quarantined: () => database.withDb((db) => db.getAllFromIndex('quarantine', 'ledger', ledger)),
    dismiss: (id) => database.withDb((db) => db.delete('quarantine', [ledger, id])),
    async drain(post) {
      const left: string[] = []
      let most = BATCH
      for (;;) {
        const batch = nextBatch(await all(), most)
        if (!batch) return left
        const sent = batch.groups.flat()
        const answers = await answersTo(batch.groups, () => post(batch.notebook, batch.groups))
        if (answers === 'in parts') {
          most = Math.max(1, Math.floor(batch.groups.length / 2))
          continue
        }
        const settled = await database.withDb((db) => applyAnswers(db, ledger, sent, answers))
        for (const id of settled) mine.delete(id)
        if (settled.length === 0) throw new Error('The server did not answer for the entries sent.')
        left.push(...settled)
      }
    },
    close() {
      database.close()
    },
  }
}

async function putLines(db: IDBPDatabase<OutboxSchema>, lines: readonly WaitingLine[]): Promise<void> {
  const tx = db.transaction('waiting', 'readwrite', { durability: 'strict' })
  await Promise.all([...lines.map((line) => tx.store.put(line)), tx.done])
}

/** The oldest groups of one notebook. Keys are ids, so the order of reading is the order of truth. */
function nextBatch(
  lines: readonly WaitingLine[],
  most: number,
): { notebook: NotebookId; groups: RawEntry[][] } | null {
  const first = lines[0]
  if (!first) return null
  const { notebook } = first.entry
  const groups = new Map<string, RawEntry[]>()
  let count = 0
  let bytes = 0
  for (const line of lines) {
    if (line.entry.notebook !== notebook) continue
    const group = groups.get(line.group)
    const length = JSON.stringify(line.entry).length
    const isFull = groups.size >= most || count >= BATCH || bytes + length > BYTES
    if (!group && groups.size > 0 && isFull) break
    bytes += length
    if (group) group.push(line.entry)
    else groups.set(line.group, [line.entry])
    count += 1
  }
  return { notebook, groups: [...groups.values()] }
}

async function applyAnswers(
  db: IDBPDatabase<OutboxSchema>,
  ledger: LedgerId,
  sent: readonly RawEntry[],
  answers: readonly Answer[],
): Promise<string[]> {
  const byId = new Map(answers.map((answer) => [answer.id, answer]))
  const tx = db.transaction(['waiting', 'quarantine'], 'readwrite', { durability: 'strict' })
  const settled: string[] = []
  for (const entry of sent) {
    const answer = byId.get(entry.id)
    if (!answer) continue
    void tx.objectStore('waiting').delete([ledger, entry.id])
    if ('sentence' in answer)
      void tx.objectStore('quarantine').put({ ledger, id: entry.id, entry, sentence: answer.sentence })
    settled.push(entry.id)
  }
  await tx.done
  return settled
}
