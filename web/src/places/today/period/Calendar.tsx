import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import type { PeriodPlan } from '@ivory-crystal/core/planning'
import { download } from '../../../device/download'
import { useNotebook } from '../../../ledger/notebook'
import { calendarEvents, calendarFile } from './calendarFile'
import type { PeriodNow } from './usePeriod'

/** The starts, stops and end as a calendar file. */
export function Calendar({ now: { period, tasks }, plan }: { now: PeriodNow; plan: PeriodPlan }) {
  const [wrong, setWrong] = useState<string | null>(null)
  const title = useNotebook(
    ({ notebooks, notebook }) => notebooks.find(({ id }) => id === notebook)?.title ?? 'Lab period',
  )
  const save = async () => {
    try {
      const events = calendarEvents(tasks, plan, period.opened.body, title)
      download('lab-period.ics', await calendarFile(events), 'text/calendar')
      setWrong(null)
    } catch (error) {
      setWrong((error as Error).message)
    }
  }
  return (
    <>
      <Button variant="outline-primary" onClick={() => void save()}>
        Alarms as calendar
      </Button>
      {wrong && (
        <span className="look m-0" role="alert">
          {wrong}
        </span>
      )}
    </>
  )
}
