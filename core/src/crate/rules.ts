import type { View } from '../notebook/fold'
import { subjectsWith, latestLine } from '../notebook/read'

/** The house rules a notebook took last, in one sentence; null where it took none. */
export function rulesInForce(view: View): string | null {
  const taken = subjectsWith(view, 'rules taken')
    .flatMap((subject) => latestLine(view, subject, 'rules taken') ?? [])
    .sort((p, q) => (p.id < q.id ? -1 : 1))
    .at(-1)
  return taken ? `House rules in force: ${taken.body.conventions.name}.` : null
}
