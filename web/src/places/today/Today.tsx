import css from '../../parts/steps.module.css'
import classNames from 'classnames'
import type { ReactNode } from 'react'
import { Link } from 'react-router'
import {
  isUnderWay,
  meltsOf,
  nextStep,
  type PrepFacts,
  prepsOf,
  stationsOf,
  timersInUseOf,
} from '@ivory-crystal/core/notebook'
import { crudeInText } from '@ivory-crystal/core/procedures'
import { part } from '../../device/place'
import { capital, clock, left } from '../../format/format'
import { Title } from '../../parts/Title'
import { useNotebook } from '../../ledger/notebook'
import { useNow } from '../../clock/now'

// The list is there first; what tells of unknowns, flames and the lab period comes beside it.
const Rest = part(
  async () => (await import('./Rest')).Rest,
  ({ List }) => <List />,
)
void Rest.fetch().catch(() => undefined)

/** The lab period, where one is on; else what is open, what is next, which clocks run. */
export function Today() {
  const notebook = useNotebook((state) => state.notebook)
  const title = useNotebook((state) => state.notebooks.find((row) => row.id === notebook)?.title)
  return (
    <>
      <Title title="Today" aside={title} />
      <Rest List={TodayList} />
    </>
  )
}

/** What is open, what is next, which clocks run. */
function TodayList({ cases }: { cases?: ReactNode }) {
  const view = useNotebook((state) => state.view)
  const notebook = useNotebook((state) => state.notebook)
  const readings = useNotebook((state) => state.readings)
  const shelf = useNotebook((state) => state.shelf)
  const now = useNow()
  const base = `/n/${notebook ?? ''}`
  const preps = prepsOf(view)
  const open = preps.filter((prep) => nextStep(view, prep.id, now) !== null)
  const running = Object.entries(readings).flatMap(([instrument, lastReading]) =>
    lastReading ? [{ instrument: shelf?.instruments.find(({ id }) => id === instrument), lastReading }] : [],
  )
  const melts = meltsOf(view).filter((melt) => melt.planned.body.prep === null && isUnderWay(melt))
  return (
    <>
      {preps.length === 0 && (
        <section className="mt-4">
          <h2>Nothing begun yet</h2>
          <p className="mt-2">
            Start with the compound you want to purify. The plan, the steps, the weighing and the melt follow
            from it.
          </p>
          <Link className="btn btn-primary" to={`${base}/preps`}>
            Begin a prep
          </Link>
          <p className="mt-4 mb-0">
            Never seen a solid melt? <Link to={`${base}/practice`}>Practise first</Link>: five short exercises
            that do not count.
          </p>
          <p className="mt-1 mb-0">
            A vial without a name? <Link to={`${base}/unknowns`}>Open a case</Link> and melt it.
          </p>
          <p className="mt-1">
            A block, a bath or a balance of your own? <Link to={`${base}/instruments`}>Add it</Link>; until
            then you work with simulated ones, labelled as such.
          </p>
        </section>
      )}
      {preps.length > 0 && (
        <section className="mt-4" aria-label="Open preps">
          <h2>Next at the bench</h2>
          {open.length === 0 && (
            <p className="mt-2">
              Every prep is finished. <Link to={`${base}/preps`}>Begin another</Link>
            </p>
          )}
          <ul className={classNames(css.steps, 'mt-3')}>
            {open.map((prep) => (
              <OpenPrep key={prep.id} prep={prep} base={base} now={now} />
            ))}
          </ul>
        </section>
      )}
      {cases}
      {melts.length > 0 && (
        <section className="mt-4" aria-label="Melts of the rack">
          <h2>Melts of the rack</h2>
          {melts.map(({ id, planned, run }) => (
            <p key={id} className="mt-2 mb-0">
              <Link to={`${base}/melts/${id}`}>
                {planned.body.tubes.map(({ label }) => label).join(', ')}
              </Link>{' '}
              <span className="quiet">
                {run ? 'melting' : 'planned'}, {planned.body.instrumentName.toLowerCase()}
              </span>
            </p>
          ))}
        </section>
      )}
      {running.length > 0 && (
        <section className="mt-4" aria-label="Running instruments">
          <h2>Running</h2>
          {running.map(({ instrument, lastReading }) => (
            <p key={lastReading.id} className="mt-2">
              <b>
                {instrument?.character.readBy === 'eye'
                  ? 'By eye'
                  : lastReading.reading
                    ? `${lastReading.reading.probe.text} °C`
                    : 'starting'}
              </b>{' '}
              on the {instrument?.name.toLowerCase() ?? 'instrument'}{' '}
              {instrument?.simulated && <span className="simulated">simulated</span>}{' '}
              <Link to={`${base}/melts/${lastReading.melt}`}>See it</Link>
            </p>
          ))}
        </section>
      )}
      {preps.length > open.length && (
        <section className="mt-4" aria-label="Finished preps">
          <h2>Finished</h2>
          {preps
            .filter((prep) => !open.includes(prep))
            .map((prep) => (
              <p key={prep.id} className="mt-2 mb-0">
                <Link to={`${base}/preps/${prep.id}/page`}>{prep.opened.body.title}</Link>
                {prep.verdict && (
                  <span className="quiet">
                    {' '}
                    {prep.verdict.body.judgement.verdict}, signed {clock(prep.verdict.at)}
                  </span>
                )}
              </p>
            ))}
        </section>
      )}
    </>
  )
}

function OpenPrep({ prep, base, now }: { prep: PrepFacts; base: string; now: number }) {
  const view = useNotebook((state) => state.view)
  const next = nextStep(view, prep.id, now)
  const stations = stationsOf(view, prep.id)
  const done = stations.filter(({ state }) => state === 'done').length
  const timers = timersInUseOf(view, prep, now)
  if (!next) return null
  return (
    <li className={css.withClock}>
      <div>
        <h3>
          <Link to={`${base}/preps/${prep.id}/${next.station}`}>{prep.opened.body.title}</Link>
        </h3>
        <p className={next.urgent ? 'mb-0 mt-1 trouble' : 'mb-0 mt-1'}>{next.text}</p>
        <span className="quiet">
          at {capital(next.station)}; {done} of {stations.length} stations done
        </span>
      </div>
      <div className="text-end">
        {timers.map((timer) => (
          <div key={timer.id} role="timer" aria-label={timer.words}>
            <span className={timer.leftMs <= 0 ? 'timer over' : 'timer'}>{left(timer.leftMs)}</span>
            <span className="quiet d-block">
              {timer.words}, until {clock(timer.endsAt)}
            </span>
          </div>
        ))}
        {timers.length === 0 && prep.plan && (
          <span className="quiet">{crudeInText(prep.plan.body)} g of crude</span>
        )}
      </div>
    </li>
  )
}
