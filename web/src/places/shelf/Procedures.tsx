import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { useSearchParams } from 'react-router'
import { type Procedure, PROCEDURES } from '@ivory-crystal/core/procedures'
import type { Shelf } from '@ivory-crystal/core/wire'
import { Confirm } from '../../parts/Confirm'
import { ProcedureForm } from './ProcedureForm'
import { putOnShelf } from '../../parts/useShelving'

/** The procedures the app ships with and the lab's own; a shipped one is copied, and the copy edited. */
export function Procedures({ shelf }: { shelf: Shelf }) {
  const [params, setParams] = useSearchParams()
  const all = [...shelf.procedures, ...PROCEDURES]
  const source = all.find(({ id }) => id === params.get('copy'))
  const [chosenId, setChosenId] = useState(all[0]?.id ?? '')
  const [editing, setEditing] = useState<Procedure | null>(source ? copyOf(source, all) : null)
  const chosen = all.find(({ id }) => id === chosenId) ?? all[0]
  const done = (id: string | null) => {
    setEditing(null)
    setParams({ show: 'procedures' }, { replace: true })
    if (id) setChosenId(id)
  }
  return (
    <div className="columns procedures">
      <ul className="plain-list">
        {all.map((one) => (
          <li key={one.id}>
            <button
              type="button"
              className="opener"
              aria-pressed={one.id === chosen?.id}
              onClick={() => {
                setChosenId(one.id)
                setEditing(null)
              }}
            >
              {one.name}
            </button>
            <span className="quiet d-block">
              {one.copiedFrom ? 'house procedure, ' : ''}
              {one.suits}
            </span>
          </li>
        ))}
      </ul>
      {editing ? (
        <ProcedureForm key={editing.id} procedure={editing} onDone={done} />
      ) : (
        chosen && (
          <Reading
            procedure={chosen}
            onCopy={() => {
              setEditing(copyOf(chosen, all))
            }}
            onEdit={() => {
              setEditing(chosen)
            }}
          />
        )
      )}
    </div>
  )
}

function copyOf(procedure: Procedure, all: readonly Procedure[]): Procedure {
  const taken = new Set(all.map(({ id }) => id))
  let n = 1
  while (taken.has(`house-${procedure.id}-${n}`)) n += 1
  const copiedFrom = procedure.copiedFrom ?? procedure.id
  return {
    ...procedure,
    id: `house-${procedure.id}-${n}`.slice(0, 64),
    name: `${procedure.name}, our way`,
    copiedFrom,
  }
}

function Reading({
  procedure,
  onCopy,
  onEdit,
}: {
  procedure: Procedure
  onCopy: () => void
  onEdit: () => void
}) {
  const [sentence, setSaid] = useState<string | null>(null)
  return (
    <section aria-label={procedure.name}>
      <h2>{procedure.name}</h2>
      <p className="quiet mt-1">
        For {procedure.suits}. The app fills the braces with the amounts of each batch. A step with a
        condition appears only where it applies.
      </p>
      <div className="row-of mb-2">
        <Button onClick={onCopy}>Copy as house procedure</Button>
        {procedure.copiedFrom && (
          <>
            <Button variant="outline-primary" onClick={onEdit}>
              Edit it
            </Button>
            <Confirm
              offer="Take it off the shelf"
              question="Preps that used it keep their steps. Take it off?"
              onYes={() => void putOnShelf('procedure', { rows: [], off: [procedure.id] }).then(setSaid)}
            />
          </>
        )}
      </div>
      {sentence && <p className="trouble">{sentence}</p>}
      <ol className="step-list">
        {procedure.steps.map((step) => (
          <li key={step.id}>
            <span className="quiet">{step.station}</span> {step.text}
            {step.when && <span className="quiet"> [{step.when.join(', ')}]</span>}
            {step.cautions?.map(({ text, when }) => (
              <span key={text} className="quiet d-block">
                {text}
                {when ? ` [${when}]` : ''}
              </span>
            ))}
            {step.stop && <span className="quiet d-block">Safe place to stop. {step.stop}</span>}
          </li>
        ))}
      </ol>
    </section>
  )
}
