import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import type { Instrument } from '@ivory-crystal/core/instruments'
import { type Turn, turnsOf } from '@ivory-crystal/core/notebook'
import { clock as clockText } from '../format/format'
import { FieldError } from './InlineField'
import { useLines } from './useTyped'
import { ok, refuse } from '@ivory-crystal/core/problems'
import { useNotebook, write } from '../ledger/notebook'

/** Who has the slots of a shared instrument, who is next, and how a turn ends. */
export function Turns({ instrument }: { instrument: Instrument }) {
  const view = useNotebook((state) => state.view)
  const turns = turnsOf(view, instrument.id, instrument.character.slots)
  const form = useLines({
    start: { who: '', slots: '1' },
    make: ({ who, slots }) =>
      who.trim() === ''
        ? refuse('Enter who it is: a bench code is enough.', 'who')
        : ok([
            {
              kind: 'turn taken',
              subject: instrument.id,
              body: { who: who.trim(), slots: Number(slots) },
            },
          ]),
  })
  return (
    <section aria-label={`Turns on the ${instrument.name}`}>
      <h3>In use by</h3>
      {turns.length === 0 && <p className="quiet mb-1">Nobody. The instrument is free.</p>}
      <ul className="plain-list">
        {turns.map((turn) => (
          <TurnRow key={turn.entry.id} turn={turn} instrument={instrument} others={turns.length - 1} />
        ))}
      </ul>
      <form className="row-of align-items-center mt-1" aria-label="Join the queue" onSubmit={form.onSubmit}>
        <Form.Control
          size="sm"
          style={{ width: 130 }}
          aria-label="who"
          placeholder="bench code"
          maxLength={80}
          value={form.typed.who}
          onChange={(event) => {
            form.set({ who: event.target.value })
          }}
        />
        <Form.Select
          size="sm"
          style={{ width: 100 }}
          aria-label="slots"
          value={form.typed.slots}
          onChange={(event) => {
            form.set({ slots: event.target.value })
          }}
        >
          {Array.from({ length: instrument.character.slots }, (_, i) => (
            <option key={i} value={i + 1}>
              {i === 0 ? '1 slot' : `${i + 1} slots`}
            </option>
          ))}
        </Form.Select>
        <Button type="submit" size="sm" variant="outline-primary">
          Join the queue
        </Button>
      </form>
      <FieldError sentence={form.message} className="look mb-0" />
    </section>
  )
}

/** A turn ends with the glass cleared; the instrument goes off only when nobody waits. */
function TurnRow({ turn, instrument, others }: { turn: Turn; instrument: Instrument; others: number }) {
  const [asked, setAsked] = useState(false)
  const end = (switchedOff: boolean) => {
    write({
      kind: 'turn ended',
      subject: instrument.id,
      body: { turn: turn.entry.id, glassCleared: true, switchedOff },
    })
  }
  return (
    <li>
      <b>{turn.who}</b>, {turn.slots === 1 ? '1 slot' : `${turn.slots} slots`}, {turn.state}{' '}
      <span className="quiet">since {clockText(turn.entry.at)}</span>{' '}
      {!asked ? (
        <Button
          size="sm"
          variant="link"
          onClick={() => {
            setAsked(true)
          }}
        >
          hand over
        </Button>
      ) : (
        <span className="row-of align-items-center">
          <span>The tubes are in the glass waste and the block is empty.</span>
          <Button
            size="sm"
            variant="outline-primary"
            onClick={() => {
              end(others === 0)
            }}
          >
            {others === 0 ? 'Yes, and switched off' : 'Yes, left on for the next'}
          </Button>
          <Button
            size="sm"
            variant="link"
            onClick={() => {
              setAsked(false)
            }}
          >
            not yet
          </Button>
        </span>
      )}
    </li>
  )
}
