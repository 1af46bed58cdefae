import { minutesInWords } from '@ivory-crystal/core/words'
import css from './Period.module.css'
import { type ReactNode, useState } from 'react'
import Button from 'react-bootstrap/Button'
import { Link, useParams } from 'react-router'
import { atHand, closePeriod, type PeriodPlan, setsEnd, setTaskAside } from '@ivory-crystal/core/planning'
import { clock as pageClock } from '../../../clock/clock'
import { Score } from '../../../drawings/Score'
import { clock } from '../../../format/format'
import { useNotebook, write } from '../../../ledger/notebook'
import { Confirm } from '../../../parts/Confirm'
import { PrintButton } from '../../../parts/PrintButton'
import { Calendar } from './Calendar'
import { NowPart } from './NowPart'
import { Notify } from './Notify'
import { PeriodForm, TaskPanel } from './parts'
import { PeriodSheet } from './PeriodSheet'
import { PeriodTable } from './PeriodTable'
import { rowsOf } from './rowsOf'
import { lettersOf, scoreFacts, timesOf } from './scoreFacts'
import { SetAside } from './SetAside'
import { brokenWait, hangsOn, shared, whenLate } from './sentences'
import type { PeriodNow } from './usePeriod'

const MINUTE_MS = 60_000

/** The lab period that is on: what is now, its score, and what it hangs on. */
export function PeriodToday({ now }: { now: PeriodNow }) {
  const { period, tasks, plan, late, problem, isBusy, nowMs } = now
  const { notebook = '' } = useParams()
  const terms = period.opened.body
  const instruments = useNotebook((state) => state.shelf?.instruments ?? NONE)
  const [chosen, setChosen] = useState<string | null>(null)
  const [isChanging, setIsChanging] = useState(false)
  /** What was asked for by hand, until it is done: what it costs is told, and not what else it moves. */
  const [asked, setAsked] = useState<{
    readonly task: string
    readonly words: string
    readonly outMin: number
    readonly plan: PeriodPlan
  } | null>(null)
  const at = atHand(tasks, plan, terms, nowMs)
  const task = tasks.find(({ id }) => id === chosen)
  const isAsked = asked !== null && tasks.find(({ id }) => id === asked.task)?.state.is === 'open'
  const names = new Map(instruments.map(({ id, name }) => [id as string, name.toLowerCase()]))
  const later = (id: string, byMin: number) => {
    const one = tasks.find((other) => other.id === id)
    const times = one ? timesOf(one, plan, terms) : null
    if (!one || !times || !plan) return
    const untilMs = times.fromMs + byMin * MINUTE_MS
    write(setTaskAside(period, one, 'a time', untilMs))
    setAsked({
      task: id,
      words: `“${one.words}” not before ${clock(untilMs)}`,
      outMin: plan.makespanMin,
      plan,
    })
  }
  const aside = (id: string) => {
    const one = tasks.find((other) => other.id === id)
    if (!one || !plan) return
    write(setTaskAside(period, one, 'another day'))
    setAsked({ task: id, words: `“${one.words}” is set aside`, outMin: plan.makespanMin, plan })
    setChosen(null)
  }
  const othersHave = shared(terms, names, nowMs)
  return (
    <>
      <div className={css.over}>
        <NowPart period={period} tasks={tasks} at={at} late={late} nowMs={nowMs} />
        <section aria-label="The timetable" aria-busy={isBusy}>
          <Head plan={plan} now={now} />
          {plan && plan.broken.length > 0 && (
            <div className="look mt-2" role="alert">
              {plan.broken.map((wait) => (
                <p key={wait.task} className="mb-1">
                  {brokenWait(tasks, wait)}
                </p>
              ))}
            </div>
          )}
          {problem && (
            <p className="look mt-2" role="alert">
              {problem.sentence}{' '}
              {plan
                ? 'The earlier plan stays. It is planned again within a minute, or when you next tick something.'
                : 'Open work is listed beside, without a plan. It is planned again within a minute, or when you next tick something.'}
            </p>
          )}
          <Score
            facts={scoreFacts(tasks, plan, terms, instruments, nowMs)}
            label={`The lab period from ${clock(terms.beginsAtMs)} to ${clock(terms.endsAtMs)} on its lanes; the same is in the table below`}
            chosen={chosen}
            onChoose={(id) => {
              setChosen((before) => (before === id ? null : id))
            }}
            onLater={later}
            onAside={aside}
          />
          <p className={`quiet ${css.key}`}>
            {[...lettersOf(tasks.filter(({ id }) => plan?.aside.includes(id) !== true)).values()].map(
              ({ letter, title }) => (
                <span key={letter}>
                  <b>{letter}</b> {title} ·{' '}
                </span>
              ),
            )}
            filled: done · pale: planned · underlined: a wait that sets when you finish, and the task that
            starts it · dotted: the lab closes
          </p>
          <div role="status">
            {isAsked && plan && plan !== asked.plan && !isBusy && (
              <p className="mb-1">
                {asked.words}: {costOf(plan.makespanMin - asked.outMin)}
              </p>
            )}
            {now.changed && !isAsked && (
              <p className="mb-1">
                <b>{clock(now.changed.atMs)}</b> {now.changed.sentence}
              </p>
            )}
          </div>
          {task && plan && task.state.is === 'open' && (
            <TaskPanel
              key={task.id}
              period={period}
              task={task}
              plan={plan}
              beginsWait={setsEnd(tasks, plan).has(task.id)}
              nowMs={nowMs}
              onLater={(byMin) => {
                later(task.id, byMin)
              }}
              onDone={() => {
                setChosen(null)
              }}
            />
          )}
        </section>
      </div>
      <div className={css.below}>
        {plan && (
          <PlanSummary title="What sets your finishing time">
            <p className="mb-0">{hangsOn(tasks, plan)}</p>
          </PlanSummary>
        )}
        {plan && (
          <PlanSummary title={plan.makespanMin > plan.deadlineMin ? 'If you run late' : 'If you run late'}>
            {late ? (
              whenLate(tasks, late, plan, terms).map((text) => (
                <p key={text} className="mb-1">
                  {text}
                </p>
              ))
            ) : problem ? (
              <p className="mb-0">
                How late each task may begin is not known: the calculation took too long.
              </p>
            ) : (
              <p className="quiet mb-0" aria-busy>
                working out …
              </p>
            )}
          </PlanSummary>
        )}
        <PlanSummary title="Shared">
          {othersHave.map((text) => (
            <p key={text} className="mb-1">
              {text}
            </p>
          ))}
          {othersHave.length === 0 && (
            <p className="mb-0">
              {terms.busy.length === 0
                ? 'No other bench needs a block, a balance or a flame.'
                : 'No other bench needs anything any more.'}
            </p>
          )}
          {plan?.isAgainstFlame && (
            <p className="look mb-1" role="alert">
              The running work cannot wait until the flame is out, so this plan ignores the flame. Speak with
              that bench first.
            </p>
          )}
        </PlanSummary>
      </div>
      {plan && <SetAside period={period} tasks={tasks} plan={plan} />}
      <div className="row-of mt-3 no-print">
        {plan && <PrintButton>Print the plan</PrintButton>}
        {plan && <Calendar now={now} plan={plan} />}
        <Notify />
        <Button
          variant="outline-primary"
          aria-expanded={isChanging}
          onClick={() => {
            setIsChanging(!isChanging)
          }}
        >
          Change the period
        </Button>
        {!at.isOver && (
          <Confirm
            offer="Close the period"
            question="Close the period now? What is not done is left for another day."
            onYes={() => {
              write(closePeriod(period, tasks, pageClock.now()))
            }}
          />
        )}
      </div>
      <p className="quiet mt-2 mb-0 no-print">
        For instructors: <Link to={`/n/${notebook}/for-instructors/class`}>will the class fit?</Link>
      </p>
      {isChanging && (
        <section className="mt-3 no-print">
          <PeriodForm
            period={period}
            rows={rowsOf(tasks)}
            onDone={() => {
              setIsChanging(false)
            }}
          />
        </section>
      )}
      {plan && (
        <details className="mt-3 no-print">
          <summary>The timetable as a table</summary>
          <div className="scroll">
            <PeriodTable
              tasks={tasks}
              plan={plan}
              terms={terms}
              caption="Every task of the period, in order"
            />
          </div>
        </details>
      )}
      {plan && (
        <PeriodSheet
          tasks={tasks}
          plan={plan}
          late={late}
          terms={terms}
          facts={scoreFacts(tasks, plan, terms, instruments, nowMs)}
          names={names}
          nowMs={nowMs}
        />
      )}
    </>
  )
}
const NONE: readonly never[] = []

function costOf(byMin: number): string {
  if (byMin > 0) return `you finish ${minutesInWords(byMin)} later.`
  return byMin < 0 ? `you finish ${minutesInWords(-byMin)} earlier.` : 'it costs nothing.'
}

/** When it is over, and what is to spare. */
function Head({ plan, now: { period, isBusy, problem } }: { plan: PeriodPlan | null; now: PeriodNow }) {
  const terms = period.opened.body
  const at = (min: number) => clock(terms.beginsAtMs + min * MINUTE_MS)
  if (!plan)
    return (
      <div className={css.out}>
        <h2>{isBusy ? 'Planning the period …' : `Until ${clock(terms.endsAtMs)}`}</h2>
        {isBusy && <progress aria-label="Planning the period" />}
      </div>
    )
  const spareMin = plan.deadlineMin - plan.makespanMin
  return (
    <div className={css.out}>
      <h2 className={spareMin < 0 ? 'trouble' : undefined}>Finished by {at(plan.makespanMin)}</h2>
      <span className="quiet">
        {spareMin > 0
          ? `${minutesInWords(spareMin)} spare`
          : spareMin === 0
            ? 'no spare time'
            : `${minutesInWords(-spareMin)} too late`}
        {plan.broken.length === 0 && !plan.isAgainstFlame && !problem
          ? ' · no task waits too long, and nothing is needed twice at once'
          : ''}
      </span>
    </div>
  )
}

function PlanSummary({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section aria-label={title}>
      <h2>{title}</h2>
      <div className="mt-1">{children}</div>
    </section>
  )
}
