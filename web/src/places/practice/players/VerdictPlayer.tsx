import css from '../Practice.module.css'
import { useMemo, useState } from 'react'
import Button from 'react-bootstrap/Button'
import { type NextStep, OWNER_NAMES, type Verdict } from '@ivory-crystal/core/judging'

import {
  type Cause,
  forTubes,
  scoreVerdict,
  VERDICTS,
  verdictExercise,
  type VerdictExercise,
} from '@ivory-crystal/core/practice'
import { RangeLadder } from '../../../drawings/RangeLadder'
import { Choices } from '../Choices'
import type { PlayerProps } from '../exerciseSetup'

/** A range with what its page says: verdict, cause and next step, and then how the judge reasons. */
export function VerdictPlayer({ put, onDone }: PlayerProps) {
  const { seed, level, shelf, rules } = put
  const exercise = useMemo(
    () => verdictExercise(forTubes(shelf), seed, level, rules),
    [shelf, seed, level, rules],
  )
  const [verdict, setVerdict] = useState<Verdict | null>(null)
  const [cause, setCause] = useState<Cause | null>(null)
  const [next, setNext] = useState<NextStep | null>(null)
  const { reading, literature } = exercise.evidence
  const answer = verdict !== null && cause !== null && next !== null ? { verdict, cause, next } : null
  return (
    <div className={css.both}>
      <section aria-label="The range">
        <p>
          The label says <strong>{exercise.compound}</strong>. <span className="simulated">simulated</span>
        </p>
        <RangeLadder
          rows={[
            {
              key: 'range',
              label: 'this range',
              note: '',
              onset: { text: reading.onsetC.toFixed(1), value: reading.onsetC },
              clear: { text: reading.clearC.toFixed(1), value: reading.clearC },
              signs: [],
              tone: 'product',
            },
          ]}
          literature={literature}
          note=""
        />
        <dl className="figures mt-3">
          {exercise.facts.map(([what, is]) => (
            <div key={what}>
              <dt>{what}</dt>
              <dd>{is}</dd>
            </div>
          ))}
        </dl>
      </section>
      <section aria-label="What does it say?">
        <Choices legend="Verdict" of={VERDICTS} value={verdict} onChange={setVerdict} />
        <Choices legend="Because of" of={exercise.causes} value={cause} onChange={setCause} />
        <Choices legend="What next?" of={exercise.next} value={next} onChange={setNext} />
        <Button
          disabled={answer === null}
          onClick={() => {
            if (answer)
              onDone({ score: scoreVerdict(exercise, answer), more: <Reasoning exercise={exercise} /> })
          }}
        >
          This is my verdict
        </Button>
      </section>
    </div>
  )
}

/** How the judge that is used at the bench goes about the same range. */
function Reasoning({ exercise: { judgement } }: { exercise: VerdictExercise }) {
  return (
    <section aria-labelledby="reasoning" className="mt-3">
      <h2 id="reasoning">How the judge reasons</h2>
      <dl className="figures">
        {judgement.budget.map(({ owner, sentence }) => (
          <div key={owner}>
            <dt>{OWNER_NAMES[owner]}</dt>
            <dd className="why">{sentence}</dd>
          </div>
        ))}
      </dl>
      <ol>
        {judgement.actions.map(({ code, sentence }) => (
          <li key={code}>{sentence}</li>
        ))}
      </ol>
    </section>
  )
}
