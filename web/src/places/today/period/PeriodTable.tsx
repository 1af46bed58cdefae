import { type PeriodPlan, type PeriodTask, type PeriodTerms, setsEnd } from '@ivory-crystal/core/planning'
import { clock } from '../../../format/format'
import { timesOf } from './scoreFacts'

/** The score in words: every task with its times, in order. */
export function PeriodTable({
  tasks,
  plan,
  terms,
  caption,
}: {
  tasks: readonly PeriodTask[]
  plan: PeriodPlan
  terms: PeriodTerms
  caption: string
}) {
  const aside = new Set(plan.aside)
  const keys = setsEnd(tasks, plan)
  const rows = tasks
    .flatMap((task) => {
      const times = aside.has(task.id) ? null : timesOf(task, plan, terms)
      return times && times.toMs > terms.beginsAtMs ? [{ task, ...times }] : []
    })
    .sort((p, q) => p.fromMs - q.fromMs || p.toMs - q.toMs)
  return (
    <table className="lines">
      <caption>{caption}</caption>
      <thead>
        <tr>
          <th scope="col">from</th>
          <th scope="col">to</th>
          <th scope="col">what</th>
          <th scope="col">how</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ task, fromMs, toMs }) => (
          <tr key={task.id}>
            <td>{clock(fromMs)}</td>
            <td>{clock(toMs)}</td>
            <td>{task.words}</td>
            <td className="quiet">
              {[
                task.state.is === 'done' ? 'as it was' : task.state.is === 'running' ? 'goes on' : '',
                task.isAlone ? 'unattended' : '',
                keys.has(task.id) && task.state.is !== 'done' ? 'sets when you finish' : '',
                task.stopLabel ? `safe stop: ${task.stopLabel}` : '',
              ]
                .filter((text) => text !== '')
                .join(', ')}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
