import type { RawEntry } from '../src/notebook/entry'
import { rebase } from '../src/schemas'

const DAY_MS = 86_400_000
/** Preps, samples, melts, cases and runs of the golden ledger share this head; instruments and the bench do not. */
const SUBJECT_HEAD = '0a5a1c7e-0000-4000-'

/**
 * A notebook many times the golden one: the same work done again on other days by other preps, samples and cases,
 * on the same instruments.
 *
 * @param times how often; 1 gives the golden lines themselves
 */
export function copiesOf(entries: readonly RawEntry[], times: number): readonly RawEntry[] {
  const [first] = entries
  if (!first) return []
  return Array.from({ length: times }, (_, copy) => {
    if (copy === 0) return entries
    const moved = JSON.stringify(rebase(entries, -copy * DAY_MS, first))
    const head = `0a5a1c7e-${copy.toString(16).padStart(4, '0')}-4000-`
    return JSON.parse(moved.replaceAll(SUBJECT_HEAD, head)) as RawEntry[]
  }).flat()
}
