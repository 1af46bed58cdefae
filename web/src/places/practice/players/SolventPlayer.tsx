import css from '../Practice.module.css'
import { lazy, Suspense, useMemo } from 'react'
import Button from 'react-bootstrap/Button'
import { scoreSolvent, solventExercise, type SolventExercise } from '@ivory-crystal/core/practice'
import { fixed } from '../../../format/format'
import { useKey } from '../../../parts/useKey'
import type { PlayerProps } from '../exerciseSetup'

const LetterCurves = lazy(async () => ({
  default: (await import('../../../drawings/LetterCurves')).LetterCurves,
}))

/** Curves without names: which would you take? */
export function SolventPlayer({ put, onDone }: PlayerProps) {
  const exercise = useMemo(() => solventExercise(put.seed, put.level), [put.seed, put.level])
  const choose = (letter: string) => {
    onDone({ score: scoreSolvent(exercise, letter), more: <Ranking exercise={exercise} /> })
  }
  const { meltsC, crudeG, solvents } = exercise
  const byKey = (letter: string) => () => {
    if (solvents.some((one) => one.letter === letter)) choose(letter)
  }
  useKey('a', byKey('A'))
  useKey('b', byKey('B'))
  useKey('c', byKey('C'))
  useKey('d', byKey('D'))
  useKey('e', byKey('E'))
  return (
    <div className={css.both}>
      <section aria-label="Curves">
        <Suspense fallback={<div style={{ height: 380 }} />}>
          <LetterCurves solvents={solvents} />
        </Suspense>
      </section>
      <section aria-label="Which one?">
        <p>
          {fixed(crudeG, 1)} g of a made-up crude that melts at {meltsC} °C, 95 % of it product. Which solvent
          would you take? <span className="simulated">simulated</span>
        </p>
        <table className="lines">
          <thead>
            <tr>
              <th scope="col">solvent</th>
              <th scope="col" className="num">
                boils, °C
              </th>
              <th scope="col" className="num">
                freezes, °C
              </th>
              <th scope="col">
                <span className="visually-hidden">choose</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {solvents.map(({ letter, solvent }) => (
              <tr key={letter}>
                <td className="fw-bold">{letter}</td>
                <td className="num">{solvent.boilingPointC}</td>
                <td className="num">{fixed(solvent.freezingPointC ?? 0, 0)}</td>
                <td>
                  <Button
                    variant="outline-primary"
                    size="sm"
                    onClick={() => {
                      choose(letter)
                    }}
                  >
                    Take {letter}{' '}
                    <kbd className="key ms-1" aria-hidden>
                      {letter}
                    </kbd>
                  </Button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
    </div>
  )
}

/** How the planner’s ranking has them, and why. */
function Ranking({ exercise }: { exercise: SolventExercise }) {
  return (
    <section aria-labelledby="ranking" className="mt-3">
      <h2 id="ranking">The ranking</h2>
      <ol>
        {exercise.ranked.map(({ letter, score, parts }) => (
          <li key={letter}>
            <strong>{letter}</strong>, {score === null ? 'not scored' : score.toFixed(2)}.{' '}
            <span className="quiet">{parts.map(({ sentence }) => sentence).join(' ')}</span>
          </li>
        ))}
      </ol>
    </section>
  )
}
