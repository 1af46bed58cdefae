import css from '../Practice.module.css'
import { useMemo, useState } from 'react'
import Button from 'react-bootstrap/Button'
import {
  type Accused,
  scoreWrong,
  type SeenLine,
  wrongExercise,
  type WrongExercise,
} from '@ivory-crystal/core/practice'
import { Choices } from '../Choices'
import type { PlayerProps } from '../exerciseSetup'

/** A look over a bench: which of it is wrong, why, and what instead. */
export function WrongPlayer({ put, onDone }: PlayerProps) {
  const exercise = useMemo(() => wrongExercise(put.seed, put.level), [put.seed, put.level])
  const [accused, setAccused] = useState<ReadonlyMap<string, Accused>>(new Map())
  const change = (id: string, to: Accused | null) => {
    setAccused((before) => {
      const after = new Map(before)
      if (to) after.set(id, to)
      else after.delete(id)
      return after
    })
  }
  const isWhole = [...accused.values()].every(({ because, instead }) => because !== null && instead !== null)
  return (
    <>
      <p>
        Look at what happens <strong>{exercise.scene}</strong>. Mark what is wrong. For each mistake, choose
        why it is one and what to do instead.
      </p>
      {exercise.lines.map((line) => (
        <Line
          key={line.id}
          line={line}
          held={accused.get(line.id) ?? null}
          onChange={(to) => {
            change(line.id, to)
          }}
        />
      ))}
      <Button
        className="mt-3"
        disabled={!isWhole}
        onClick={() => {
          onDone({ score: scoreWrong(exercise, accused), more: <Planted exercise={exercise} /> })
        }}
      >
        {accused.size === 0 ? 'Nothing is wrong here' : 'Those are all'}
      </Button>
      {!isWhole && <p className="quiet mt-1">For each one you marked, choose why and what to do instead.</p>}
    </>
  )
}

function Line({
  line,
  held,
  onChange,
}: {
  line: SeenLine
  held: Accused | null
  onChange: (to: Accused | null) => void
}) {
  return (
    <div className={css.line}>
      <button
        type="button"
        aria-pressed={held !== null}
        onClick={() => {
          onChange(held ? null : { because: null, instead: null })
        }}
      >
        <span className={css.box}>{held ? 'wrong' : 'looks right'}</span>
        <span>{line.text}</span>
      </button>
      {held && (
        <div className={css.ask}>
          <Choices
            legend="Because"
            of={line.reasons}
            value={held.because}
            onChange={(because) => {
              onChange({ ...held, because })
            }}
          />
          <Choices
            legend="Instead"
            of={line.remedies}
            value={held.instead}
            onChange={(instead) => {
              onChange({ ...held, instead })
            }}
          />
        </div>
      )}
    </div>
  )
}

/** Every mistake that was there, told. */
function Planted({ exercise }: { exercise: WrongExercise }) {
  return (
    <ul className="plain-list mt-3">
      {exercise.lines.flatMap(({ mistake }) =>
        mistake
          ? [
              <li key={mistake.id}>
                <strong>{mistake.seen}</strong> {mistake.because} {mistake.instead}
              </li>,
            ]
          : [],
      )}
    </ul>
  )
}
