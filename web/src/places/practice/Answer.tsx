import css from './Practice.module.css'
import type { ReactNode } from 'react'
import Button from 'react-bootstrap/Button'
import { Link } from 'react-router'
import {
  ABOUT,
  type ExerciseName,
  GOOD_IN_A_ROW,
  nextUp,
  ruleOf,
  type Score,
} from '@ivory-crystal/core/practice'
import { clock } from '../../clock/clock'
import { Compared } from './Compared'
import { usePractice } from './usePractice'
import { YourEye } from './YourEye'

/** What it came to, the one thing that helps most, and what next. */
export function Answer({
  name,
  score,
  more,
  isLens,
  isMade = false,
  onAgain,
  onSame,
}: {
  name: ExerciseName
  score: Score
  more: ReactNode
  isLens: boolean
  /** Made to measure by somebody: it is one tube, and counts for no level. */
  isMade?: boolean
  onAgain: () => void
  onSame: () => void
}) {
  const { progress, eye, seeing } = usePractice()
  const stands = progress.find((one) => one.name === name)
  const next = nextUp(progress, clock.now(), seeing)
  return (
    <div className={css.both}>
      <section aria-labelledby="answer">
        <h2 id="answer">{score.isGood ? 'Good' : 'Not yet'}</h2>
        <p className={css.answer} role="status">
          {score.sentence}
        </p>
        <Compared score={score} />
        {more}
        <div className="row-of align-items-center mt-3">
          {!isMade && (
            <Button onClick={onAgain} autoFocus>
              Again, with another
            </Button>
          )}
          <Button variant={isMade ? 'primary' : 'outline-primary'} onClick={onSame}>
            The same again
          </Button>
          {!isMade && next.name !== name && (
            <Link to={`../${ABOUT[next.name].slug}`} relative="path">
              {ABOUT[next.name].title}: {next.why}
            </Link>
          )}
        </div>
      </section>
      <div>
        {stands && !isMade && (
          <section aria-labelledby="stands">
            <h2 id="stands">Level {stands.level} of 3</h2>
            <p className="mb-1">
              {stands.mastered === 3
                ? 'Mastered at every level.'
                : stands.waitsForAnotherDay
                  ? `${stands.inARow} good in a row, all on one day. One more on another day, and it gets harder.`
                  : `${stands.inARow} of ${GOOD_IN_A_ROW} good in a row at this level${stands.mastered > 0 ? `; mastered at level ${stands.mastered}` : ''}.`}
            </p>
            <p className="quiet">{ruleOf(name)}</p>
          </section>
        )}
        {isLens && <YourEye eye={eye} />}
      </div>
    </div>
  )
}
