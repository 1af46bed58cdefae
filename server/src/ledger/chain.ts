import { hash as hashNow } from 'node:crypto'
import canonicalize from 'canonicalize'
import type { NotebookId } from '@ivory-crystal/core/ids'
import type { RawEntry } from '@ivory-crystal/core/notebook'

/** What a line's hash speaks for. */
export interface Linked {
  readonly seq: number
  readonly recordedAt: number
  readonly entry: RawEntry
}
/** A line with its hash, hexadecimal. */
export interface HashedLine extends Linked {
  readonly hash: string
}

/** Text of a value in the one form every writer gives it (RFC 8785). */
export function canonicalText(value: unknown): string {
  return canonicalize(value) ?? 'null'
}

function sha256(text: string): string {
  return hashNow('sha256', text, 'hex')
}

/** What the first line of a notebook follows. */
export function beginningOf(notebook: NotebookId): string {
  return sha256(`notebook ${notebook}`)
}

/** SHA-256 over the hash of the line before, and number, time and canonical text of this one. */
export function hashAfter(before: string, { seq, recordedAt, entry }: Linked): string {
  return sha256(`${before} ${seq} ${recordedAt} ${canonicalText(entry)}`)
}

/** Lines, each with the hash that follows from the one before it. */
export function chained(before: string, lines: readonly Linked[]): HashedLine[] {
  let last = before
  return lines.map((line) => {
    last = hashAfter(last, line)
    return { ...line, hash: last }
  })
}

/** Of anything else that is kept as a line: over its canonical text without the hash. */
export function hashOf(line: object): string {
  const { hash: _, ...rest } = line as { hash?: unknown }
  return sha256(canonicalText(rest))
}
