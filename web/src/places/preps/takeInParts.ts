import { api } from '../../ledger/api'
import type { Notify } from '../../parts/useLongRun'

type Report = Awaited<ReturnType<typeof api.importNotebook>>

/** Lines that go in at once: what is in stays in when it is stopped between. */
const LINES_AT_ONCE = 2000
const REPORTED_MOST = 200

/**
 * A notebook file into the ledger, in parts.
 *
 * @param notify how far it is; answers whether to go on
 * @returns what came of it, and whether it was stopped on the way: taken in again, the rest follows
 */
export async function takeInParts(
  file: unknown,
  notify: Notify,
): Promise<Report & { readonly isStopped: boolean }> {
  const whole = file as { readonly entries?: readonly unknown[] }
  const entries = Array.isArray(whole.entries) ? (whole.entries as readonly unknown[]) : []
  let sum: Report | null = null
  for (let from = 0; from === 0 || from < entries.length; from += LINES_AT_ONCE) {
    if (sum && !notify(from / entries.length)) return { ...sum, isStopped: true }
    const part = { ...whole, entries: entries.slice(from, from + LINES_AT_ONCE) }
    sum = added(sum, await api.importNotebook(part), from)
  }
  return { ...(sum as Report), isStopped: false }
}

function added(sum: Report | null, part: Report, from: number): Report {
  const report = part.report.map(({ line, sentence }) => ({ line: line + from, sentence }))
  if (!sum) return { ...part, report }
  return {
    notebook: sum.notebook,
    stored: sum.stored + part.stored,
    duplicate: sum.duplicate + part.duplicate,
    conflict: sum.conflict + part.conflict,
    refused: sum.refused + part.refused,
    report: [...sum.report, ...report].slice(0, REPORTED_MOST),
  }
}
