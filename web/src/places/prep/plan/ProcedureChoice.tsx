import css from './ProcedureChoice.module.css'
import Form from 'react-bootstrap/Form'
import { Link, useParams } from 'react-router'
import type { Draft, Planned } from '@ivory-crystal/core/planning'
import { glassOf, type Insert, INSERTS, type Step } from '@ivory-crystal/core/procedures'
import { capital } from '../../../format/format'

/** How the crystals will be collected, and what is done on the way. */
export function ProcedureChoice({
  planned,
  draft,
  steps,
  waste,
  ruleTrouble,
  dryRemark,
  onProcedure,
  onInserts,
  onRules,
}: {
  planned: Planned
  draft: Draft
  steps: readonly Step[]
  waste: readonly string[]
  ruleTrouble: string | null
  /** Where what was chosen for drying is not enough for this solvent. */
  dryRemark: string | null
  onRules: (change: Partial<Draft>) => void
  onProcedure: (id: string) => void
  onInserts: (inserts: readonly Insert[]) => void
}) {
  const { notebook } = useParams()
  const { choices, procedure, input, plan, pair } = planned
  const glass = glassOf(procedure.collect, { input, result: plan, pair, inserts: draft.inserts })
  return (
    <>
      <fieldset>
        <legend className="form-label">procedure, the one for this scale first</legend>
        {choices.map(({ procedure: one, fit, because }) => (
          <div key={one.id} className={css.choice}>
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
      <Rules draft={draft} trouble={ruleTrouble} remark={dryRemark} onRules={onRules} />
      <p className="mt-3 mb-1">
        <b>{glass.vessel ? capital(glass.vessel) : 'No common vessel'}</b>, {glass.collector}.{' '}
        <Link to={`/n/${notebook ?? ''}/shelf?show=procedures&copy=${procedure.id}`}>
          Edit as house procedure
        </Link>
      </p>
      <StepList steps={steps} />
      <h3 className="mt-3">The waste it leaves</h3>
      {waste.map((line) => (
        <p key={line} className="quiet mt-1 mb-0">
          {line}
        </p>
      ))}
    </>
  )
}

/** The two house rules that change this procedure: how dry, and where boiling stones go. */
function Rules({
  draft,
  trouble,
  remark,
  onRules,
}: {
  draft: Draft
  trouble: string | null
  remark: string | null
  onRules: (change: Partial<Draft>) => void
}) {
  return (
    <fieldset className="mt-3">
      <legend className="form-label">house rules, for this prep</legend>
      <div className="row-of align-items-center">
        <Form.Select
          aria-label="how dry"
          className="w-auto"
          value={draft.dryRule}
          onChange={(event) => {
            onRules({ dryRule: event.target.value as Draft['dryRule'] })
          }}
        >
          <option value="minutes of air">dried for a time in air</option>
          <option value="constant mass">dried to constant mass</option>
        </Form.Select>
        <Form.Control
          aria-label="drying time, min"
          inputMode="decimal"
          style={{ width: 74 }}
          value={draft.dryMin}
          onChange={(event) => {
            onRules({ dryMin: event.target.value })
          }}
        />
        <span className="quiet">
          min{draft.dryRule === 'constant mass' ? ' between weighings, within' : ''}
        </span>
        {draft.dryRule === 'constant mass' && (
          <>
            <Form.Control
              aria-label="constant mass within, g"
              inputMode="decimal"
              style={{ width: 88 }}
              value={draft.toleranceG}
              onChange={(event) => {
                onRules({ toleranceG: event.target.value })
              }}
            />
            <span className="quiet">g</span>
          </>
        )}
        <Form.Check
          type="checkbox"
          id="stones-in-both"
          label="boiling stone in sample"
          checked={draft.stones === 'in both flasks'}
          onChange={(event) => {
            onRules({ stones: event.target.checked ? 'in both flasks' : 'in the solvent only' })
          }}
        />
      </div>
      {remark && !trouble && <p className="form-text mb-0">{remark}</p>}
      {trouble && (
        <div className="invalid-feedback" role="alert">
          {trouble}
        </div>
      )}
    </fieldset>
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
