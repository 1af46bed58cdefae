import Button from 'react-bootstrap/Button'
import { type PrepFacts, type Timer, timersInUseOf } from '@ivory-crystal/core/notebook'
import { capital, clock, left } from '../../../format/format'
import { strike, useNotebook } from '../../../ledger/notebook'
import { useNow } from '../../../clock/now'

/** Timers are entries: they go on while the page is closed. */
export function TimerPanel({
  prep,
  only,
}: {
  prep: PrepFacts
  /** Sorts to show; all when not said. */
  only?: readonly Timer['timer'][]
}) {
  const view = useNotebook((state) => state.view)
  const now = useNow(500)
  const shown = timersInUseOf(view, prep, now).filter(({ timer }) => only?.includes(timer) ?? true)
  if (shown.length === 0) return null
  return (
    <div>
      {shown.map((timer) => (
        <div key={timer.id} role="timer" aria-label={timer.words} className="mb-3">
          <h3>{capital(timer.words)}</h3>
          <div className={timer.leftMs <= 0 ? 'timer over' : 'timer'}>{left(timer.leftMs)}</div>
          <span className="quiet">
            {timer.minutes} min, until {clock(timer.endsAt)}
          </span>{' '}
          <Button
            variant="link"
            size="sm"
            onClick={() => {
              strike({ id: timer.id, subject: prep.id }, 'timer not needed')
            }}
          >
            strike out
          </Button>
        </div>
      ))}
    </div>
  )
}
