import type { SubjectId } from '../src/ids'
import { idMs } from '../src/notebook/clock'
import type { RawEntry } from '../src/notebook/entry'
import { rebase } from '../src/schemas'

/** Subjects of the golden ledger share this head, so that copies of it can have subjects of their own. */
const SUBJECT = /^0a5a1c7e-0000-4000-8000-000000000([0-9a-f]{3})$/
const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-4/
const TAIL_FROM = 14

/**
 * Lines of an exported notebook that the golden ledger lacks, made its own: moved to the golden moment, of its ledger
 * and notebook, and about subjects numbered on from its last.
 *
 * @param golden lines, at least one
 * @param exported lines: the demo's own, gone on with, or a notebook of another time
 * @param exportedToGoldenMs what brings the export to the golden moment, where they have no line in common
 */
export function linesToAppend(
  golden: readonly RawEntry[],
  exported: readonly RawEntry[],
  exportedToGoldenMs: number,
): RawEntry[] {
  const [first] = golden
  if (!first) throw new Error('The golden ledger has no line.')
  const byTail = new Map(golden.map((entry) => [entry.id.slice(TAIL_FROM), entry]))
  const shared = exported.find((entry) => byTail.has(entry.id.slice(TAIL_FROM)))
  const own = shared && byTail.get(shared.id.slice(TAIL_FROM))
  const moved = rebase(exported, own && shared ? idMs(own.id) - idMs(shared.id) : exportedToGoldenMs, first)
  const known = new Set(golden.map(({ id }) => id))
  return withOwnSubjects(
    golden,
    moved.filter(({ id }) => !known.has(id)),
  )
}

function withOwnSubjects(golden: readonly RawEntry[], lines: readonly RawEntry[]): RawEntry[] {
  const known = new Set(golden.map(({ subject }) => subject as string))
  const last = Math.max(
    ...[...known].map((subject) => Number.parseInt(SUBJECT.exec(subject)?.[1] ?? '0', 16)),
  )
  const fresh = [...new Set(lines.map(({ subject }) => subject))].filter(
    (subject) => UUID.test(subject) && !known.has(subject),
  )
  const text = fresh.reduce(
    (all, subject, i) =>
      all.replaceAll(
        subject,
        `0a5a1c7e-0000-4000-8000-000000000${(last + 1 + i).toString(16).padStart(3, '0')}` as SubjectId,
      ),
    JSON.stringify(lines),
  )
  return JSON.parse(text) as RawEntry[]
}
