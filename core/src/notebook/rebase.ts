import type { RawEntry } from './entry'
import type { EpochMs } from '../ids'
import { idMs } from './clock'
import { momentsIn, moveMoments } from './moments'
import { BODIES } from './refusal'

/** The UUIDv7s of entries, wherever they stand in a line: heads, strikes, what a decision rests on. */
const UUID_V7 = /[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[0-9a-f]{4}-[0-9a-f]{12}/g

const MOMENTS = Object.fromEntries(
  Object.entries(BODIES).map(([kind, versions]) => [
    kind,
    Object.fromEntries(Object.entries(versions).map(([v, schema]) => [v, momentsIn(schema)])),
  ]),
)

/**
 * Moves a whole ledger in time: ids, the times written, the moments that a body's schema names, and every mention of
 * an id alike, so that what is relative stays so. In a line of a newer build nobody knows what is a moment: its body
 * stays as it is.
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
  return entries.map((entry) => {
    const text = JSON.stringify(entry).replace(UUID_V7, (id) => (ids.has(id) ? moved(id) : id))
    const copy = JSON.parse(text) as RawEntry
    return {
      ...copy,
      body: moveMoments(copy.body, MOMENTS[entry.kind]?.[entry.v] ?? null, byMs),
      at: entry.at + byMs,
      ledger: home.ledger,
      notebook: home.notebook,
    }
  })
}
