import Form from 'react-bootstrap/Form'
import { Link, useParams } from 'react-router'
import { glasswareFor, INSERTS, type Insert, type Step } from '@ivory-crystal/core'
import { capital } from '../../../format/format'
import type { Draft, Planned } from './draft'

/** How the crystals will be collected, and what is done on the way. */
export function ProcedureChoice({
  planned,
  draft,
  steps,
  onProcedure,
  onInserts,
}: {
  planned: Planned
  draft: Draft
  steps: readonly Step[]
  onProcedure: (id: string) => void
  onInserts: (inserts: readonly Insert[]) => void
}) {
  const { notebook } = useParams()
  const { choices, procedure, input, plan } = planned
  const glass = glasswareFor(procedure.collect, input.crudeG, plan)
  return (
    <>
      <fieldset>
        <legend className="form-label">procedure, the one for this scale first</legend>
        {choices.map(({ procedure: one, fit, because }) => (
          <div key={one.id} className={fit === 'not for this' ? 'choice off' : 'choice'}>
            <Form.Check
              type="radio"
              name="procedure"
              id={`procedure-${one.id}`}
              label={one.copiedFrom ? `${one.name} (house procedure)` : one.name}
              disabled={fit === 'not for this'}
              checked={one.id === procedure.id}
              onChange={() => {
                onProcedure(one.id)
              }}
            />
            <span className="quiet">{because}</span>
          </div>
        ))}
      </fieldset>
      <fieldset className="row-of align-items-center mt-3">
        <legend className="form-label float-none w-auto mb-0">on the way</legend>
        {INSERTS.map((insert) => (
          <Form.Check
            key={insert}
            type="checkbox"
            id={`insert-${insert}`}
            label={
              insert === 'charcoal' ? 'charcoal, for colour that does not belong' : 'hot filtration, for grit'
            }
            disabled={
              procedure.collect === 'Craig tube' ||
              procedure.collect === 'centrifuge tube' ||
              procedure.collect === 'watch glass'
            }
            checked={draft.inserts.includes(insert)}
            onChange={(event) => {
              onInserts(
                event.target.checked
                  ? [...draft.inserts, insert]
                  : draft.inserts.filter((one) => one !== insert),
              )
            }}
          />
        ))}
      </fieldset>
      <p className="mt-3 mb-1">
        <b>{glass.vessel ? capital(glass.vessel) : 'No common vessel'}</b>, {glass.collector}.{' '}
        <Link to={`/n/${notebook ?? ''}/shelf?show=procedures&copy=${procedure.id}`}>
          Copy it and edit it as a house procedure
        </Link>
      </p>
      <StepList steps={steps} />
    </>
  )
}

/** The steps as they will read, with the amounts of this batch. */
export function StepList({ steps }: { steps: readonly Step[] }) {
  return (
    <ol className="step-list">
      {steps.map((step) => (
        <li key={step.id}>
          {step.text}
          {step.timer && <span className="quiet"> ({step.timer.minutes} min)</span>}
          {step.caution && <span className="quiet d-block">{step.caution}</span>}
          {step.meanwhile && <span className="quiet d-block">Meanwhile: {step.meanwhile}</span>}
          {step.stop && <span className="quiet d-block">Safe place to stop. {step.stop}</span>}
        </li>
      ))}
    </ol>
  )
}
