import type { SubjectId } from '@ivory-crystal/core/ids'
import type { PeriodTask } from '@ivory-crystal/core/planning'

/** What there is to do, for the choice of what matters most. */
export function rowsOf(
  tasks: readonly PeriodTask[],
): readonly { readonly id: SubjectId; readonly title: string }[] {
  const rows = new Map<SubjectId, string>()
  for (const { of, title } of tasks) if (of !== null) rows.set(of, title)
  return [...rows].map(([id, title]) => ({ id, title }))
}
