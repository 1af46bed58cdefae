import { type ReactNode, useState } from 'react'
import Button from 'react-bootstrap/Button'
import { houseRulesOf, prepsOf, unknownsOf } from '@ivory-crystal/core/notebook'
import {
  closePeriod,
  forgottenPeriod,
  periodBefore,
  type PeriodFacts,
  tasksOf,
} from '@ivory-crystal/core/planning'
import { useNow } from '../../../clock/now'
import { clock, day } from '../../../format/format'
import { useNotebook, write } from '../../../ledger/notebook'
import { ClosePeriod } from './ClosePeriod'
import { PeriodToday } from './PeriodToday'
import { AsItWas, PeriodForm } from './parts'
import { rowsOf } from './rowsOf'
import { type PeriodNow, usePeriod } from './usePeriod'

/** The period that is on; without one the list, and a line to set one. */
export function PeriodPart({ list }: { list: ReactNode }) {
  const now = usePeriod()
  const nowMs = useNow(60_000)
  const view = useNotebook((state) => state.view)
  const before = periodBefore(view)
  const forgotten = now ? null : forgottenPeriod(view, nowMs)
  if (now && now.tasks.length > 0)
    return (
      <>
        <PeriodToday now={now} />
        <div className="no-print">{list}</div>
      </>
    )
  return (
    <>
      {list}
      {now ? <NothingOpen now={now} /> : <SetPeriod />}
      {forgotten && <Forgotten period={forgotten} />}
      {before && <AsItWas period={before} nowMs={nowMs} />}
    </>
  )
}

/** A period is on, and nothing of the notebook is open in it. */
function NothingOpen({ now: { period, tasks, nowMs } }: { now: PeriodNow }) {
  const { beginsAtMs, endsAtMs } = period.opened.body
  return (
    <section className="mt-4" aria-label="The lab period">
      <h2>
        The lab period, {clock(beginsAtMs)} to {clock(endsAtMs)}
      </h2>
      <p className="mt-2 mb-0">
        Nothing is open in it. Begin a prep or open a case, and the app plans it here.
      </p>
      <ClosePeriod period={period} tasks={tasks} nowMs={nowMs} />
    </section>
  )
}

/** A period that nobody closed: what was done in it is kept once it is. */
function Forgotten({ period }: { period: PeriodFacts }) {
  const { beginsAtMs, endsAtMs } = period.opened.body
  const close = () => {
    const { view, shelf } = useNotebook.getState()
    if (!shelf) return
    const tasks = tasksOf(view, shelf, houseRulesOf(view, shelf.houseRules), endsAtMs, period)
    write(closePeriod(period, tasks, endsAtMs))
  }
  return (
    <section className="mt-4" aria-label="Period not closed">
      <h2>
        The period of {day(beginsAtMs)}, {clock(beginsAtMs)} to {clock(endsAtMs)}, was not closed
      </h2>
      <p className="mt-2">
        When you left is not known. If you close it, its end, {clock(endsAtMs)}, is recorded as the time you
        left. What you did is kept beside the plan.
      </p>
      <Button variant="outline-primary" onClick={close}>
        Close the period: finished at {clock(endsAtMs)}
      </Button>
    </section>
  )
}

/** One line to set a period, once there is something to do in it. */
function SetPeriod() {
  const view = useNotebook((state) => state.view)
  const shelf = useNotebook((state) => state.shelf)
  const nowMs = useNow(60_000)
  const [isOpen, setIsOpen] = useState(false)
  if (prepsOf(view).length === 0 && unknownsOf(view).length === 0) return null
  const rows =
    isOpen && shelf ? rowsOf(tasksOf(view, shelf, houseRulesOf(view, shelf.houseRules), nowMs, null)) : []
  return (
    <section className="mt-4" aria-label="A lab period">
      <h2>A lab period</h2>
      <p className="mt-2">
        Enter from when to when. The app puts all open work in the order that finishes first.
      </p>
      {isOpen ? (
        <PeriodForm
          period={null}
          rows={rows}
          onDone={() => {
            setIsOpen(false)
          }}
        />
      ) : (
        <Button
          variant="outline-primary"
          onClick={() => {
            setIsOpen(true)
          }}
        >
          Set the period
        </Button>
      )}
    </section>
  )
}
