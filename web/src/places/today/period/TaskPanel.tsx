import { minutesInWords } from '@ivory-crystal/core/words'
import css from './Period.module.css'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { Link, useParams } from 'react-router'
import {
  type PeriodPlan,
  noteTask,
  type PeriodFacts,
  type PeriodTask,
  setTaskAside,
} from '@ivory-crystal/core/planning'
import { clock } from '../../../format/format'
import { momentAfter } from '../../../format/timeOfDay'
import { write } from '../../../ledger/notebook'
import { Refusal } from '../../../parts/InlineField'
import { TimeField } from './TimeField'
import { timesOf } from './scoreFacts'

/** One task that was chosen on the score: what is known of it, and what can be done with it. */
export function TaskPanel({
  period,
  task,
  plan,
  beginsWait,
  nowMs,
  onLater,
  onDone,
}: {
  period: PeriodFacts
  task: PeriodTask
  plan: PeriodPlan
  /** A wait begins with it that sets when the period is over. */
  beginsWait: boolean
  nowMs: number
  onLater: (byMin: number) => void
  onDone: () => void
}) {
  const { notebook = '' } = useParams()
  const [from, setFrom] = useState('')
  const [wrong, setWrong] = useState<string | null>(null)
  const times = timesOf(task, plan, period.opened.body)
  const put = period.putOff.get(task.id)
  const room = plan.room[task.id] ?? 0
  const hold = () => {
    const at = momentAfter(from, nowMs - 60_000)
    if (at === null) {
      setWrong('A time of day, such as 15:20.')
      return
    }
    setWrong(null)
    write(setTaskAside(period, task, 'a time', at))
    setFrom('')
  }
  return (
    <section className={css.task} aria-label={task.words}>
      <h3>{task.words}</h3>
      <p className="mb-2">
        {times && `${clock(times.fromMs)} to ${clock(times.toMs)}, ${minutesInWords(task.durationMin)}. `}
        {task.pace
          ? task.pace.isToday
            ? `The plan allows ${minutesInWords(task.planMin)}; this is at your pace today, from ${task.pace.times} tasks. `
            : `Your own pace: usually ${minutesInWords(task.pace.medianMin)} (${task.pace.times} times); the plan allows ${minutesInWords(task.planMin)}. `
          : task.isGuess
            ? 'The minutes are an estimate. '
            : ''}
        {room > 0
          ? `It can start ${minutesInWords(room)} later at no cost.`
          : beginsWait
            ? 'It starts a wait that sets when you finish. Start it on time.'
            : 'Your next task follows at once. Start it on time.'}
        {put?.until === 'a time' && put.untilAtMs !== null && ` Not before ${clock(put.untilAtMs)}.`}
      </p>
      <div className="row-of">
        <Button
          size="sm"
          onClick={() => {
            write(noteTask(period, task, 'begun'))
            onDone()
          }}
        >
          Start it now
        </Button>
        <Button
          size="sm"
          variant="outline-primary"
          onClick={() => {
            onLater(10)
          }}
        >
          10 min later
        </Button>
        {times && (
          <Button
            size="sm"
            variant="outline-primary"
            onClick={() => {
              write(setTaskAside(period, task, 'a time', times.fromMs))
            }}
          >
            Not before {clock(times.fromMs)}
          </Button>
        )}
        {put?.until === 'a time' && (
          <Button
            size="sm"
            variant="outline-primary"
            onClick={() => {
              write(setTaskAside(period, task, 'not put off'))
            }}
          >
            Any time again
          </Button>
        )}
        <Button
          size="sm"
          variant="outline-primary"
          onClick={() => {
            write(setTaskAside(period, task, 'another day'))
            onDone()
          }}
        >
          Another day
        </Button>
        {task.place !== '' && <Link to={`/n/${notebook}/${task.place}`}>Where it is done</Link>}
        <Button size="sm" variant="link" onClick={onDone}>
          Close
        </Button>
      </div>
      <form
        className="row-of mt-2"
        onSubmit={(event) => {
          event.preventDefault()
          hold()
        }}
      >
        <TimeField label="not before" value={from} onChange={setFrom} isInvalid={wrong !== null} />
        <Button size="sm" type="submit" variant="outline-primary" disabled={from === ''}>
          Hold it until then
        </Button>
        <Refusal sentence={wrong} />
      </form>
    </section>
  )
}
