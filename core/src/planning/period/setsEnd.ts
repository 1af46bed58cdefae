import type { PeriodPlan } from './replan'
import type { PeriodTask } from './task'

/**
 * What is worth saying of what everything waits for: a wait that sets when the period is over, and the hands’ work that
 * begins one. The rest of the hands’ day follows task by task, and to say it of each says nothing.
 */
export function setsEnd(
  tasks: readonly PeriodTask[],
  { criticalPath }: Pick<PeriodPlan, 'criticalPath'>,
): ReadonlySet<string> {
  const byId = new Map(tasks.map((task) => [task.id, task]))
  const isAlone = (id: string | undefined) => byId.get(id ?? '')?.isAlone === true
  const follows = (id: string | undefined, before: string) =>
    byId.get(id ?? '')?.after.some(({ task }) => task === before) === true
  return new Set(
    criticalPath.filter(
      (id, i) => isAlone(id) || (isAlone(criticalPath[i + 1]) && follows(criticalPath[i + 1], id)),
    ),
  )
}
