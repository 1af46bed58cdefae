import Button from 'react-bootstrap/Button'
import { type MeltFacts, TUBE_NOTES } from '@ivory-crystal/core/notebook'
import { useState } from 'react'
import { write } from '../../ledger/notebook'
import { runSeconds } from './useRun'

/** What else was seen of a tube: turned, slush, decomposing, solid that does not melt. As many as are seen. */
export function TubeNotes({ melt }: { melt: MeltFacts }) {
  const { tubes } = melt.planned.body
  const [slot, setSlot] = useState(tubes[0]?.slot ?? 1)
  const run = melt.run
  if (!run) return null
  return (
    <div className="row-of align-items-center mt-2" role="group" aria-label="Note about a tube">
      <span className="quiet">Note, tube</span>
      {tubes.length > 1 ? (
        <span className="seen across">
          {tubes.map((tube) => (
            <button
              key={tube.slot}
              type="button"
              aria-pressed={tube.slot === slot}
              aria-label={`tube ${tube.slot}`}
              onClick={() => {
                setSlot(tube.slot)
              }}
            >
              {tube.slot}
            </button>
          ))}
        </span>
      ) : (
        <span>{slot}</span>
      )}
      {TUBE_NOTES.map((note) => (
        <Button
          key={note}
          size="sm"
          variant="link"
          onClick={() => {
            write({
              kind: 'tube noted',
              subject: melt.id,
              body: { run: run.id, slot, note, atS: Math.round(runSeconds(melt)) },
            })
          }}
        >
          {note}
        </Button>
      ))}
      {melt.notes.length > 0 && (
        <span className="quiet">
          {melt.notes.map(({ id, body }) => (
            <span key={id}>
              tube {body.slot} {body.note};{' '}
            </span>
          ))}
        </span>
      )}
    </div>
  )
}
