import css from './Period.module.css'
import classNames from 'classnames'
import Button from 'react-bootstrap/Button'
import { useNavigate, useParams } from 'react-router'
import {
  type AtHand,
  type IfLate,
  noteTask,
  type PeriodFacts,
  type PeriodTask,
  type Ready,
  type Running,
} from '@ivory-crystal/core/planning'
import { uncapital } from '@ivory-crystal/core/words'
import { clock, day, left, span } from '../../../format/format'
import { strike, write } from '../../../ledger/notebook'
import { ClosePeriod } from './ClosePeriod'

const FREE_MOST = 3
const MINUTE_MS = 60_000
/** It is said so long before it is too late to begin something, min. */
const WARN_MIN = 20
/** What is planned within this is for now, min. */
const SOON_MIN = 2

/** What is now: the clock that matters most, what the hands are at or could do, and one button. */
export function NowPart({
  period,
  tasks,
  at,
  late,
  nowMs,
}: {
  period: PeriodFacts
  tasks: readonly PeriodTask[]
  at: AtHand
  late: IfLate | null
  nowMs: number
}) {
  const [first, ...others] = at.running
  const [doing] = at.doing
  return (
    <section aria-label="Now">
      <p className="quiet mb-1">now, {clock(nowMs)}</p>
      {doing ? (
        <Doing period={period} task={doing} nowMs={nowMs} clocks={at.running} />
      ) : first ? (
        <Clock running={first} others={others} nowMs={nowMs} />
      ) : (
        <h2 className={css.heading}>{headingOf(at, period, nowMs)}</h2>
      )}
      {at.isOver ? (
        <ClosePeriod period={period} tasks={tasks} nowMs={nowMs} />
      ) : (
        <Free
          period={period}
          ready={at.ready}
          late={late}
          nowMs={nowMs}
          isDoing={doing !== undefined}
          title={doing ? 'Next, while you wait' : first ? 'While you wait' : 'Begin with'}
        />
      )}
    </section>
  )
}

function headingOf({ ready, isOver }: AtHand, { opened }: PeriodFacts, nowMs: number): string {
  if (isOver) return 'Everything of this period is done'
  if (nowMs < opened.body.beginsAtMs)
    return `The period begins at ${clock(opened.body.beginsAtMs)}${day(opened.body.beginsAtMs) === day(nowMs) ? '' : `, ${day(opened.body.beginsAtMs)}`}`
  const [next] = ready
  return next ? 'Your hands are free' : 'Nothing can begin right now'
}

function Clock({ running, others, nowMs }: { running: Running; others: readonly Running[]; nowMs: number }) {
  const { task, endsAtMs, next } = running
  const leftMs = endsAtMs - nowMs
  return (
    <>
      <h2 className={css.heading}>{task.words}</h2>
      <div
        className={classNames(css.clock, leftMs <= 0 && css.clockOver)}
        role="timer"
        aria-label={task.words}
      >
        {left(leftMs)}
      </div>
      <p className="quiet mb-0">
        {next ? `then: ${uncapital(next.words)}, at ${clock(endsAtMs)}` : `until ${clock(endsAtMs)}`}
        {task.watch ? `; ${task.watch}` : ''}
        {others.map((one) => (
          <span key={one.task.id}>
            {' · '}
            {uncapital(one.task.words)}{' '}
            {one.endsAtMs > nowMs ? `${span(one.endsAtMs - nowMs)} left` : 'time is up'}
          </span>
        ))}
      </p>
    </>
  )
}

/** What the hands are at: how long, how long it was to take, and the clocks beside it. */
function Doing({
  period,
  task,
  nowMs,
  clocks,
}: {
  period: PeriodFacts
  task: PeriodTask
  nowMs: number
  clocks: readonly Running[]
}) {
  const { notebook = '' } = useParams()
  const navigate = useNavigate()
  const fromMs = task.state.is === 'running' ? task.state.fromMs : nowMs
  const begun = period.begunBy.get(task.id)
  return (
    <>
      <h2 className={css.heading}>{task.words}</h2>
      <div className={css.clock} role="timer" aria-label={`${task.words}, since it was begun`}>
        {span(nowMs - fromMs)}
      </div>
      <p className="quiet mb-0">
        since {clock(fromMs)}, planned for {task.durationMin} min
        {clocks.map(({ task: one, endsAtMs }) => (
          <span key={one.id}>
            {' · '}
            {uncapital(one.words)} {endsAtMs > nowMs ? `${span(endsAtMs - nowMs)} left` : 'time is up'}
          </span>
        ))}
      </p>
      <div className="row-of mt-3">
        {task.isToldByHand && (
          <Button
            onClick={() => {
              write(noteTask(period, task, 'done'))
            }}
          >
            Done
          </Button>
        )}
        {task.place !== '' && (
          <Button
            variant={task.isToldByHand ? 'outline-primary' : 'primary'}
            onClick={() => void navigate(`/n/${notebook}/${task.place}`)}
          >
            Go to it
          </Button>
        )}
        {begun && (
          <Button
            variant="link"
            onClick={() => {
              strike(begun, 'not begun after all')
            }}
          >
            Take back the start
          </Button>
        )}
      </div>
    </>
  )
}

function Free({
  period,
  ready,
  late,
  nowMs,
  isDoing,
  title,
}: {
  period: PeriodFacts
  ready: readonly Ready[]
  late: IfLate | null
  nowMs: number
  isDoing: boolean
  title: string
}) {
  const { notebook = '' } = useParams()
  const navigate = useNavigate()
  const shown = ready.slice(0, FREE_MOST)
  const startable = shown.find(({ freeFromMs }) => freeFromMs === null)
  if (shown.length === 0) return null
  return (
    <div className={css.rule}>
      <h2>{title}</h2>
      <dl className={css.free}>
        {shown.map((one) => (
          <FreeTask key={one.task.id} one={one} late={late} period={period} nowMs={nowMs} />
        ))}
      </dl>
      {startable && (
        <Button
          className="mt-3"
          variant={isDoing ? 'outline-primary' : 'primary'}
          onClick={() => {
            write(noteTask(period, startable.task, 'begun'))
            if (startable.task.place !== '') void navigate(`/n/${notebook}/${startable.task.place}`)
          }}
        >
          {startable === shown[0] ? 'Start the first' : `Start: ${uncapital(startable.task.words)}`}
        </Button>
      )}
    </div>
  )
}

function FreeTask({
  one: { task, plannedAtMs, freeFromMs },
  late,
  period,
  nowMs,
}: {
  one: Ready
  late: IfLate | null
  period: PeriodFacts
  nowMs: number
}) {
  const last = late?.lastStarts.find((one) => one.task === task.id)
  const lastMs = last ? period.opened.body.beginsAtMs + last.atMin * MINUTE_MS : null
  const notes = [
    ...(freeFromMs === null ? [] : [`can begin from ${clock(freeFromMs)}`]),
    ...(freeFromMs === null && plannedAtMs - nowMs > SOON_MIN * MINUTE_MS && Number.isFinite(plannedAtMs)
      ? [`planned for ${clock(plannedAtMs)}`]
      : []),
    ...(lastMs !== null && lastMs - nowMs < WARN_MIN * MINUTE_MS
      ? [`too late from ${clock(lastMs)} on`]
      : []),
    ...(task.pace
      ? [`${task.pace.isToday ? 'your pace today' : 'your own pace'}; the plan says ${task.planMin} min`]
      : []),
    ...(task.isGuess ? ['minutes guessed'] : []),
  ]
  return (
    <>
      <dt>{task.durationMin} min</dt>
      <dd>
        {task.words}.{notes.length > 0 && <span className="quiet d-block">{notes.join('; ')}</span>}
      </dd>
    </>
  )
}
