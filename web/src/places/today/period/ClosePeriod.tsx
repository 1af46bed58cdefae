import Button from 'react-bootstrap/Button'
import { closePeriod, type PeriodFacts, type PeriodTask } from '@ivory-crystal/core/planning'
import { clock } from '../../../format/format'
import { write } from '../../../ledger/notebook'

/** Nothing is left to do: the period is closed with one press. */
export function ClosePeriod({
  period,
  tasks,
  nowMs,
}: {
  period: PeriodFacts
  tasks: readonly PeriodTask[]
  nowMs: number
}) {
  return (
    <p className="mt-3">
      <Button
        onClick={() => {
          write(closePeriod(period, tasks, nowMs))
        }}
      >
        Close the period: finished at {clock(nowMs)}
      </Button>
    </p>
  )
}
