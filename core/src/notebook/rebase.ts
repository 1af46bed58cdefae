import type { RawEntry } from './entry'
import type { EpochMs } from '../ids'
import { idMs } from './clock'
import { momentsIn, moveMoments } from './moments'
import { type Kind, KINDS } from './kinds/list'
import { schemasOf } from './refusal'

/** The UUIDv7s of entries, wherever they stand in a line: heads, strikes, what a decision rests on. */
const UUID_V7 = /[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[0-9a-f]{4}-[0-9a-f]{12}/g

/** Where moments stand in bodies, by kind and version, as far as there were such lines: asking a schema takes long. */
const known = new Map<string, ReturnType<typeof momentsIn>>()
function momentsOf({ kind, v }: RawEntry): ReturnType<typeof momentsIn> {
  const key = `${kind} v${v}`
  const held = known.get(key)
  if (held !== undefined) return held
  const schema = Object.hasOwn(KINDS, kind) ? schemasOf(kind as Kind)[v] : undefined
  const found = schema ? momentsIn(schema) : null
  known.set(key, found)
  return found
}

/**
 * Moves a whole ledger in time: ids, the times written, the moments that a body's schema names, and every mention of
 * an id alike, so that what is relative stays so. In a line of a newer build nobody knows what is a moment: its body
 * stays as it is. What checks their kinds is ready: see `readySchemas`.
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
      body: moveMoments(copy.body, momentsOf(entry), byMs),
      at: entry.at + byMs,
      ledger: home.ledger,
      notebook: home.notebook,
    }
  })
}
