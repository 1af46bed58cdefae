import type { NotebookId } from '@ivory-crystal/core/ids'
import { idMs, type RawEntry } from '@ivory-crystal/core/notebook'
import type { ImportReport } from '@ivory-crystal/core/wire'
import { readySchemasOf, refusalOf } from '@ivory-crystal/core/checks'
import { canonicalText } from './chain'
import type { LedgerStore } from './storeTypes'

/** A look at lines from elsewhere before any is taken in. */
export interface LookedLines {
  readonly isHere: boolean
  /** @returns why each of these would be refused, as a sentence; null where it would not */
  add(entries: readonly unknown[]): Promise<readonly (string | null)[]>
  report(): ImportReport
}

const DAY_MS = 86_400_000
/** Nobody here has written a line before this day. */
const EARLIEST_MS = Date.UTC(2010, 0, 1)
const AUTHORS_TOLD = 8

/**
 * Looks at the lines of one notebook: which are here, which are new, and what of the new ones somebody should know
 * before taking them in (that they strike lines, say something else under a known id, are by others, or are dated far
 * off).
 */
export async function linesLook(
  store: LedgerStore,
  notebook: NotebookId,
  nowMs: number,
): Promise<LookedLines> {
  const isHere = (await store.notebooks()).some(({ id }) => id === notebook)
  const known = isHere ? new Set(await store.authors(notebook)) : null
  const count = { lines: 0, here: 0, fresh: 0, refused: 0, conflicts: 0, strikes: 0, farDates: 0 }
  const authors = new Set<string>()
  function look(raw: unknown, here: ReadonlyMap<string, { readonly entry: RawEntry }>): string | null {
    count.lines += 1
    const refusal = refusalOf(raw)
    if (refusal !== null) {
      count.refused += 1
      return refusal
    }
    const entry = raw as RawEntry
    const same = here.get(entry.id)
    if (same && canonicalText(same.entry) === canonicalText(entry)) {
      count.here += 1
      return null
    }
    if (same) {
      count.conflicts += 1
      return 'An entry with this id is already here, with different content. The one here stays.'
    }
    if (entry.notebook !== notebook) {
      count.refused += 1
      return 'This entry belongs to another notebook.'
    }
    count.fresh += 1
    if (entry.kind === 'struck') count.strikes += 1
    if (!known?.has(entry.author)) authors.add(entry.author)
    if ([entry.at, idMs(entry.id)].some((ms) => ms < EARLIEST_MS || ms > nowMs + DAY_MS)) count.farDates += 1
    return null
  }
  return {
    isHere,
    async add(entries) {
      await readySchemasOf(entries)
      const here = await store.known(entries)
      return entries.map((one) => look(one, here))
    },
    report: () => ({ ...count, authors: [...authors].slice(0, AUTHORS_TOLD) }),
  }
}
