import css from '../Practice.module.css'
import { useEffect, useMemo, useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { passBalance } from '@ivory-crystal/core/simulator'
import {
  onThePanG,
  PAN_ITEMS,
  type PanItem,
  scoreWeighing,
  startBalance,
  weighExercise,
} from '@ivory-crystal/core/practice'
import { useKey } from '../../../parts/useKey'
import { PanDrawing } from '../../../drawings/PanDrawing'
import type { PlayerProps } from '../exerciseSetup'

const TICK_MS = 250

/** Crystals in a boat, a balance that drifts and settles, and a mass to be written down. */
export function BalancePlayer({ put, onDone }: PlayerProps) {
  const exercise = useMemo(() => weighExercise(put.seed, put.level), [put.seed, put.level])
  const [balance, setBalance] = useState(() => passBalance(startBalance(exercise), [], 2))
  const [on, setOn] = useState<PanItem>('nothing')
  const [notes, setNotes] = useState<
    readonly { readonly on: PanItem; readonly text: string; readonly moved: boolean }[]
  >([])
  const [typed, setTyped] = useState('')
  useEffect(() => {
    // The balance goes on by itself.
    const timer = setInterval(() => {
      setBalance(({ state }) => passBalance(state, [], TICK_MS / 1000))
    }, TICK_MS)
    return () => {
      clearInterval(timer)
    }
  }, [])
  const { display, stable } = balance.reading
  const put_ = (item: PanItem) => {
    setOn(item)
    setBalance(({ state }) =>
      passBalance(state, [{ kind: 'load', g: onThePanG(exercise, item) }], TICK_MS / 1000),
    )
  }
  const tare = () => {
    setBalance(({ state }) => passBalance(state, [{ kind: 'tare' }], TICK_MS / 1000))
  }
  const note = () => {
    setNotes((before) => [...before, { on, text: display.text, moved: !stable }])
  }
  useKey('t', tare)
  useKey('b', note)
  return (
    <div className={css.both}>
      <section aria-label="Simulated balance">
        <span className="quiet">
          balance <span className="simulated ms-1">simulated</span>
        </span>
        <div className={css.display}>
          <span data-testid="practice-balance">{display.text}</span> <small className="quiet">g</small>
        </div>
        <PanDrawing on={on} />
        <p className="quiet">
          on the pan: {on}; {stable ? 'at rest' : 'moving'}
        </p>
        <div className="row-of">
          {PAN_ITEMS.map((item) => (
            <Button
              key={item}
              variant="outline-primary"
              aria-pressed={item === on}
              active={item === on}
              onClick={() => {
                put_(item)
              }}
            >
              {item === 'nothing' ? 'clear the pan' : item}
            </Button>
          ))}
        </div>
        <div className="row-of mt-3">
          <Button variant="outline-primary" onClick={tare}>
            Tare <kbd className="key ms-1">T</kbd>
          </Button>
          <Button variant="outline-primary" onClick={note}>
            Note the reading <kbd className="key ms-1">B</kbd>
          </Button>
        </div>
      </section>
      <section aria-label="What to do">
        <p>
          How many grams of crystals are in <strong>boat 2</strong>? Weigh <strong>{exercise.how}</strong>.
          {exercise.card && (
            <>
              {' '}
              A card beside the balance: “boat {exercise.card.boat}, empty, {exercise.card.text} g”.
            </>
          )}
        </p>
        <h2>Noted</h2>
        {notes.length === 0 ? (
          <p className="quiet">Nothing yet.</p>
        ) : (
          <ul className="plain-list">
            {notes.map(({ on: was, text }, i) => (
              <li key={i}>
                <strong>{text} g</strong>{' '}
                <span className="quiet">{was === 'nothing' ? 'nothing on the pan' : was}</span>
              </li>
            ))}
          </ul>
        )}
        <Form
          className="mt-3"
          onSubmit={(event) => {
            event.preventDefault()
            if (typed.trim() === '') return
            onDone({ score: scoreWeighing(exercise, typed, notes.at(-1)?.moved ?? false) })
          }}
        >
          <Form.Label htmlFor="crystals">Crystals, in g</Form.Label>
          <div className="row-of">
            <Form.Control
              id="crystals"
              className="narrow"
              inputMode="decimal"
              autoComplete="off"
              value={typed}
              onChange={(event) => {
                setTyped(event.target.value)
              }}
            />
            <Button type="submit">Write it down</Button>
          </div>
        </Form>
      </section>
    </div>
  )
}
