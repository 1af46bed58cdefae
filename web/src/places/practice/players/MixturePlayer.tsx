import css from '../Practice.module.css'
import { useEffect, useMemo, useState } from 'react'
import Button from 'react-bootstrap/Button'
import type { MixtureRun } from '@ivory-crystal/core/identity'
import {
  forUnknowns,
  mixtureExercise,
  type MixtureExercise,
  mixtureRun,
  scoreMixture,
} from '@ivory-crystal/core/practice'
import type { LadderRow } from '../../../drawings/LadderRung'
import { RangeLadder } from '../../../drawings/RangeLadder'
import { fixed } from '../../../format/format'
import { practising } from '../../../workers/practising'
import type { PlayerProps } from '../exerciseSetup'

/** An unknown among six: mix, look, and name it. */
export function MixturePlayer({ put, onDone }: PlayerProps) {
  const { shelf, seed, level } = put
  const exercise = useMemo(() => mixtureExercise(forUnknowns(shelf), seed, level), [shelf, seed, level])
  if (!exercise)
    return (
      <p className="look">
        This shelf does not have six compounds that melt near each other. Import the compounds that came with
        the app.
      </p>
    )
  return <Six exercise={exercise} onDone={onDone} />
}

function Six({ exercise, onDone }: { exercise: MixtureExercise; onDone: PlayerProps['onDone'] }) {
  const { candidates, unknown } = exercise
  const [runs, setRuns] = useState<readonly MixtureRun[]>([])
  const [planner, setPlanner] = useState<readonly MixtureRun[] | null>(null)
  const [trouble, setTrouble] = useState<string | null>(null)
  useEffect(() => {
    // Worked out beside the screen while the learner thinks.
    let wanted = true
    practising()
      .then((remote) => remote.plannersRuns(exercise))
      .then(
        (found) => {
          if (wanted) setPlanner(found)
        },
        (error: unknown) => {
          if (wanted) setTrouble((error as Error).message)
        },
      )
    return () => {
      wanted = false
    }
  }, [exercise])
  const row = (
    key: string,
    label: string,
    range: { onsetC: number; clearC: number },
    tone: LadderRow['tone'],
  ): LadderRow => ({
    key,
    label,
    note: '',
    onset: { text: range.onsetC.toFixed(1), value: range.onsetC },
    clear: { text: range.clearC.toFixed(1), value: range.clearC },
    signs: [],
    tone,
  })
  const nameOf = (id: string) => candidates.find((one) => one.id === id)?.name ?? id
  return (
    <div className={css.both}>
      <section aria-label="Ranges">
        <RangeLadder
          rows={[
            row('unknown', 'the unknown', unknown, 'product'),
            ...runs.map((run) => row(run.reference.id, `with ${nameOf(run.reference.id)}`, run, 'other')),
          ]}
          literature={null}
          note=""
        />
        <p className="quiet">
          <span className="simulated">simulated</span> The thermometer of these runs was not checked and could
          be wrong by 2 to 3 °C. Mixtures are equal masses, ground together.
        </p>
      </section>
      <section aria-label="The six">
        <p>Choose the most informative mixture, and name the compound when you know it.</p>
        <table className="lines stacks">
          <thead>
            <tr>
              <th scope="col">compound</th>
              <th scope="col" className="num">
                melts, °C
              </th>
              <th scope="col">mix</th>
              <th scope="col">name</th>
            </tr>
          </thead>
          <tbody>
            {candidates.map(({ id, name, meltLowC, meltHighC }) => (
              <tr key={id}>
                <td>{name}</td>
                <td className="num">
                  {fixed(meltLowC, 0)} to {fixed(meltHighC, 0)}
                </td>
                <td>
                  <Button
                    size="sm"
                    variant="outline-primary"
                    aria-label={`Mix with ${name}`}
                    disabled={runs.some(({ reference }) => reference.id === id)}
                    onClick={() => {
                      setRuns((before) => [...before, mixtureRun(exercise, id)])
                    }}
                  >
                    mix
                  </Button>
                </td>
                <td>
                  <Button
                    size="sm"
                    variant="link"
                    aria-label={`It is ${name}`}
                    disabled={planner === null}
                    onClick={() => {
                      if (planner) onDone({ score: scoreMixture(exercise, runs, id, planner) })
                    }}
                  >
                    it is this
                  </Button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        {trouble && (
          <p className="look" role="alert">
            {trouble}
          </p>
        )}
      </section>
    </div>
  )
}
