import css from './PeriodSheet.module.css'
import type { PeriodPlan, IfLate, PeriodTask, PeriodTerms } from '@ivory-crystal/core/planning'
import { Score } from '../../../drawings/Score'
import type { ScoreFacts } from '../../../drawings/scoreLayout'
import { clock, day } from '../../../format/format'
import { timesOf } from './scoreFacts'
import { shared, whenLate } from './sentences'

/** The plan on one sheet of paper: the score, what the hands do and when, stops and last moments. */
export function PeriodSheet({
  tasks,
  plan,
  late,
  terms,
  facts,
  names,
  nowMs,
}: {
  tasks: readonly PeriodTask[]
  plan: PeriodPlan
  late: IfLate | null
  terms: PeriodTerms
  facts: ScoreFacts
  /** Instruments by id. */
  names: ReadonlyMap<string, string>
  nowMs: number
}) {
  const aside = new Set(plan.aside)
  const rows = tasks
    .flatMap((task) => {
      const times = timesOf(task, plan, terms)
      return times && !aside.has(task.id) && task.state.is !== 'done' && !task.isAlone
        ? [{ task, ...times }]
        : []
    })
    .sort((p, q) => p.fromMs - q.fromMs)
  return (
    <section className={`print-only ${css.sheet}`} aria-hidden>
      <p>
        Lab period, {day(terms.beginsAtMs)}, {clock(terms.beginsAtMs)} to {clock(terms.endsAtMs)}; as planned
        at {clock(nowMs)}. Finished by {clock(terms.beginsAtMs + plan.makespanMin * 60_000)}.
      </p>
      <Score
        facts={facts}
        label="The timetable"
        chosen={null}
        onChoose={ignore}
        onLater={ignore}
        onAside={ignore}
      />
      <ul className={css.tasks}>
        {rows.map(({ task, fromMs }) => (
          <li key={task.id}>
            <b>{clock(fromMs)}</b> {task.words}, {task.durationMin} min
          </li>
        ))}
      </ul>
      {late && <p>{whenLate(tasks, late, plan, terms).join(' ')}</p>}
      <p>{shared(terms, names, nowMs).join(' ')}</p>
    </section>
  )
}
const ignore = () => undefined
