import type { RawEntry } from './entry'
import type { EpochMs } from '../ids'
import { idMs } from './clock'

/** The UUIDv7s of entries, wherever they stand in a line: heads, strikes, what a decision rests on. */
const UUID_V7 = /[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[0-9a-f]{4}-[0-9a-f]{12}/g

/** A number of this name, anywhere in a body, is a moment in ms since 1970. */
const IS_MOMENT = /AtMs$/

/**
 * Moves a whole ledger in time: ids, the times written, moments in bodies, and every mention of an id alike, so that
 * what is relative stays so.
 *
 * @param entries to move; not changed
 * @param byMs milliseconds, forward or back
 * @param home ledger and notebook the copies belong to
 */
export function rebase(
  entries: readonly RawEntry[],
  byMs: EpochMs,
  home: Pick<RawEntry, 'ledger' | 'notebook'>,
): RawEntry[] {
  const ids = new Set(entries.map((entry) => entry.id as string))
  const moved = (id: string) => {
    const head = (idMs(id) + byMs).toString(16).padStart(12, '0')
    return `${head.slice(0, 8)}-${head.slice(8)}${id.slice(13)}`
  }
  const later = (key: string, value: unknown) =>
    typeof value === 'number' && IS_MOMENT.test(key) ? value + byMs : value
  return entries.map((entry) => {
    const text = JSON.stringify(entry).replace(UUID_V7, (id) => (ids.has(id) ? moved(id) : id))
    return {
      ...(JSON.parse(text, later) as RawEntry),
      at: entry.at + byMs,
      ledger: home.ledger,
      notebook: home.notebook,
    }
  })
}
