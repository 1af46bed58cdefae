import type { EntryId } from '../ids'

/**
 * A hybrid logical clock kept in one UUIDv7 (RFC 9562): 48 bits of milliseconds, 12 of a counter, 62 random.
 * A new id is never earlier than any id seen, so id order is the order of truth even when a clock is wrong.
 */
const COUNTER_MOST = 0xfff
/** Milliseconds that 48 bits can say. */
const MS_MOST = 2 ** 48 - 1

/** Milliseconds in the head of a UUIDv7. */
export function idMs(id: string): number {
  return Number.parseInt(id.slice(0, 8) + id.slice(9, 13), 16)
}

function idCounter(id: string): number {
  return Number.parseInt(id.slice(15, 18), 16)
}

/**
 * The next id after everything seen.
 *
 * @param latest greatest id seen so far, or null
 * @param nowMs the writer's clock
 * @param random 8 random bytes
 * @throws RangeError unless 8 bytes are given
 * @example nextId(null, 1_700_000_000_000, new Uint8Array(8)) // '018bcfe5-6800-7000-8000-000000000000'
 */
export function nextId(latest: string | null, nowMs: number, random: Uint8Array): EntryId {
  if (random.length !== 8) throw new RangeError('A UUIDv7 needs 8 random bytes.')
  let ms = Math.min(MS_MOST, Math.max(0, Math.floor(nowMs)))
  let counter = 0
  if (latest !== null && idMs(latest) >= ms) {
    ms = idMs(latest)
    counter = idCounter(latest) + 1
    if (counter > COUNTER_MOST) {
      // At the very end of what an id can say it stays well formed, and no longer grows.
      counter = ms < MS_MOST ? 0 : COUNTER_MOST
      ms = Math.min(ms + 1, MS_MOST)
    }
  }
  const time = ms.toString(16).padStart(12, '0')
  const tail = [...random]
    .map((byte, i) => (i === 0 ? (byte & 0x3f) | 0x80 : byte).toString(16).padStart(2, '0'))
    .join('')
  return `${time.slice(0, 8)}-${time.slice(8)}-7${counter.toString(16).padStart(3, '0')}-${tail.slice(0, 4)}-${tail.slice(4)}` as EntryId
}

/** The later of the two. */
export function latestOf(one: string | null, other: string | null): string | null {
  if (one === null || other === null) return one ?? other
  return one > other ? one : other
}
