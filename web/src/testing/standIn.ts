import type { LedgerId, NotebookId } from '@ivory-crystal/core/ids'
import type { Answer, RawEntry } from '@ivory-crystal/core/notebook'
import type { Shelf } from '@ivory-crystal/core/wire'
import { golden } from '../../../core/golden/contract'
import { Refused, Unreachable } from '../ledger/api'
import type { Surroundings } from '../ledger/ledgerClient'
import type { StreamEvents } from '../ledger/stream'

const NOTEBOOK = golden.entries[0]?.notebook as NotebookId
const LEDGER = golden.entries[0]?.ledger as LedgerId
const EMPTY_SHELF = {
  compounds: [],
  solvents: [],
  solubilities: [],
  instruments: [],
  houseRules: [],
} as unknown as Shelf

/**
 * A server in memory with the golden notebook, for what is tested without one. It keeps the contract that the real one
 * keeps; what it does else is under the test’s hand.
 */
export function standIn(ledger: LedgerId = LEDGER) {
  const stored = new Map<string, { seq: number; entry: RawEntry }>(
    golden.entries.map((entry, i) => [entry.id, { seq: i + 1, entry: { ...entry, ledger } }]),
  )
  const hand = {
    isAway: false,
    refuses: (_: RawEntry) => false,
    /** The streams that are open now. */
    streams: [] as { readonly after: number; readonly events: StreamEvents }[],
    now: golden.nowMs,
    /** How it answers a post, when not as a server does. */
    posting: null as null | ((groups: unknown) => object),
    posts: 0,
    /** Which ledger answers, and since which start. */
    answering: ledger,
    run: 'first',
    /** Held back until it resolves: how long it takes to give the lines. */
    reading: Promise.resolve() as Promise<unknown>,
  }
  async function answer<T>(value: () => T): Promise<T> {
    if (hand.isAway) throw new Unreachable()
    return value()
  }
  const requireNotebook = (notebook: NotebookId) => {
    if (notebook !== NOTEBOOK) throw new Refused('There is no such notebook.', 404)
  }
  function take(entry: RawEntry): Answer {
    if (hand.refuses(entry)) return { id: entry.id, outcome: 'refused', sentence: 'It cannot be.' }
    const known = stored.get(entry.id)
    if (known && JSON.stringify(known.entry) !== JSON.stringify(entry))
      return { id: entry.id, outcome: 'conflict', sentence: 'It says something else.' }
    if (known) return { id: entry.id, outcome: 'duplicate', seq: known.seq }
    const seq = stored.size + 1
    stored.set(entry.id, { seq, entry })
    for (const { events } of hand.streams) events.line({ seq, entry })
    return { id: entry.id, outcome: 'stored', seq, recordedAt: hand.now }
  }
  const api: Surroundings['api'] = {
    about: () =>
      answer(() => ({ ledger: hand.answering, run: hand.run, demo: true, byHand: false, now: hand.now })),
    notebooks: () => answer(() => ({ notebooks: [{ id: NOTEBOOK, title: 'bench 7', createdAt: 0 }] })),
    shelf: () => answer(() => EMPTY_SHELF),
    async entries(notebook, after) {
      const entries = [...stored.values()]
        .filter(({ seq }) => seq > after)
        .map((line) => ({ ...line, recordedAt: 0 }))
      await hand.reading
      return answer(() => {
        requireNotebook(notebook)
        return { entries }
      })
    },
    post: (notebook, groups) => {
      hand.posts += 1
      return answer(() => {
        requireNotebook(notebook)
        return { ...(hand.posting?.(groups) ?? {}), answers: (groups as RawEntry[][]).flat().map(take) }
      })
    },
  }
  return { hand, stored, api }
}
