import css from './Practice.module.css'
import classNames from 'classnames'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { Link, useNavigate } from 'react-router'
import {
  ABOUT,
  EXERCISES,
  type ExerciseName,
  FIRST_PATH,
  GOOD_IN_A_ROW,
  nextUp,
  pathOf,
  type Progress,
} from '@ivory-crystal/core/practice'
import { clock } from '../../clock/clock'
import { day } from '../../format/format'
import { Head } from './Head'
import { GivenPractical } from './GivenPractical'
import { usePractice } from './usePractice'
import { YourEye } from './YourEye'

/** What to practise next, one’s own eye, and every exercise. */
export function Practice() {
  const { progress, eye, seeing } = usePractice()
  const nowMs = clock.now()
  const next = nextUp(progress, nowMs, seeing)
  const path = pathOf(progress)
  const of = (name: ExerciseName) => progress.find((one) => one.name === name)
  const rest = EXERCISES.filter((name) => path.next === null || !FIRST_PATH.some((one) => one === name))
  return (
    <>
      <Head title="Practice" />
      <section className={css.next} aria-labelledby="next-up">
        <div>
          <h2 id="next-up">{ABOUT[next.name].title}</h2>
          <p>{ABOUT[next.name].why}</p>
          <p className="quiet">
            {next.why}; {ABOUT[next.name].minutes[0]} to {ABOUT[next.name].minutes[1]} minutes
          </p>
        </div>
        <Link className="btn btn-primary" to={ABOUT[next.name].slug}>
          Begin
        </Link>
      </section>
      <div className={css.both}>
        <div>
          {path.next !== null && (
            <section aria-labelledby="first-path">
              <h2 id="first-path">Before the first real prep</h2>
              <p className="quiet">
                Five exercises at the lens, about twenty minutes; {path.done} of {FIRST_PATH.length} done.
              </p>
              <List names={FIRST_PATH} of={of} nowMs={nowMs} />
            </section>
          )}
          {path.next === null && progress.some(({ tries }) => tries > 0) && (
            <p>
              The first five are done: <Link to="../preps">open a prep</Link> when you are at the bench.
            </p>
          )}
          <section aria-labelledby="all-exercises" className="mt-4">
            <h2 id="all-exercises">{path.next === null ? 'Every exercise' : 'And then'}</h2>
            <List names={rest} of={of} nowMs={nowMs} />
          </section>
        </div>
        <div>
          <YourEye eye={eye} />
          <Code />
          <GivenPractical />
          <p className="mt-3">
            <Link to="for-instructors">For instructors: make an exercise or a practical</Link>
          </p>
        </div>
      </div>
    </>
  )
}

function List({
  names,
  of,
  nowMs,
}: {
  names: readonly ExerciseName[]
  of: (name: ExerciseName) => Progress | undefined
  nowMs: number
}) {
  return (
    <ol className={css.list}>
      {names.map((name) => {
        const stands = of(name)
        return (
          <li key={name}>
            <Link className={css.name} to={ABOUT[name].slug}>
              {ABOUT[name].title}
            </Link>
            <span className={css.state}>{stands ? <Stands {...stands} nowMs={nowMs} /> : null}</span>
            <span className={css.why}>{ABOUT[name].why}</span>
          </li>
        )
      })}
    </ol>
  )
}

/** How an exercise stands, in few words. */
function Stands({
  tries,
  level,
  inARow,
  waitsForAnotherDay,
  mastered,
  dueMs,
  nowMs,
}: Progress & { nowMs: number }) {
  if (tries === 0) return <span className="quiet">not tried</span>
  const isDue = dueMs !== null && dueMs <= nowMs
  return (
    <>
      <span>
        {mastered === 3
          ? 'mastered'
          : waitsForAnotherDay
            ? `level ${level}, one more on another day`
            : `level ${level}, ${inARow} of ${GOOD_IN_A_ROW}`}
      </span>
      <br />
      <span className={classNames('quiet', isDue && 'fw-bold')}>
        {isDue ? 'due' : dueMs === null ? '' : `again ${day(dueMs)}`}
      </span>
    </>
  )
}

/** The way to what an instructor made. */
function Code() {
  const navigate = useNavigate()
  const [code, setCode] = useState('')
  return (
    <Form
      className="mt-4"
      onSubmit={(event) => {
        event.preventDefault()
        if (code.trim() !== '') void navigate(`made/${encodeURIComponent(code.trim())}`)
      }}
    >
      <Form.Label htmlFor="exercise-code">A code you were given</Form.Label>
      <div className="row-of">
        <Form.Control
          id="exercise-code"
          style={{ width: 270 }}
          autoComplete="off"
          spellCheck={false}
          placeholder="XXXXX-XXXXX-XXXXX-XXXXX"
          value={code}
          onChange={(event) => {
            setCode(event.target.value)
          }}
        />
        <Button type="submit" variant="outline-primary">
          Open it
        </Button>
      </div>
    </Form>
  )
}
