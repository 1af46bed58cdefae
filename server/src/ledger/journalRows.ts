import type { RawEntry } from '@ivory-crystal/core/notebook'
import { unstorable } from '@ivory-crystal/core/checks'
import type { BatchLine, JournalLine } from './journalTypes'
import { UUID } from './sortOut'

/** Letters of a title, at most. */
const TITLE_MOST = 200
const TIME_MOST = 8.64e15
const WORD_MOST = 80

/** What stands in the way of keeping a title as it is; null when nothing does. */
export function titleTrouble(title: string): string | null {
  if (title.trim() === '') return 'A notebook needs a title.'
  if (title.length > TITLE_MOST) return `A title has ${TITLE_MOST} letters at most.`
  // eslint-disable-next-line no-control-regex -- these are what is refused
  if (/[\u0000-\u001f\u007f-\u009f\u2028\u2029]/.test(title))
    return 'A title is one line of text. This one holds a line break or a control character.'
  return unstorable(title)
}

/**
 * A title from elsewhere as it can be kept: control characters and line breaks become blanks, half characters the sign
 * for a letter that cannot be read, and what is too long is cut.
 */
export function storableTitle(title: string): string {
  const storedTitle = wellFormed(title)
    // eslint-disable-next-line no-control-regex -- these are what is replaced
    .replace(/[\u0000-\u001f\u007f-\u009f\u2028\u2029]+/g, ' ')
    .trim()
    .slice(0, TITLE_MOST)
  return wellFormed(storedTitle).trim() || 'Notebook without a title'
}

function wellFormed(text: string): string {
  return text.replace(/[\uD800-\uDBFF](?![\uDC00-\uDFFF])|(?<![\uD800-\uDBFF])[\uDC00-\uDFFF]/g, '\uFFFD')
}

const isId = (value: unknown): value is string => typeof value === 'string' && UUID.test(value)
const isWhole = (value: unknown, least: number, most: number): value is number =>
  Number.isInteger(value) && (value as number) >= least && (value as number) <= most
const isTime = (value: unknown) => isWhole(value, 0, TIME_MOST)
const isHash = (value: unknown) => value === undefined || (typeof value === 'string' && value.length <= 64)

export function isLedgerRow(value: unknown): value is JournalLine & { line: 'ledger' } {
  const row = value as Partial<JournalLine & { line: 'ledger' }> | null | undefined
  return row?.line === 'ledger' && isId(row.id) && isTime(row.createdAt) && isHash(row.hash)
}

export function isNotebookRow(value: unknown): value is JournalLine & { line: 'notebook' } {
  const row = value as Partial<JournalLine & { line: 'notebook' }> | null | undefined
  return (
    row?.line === 'notebook' &&
    isId(row.id) &&
    typeof row.title === 'string' &&
    isTime(row.createdAt) &&
    isHash(row.hash)
  )
}

export function isBatchRow(value: unknown): value is BatchLine {
  const row = value as Partial<BatchLine> | null | undefined
  return (
    row?.line === 'batch' &&
    isId(row.notebook) &&
    isTime(row.recordedAt) &&
    isHash(row.before) &&
    Array.isArray(row.entries) &&
    row.entries.length > 0 &&
    row.entries.every(
      (one: { seq?: unknown; entry?: unknown; hash?: unknown } | null) =>
        one !== null &&
        typeof one === 'object' &&
        isWhole(one.seq, 1, Number.MAX_SAFE_INTEGER) &&
        isHash(one.hash) &&
        isEntry(one.entry),
    )
  )
}

/** What the tables need of a line; what its kind says in its body is for whoever reads it. */
function isEntry(value: unknown): value is RawEntry {
  const entry = value as Partial<RawEntry> | null | undefined
  return (
    isId(entry?.id) &&
    isId(entry.notebook) &&
    isId(entry.ledger) &&
    isWhole(entry.v, 1, 10_000) &&
    isTime(entry.at) &&
    isWord(entry.kind) &&
    isWord(entry.subject) &&
    isWord(entry.author) &&
    isWord(entry.device) &&
    entry.body !== undefined &&
    unstorable(entry) === null
  )
}

function isWord(value: unknown): value is string {
  return typeof value === 'string' && value.length <= WORD_MOST
}
