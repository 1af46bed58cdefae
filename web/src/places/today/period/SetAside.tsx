import Button from 'react-bootstrap/Button'
import {
  type PeriodPlan,
  type PeriodFacts,
  type PeriodTask,
  setTaskAside,
} from '@ivory-crystal/core/planning'
import { write } from '../../../ledger/notebook'

/** What is not done in this period, and can be taken up. */
export function SetAside({
  period,
  tasks,
  plan,
}: {
  period: PeriodFacts
  tasks: readonly PeriodTask[]
  plan: PeriodPlan
}) {
  const aside = new Set(plan.aside)
  const by = tasks.filter(
    (task) =>
      aside.has(task.id) &&
      !task.isAlone &&
      (period.putOff.get(task.id)?.until === 'another day' ||
        (task.isOptional && task.after.every((one) => !aside.has(one.task)))),
  )
  if (by.length === 0) return null
  return (
    <section className="mt-3 no-print" aria-label="Not in this period">
      <h3>Not in this period</h3>
      <p className="mb-0">
        {by.map((task) => (
          <span key={task.id} className="me-3">
            {task.words}{' '}
            <Button
              size="sm"
              variant="link"
              onClick={() => {
                write(setTaskAside(period, task, 'not put off'))
              }}
            >
              plan it again
            </Button>
          </span>
        ))}
      </p>
    </section>
  )
}
