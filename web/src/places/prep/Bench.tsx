import Button from 'react-bootstrap/Button'
import { Link } from 'react-router'
import {
  cautionsFor,
  LOCAL_RULES,
  pastThePlanML,
  solventSoFarML,
  timersOf,
  type Step,
} from '@ivory-crystal/core'
import { clock, fixed } from '../../format/format'
import { ObservationLine } from '../../parts/ObservationLine'
import { SolventColumn } from '../../signature/SolventColumn'
import { strike, useNotebook, write } from '../../state/notebook'
import { useNow } from '../../state/now'
import type { StationProps } from './Prep'
import { Portions } from './Portions'
import { TimerPanel } from './TimerPanel'
import { useHere } from './useHere'

/** Dissolve, Crystallize and Collect: the steps of the procedure, stamped as they are ticked. */
export function Bench({ prep }: StationProps) {
  const { station, base } = useHere()
  const plan = prep.plan?.body
  if (!plan)
    return (
      <p>
        The steps come with their amounts once the plan is fixed. <Link to={`${base}/plan`}>Go to Plan</Link>
      </p>
    )
  const steps = prep.steps.filter((step) => step.station === station)
  const next = steps.find((step) => !prep.ticked.has(step.id))
  const { hotML } = solventSoFarML(prep)
  const past = pastThePlanML(plan.result, hotML)
  return (
    <div className="columns work">
      <div>
        <SolventColumn
          addedML={hotML}
          dissolveML={plan.result.minimumHotML}
          toML={plan.result.hotML}
          staysDissolvedML={plan.result.impurityStaysDissolvedML}
          impurity={plan.impurity?.name ?? null}
        />
      </div>
      <div>
        <ol className="steps">
          {steps.map((step) => (
            <StepLine key={step.id} step={step} prep={prep} isNext={step === next} />
          ))}
        </ol>
        {!next && <NextStation station={station} base={base} />}
        <ObservationLine prep={prep} station={station} />
      </div>
      <aside className="stack">
        <TimerPanel prep={prep} />
        {station === 'dissolve' && (
          <div>
            <h3>So far</h3>
            <p className="mb-0">
              {fixed(hotML, 1)} mL hot, of {fixed(plan.result.hotML, 1)} planned
              <span className="quiet d-block">
                {prep.portions
                  .filter((portion) => portion.body.use !== 'rinse')
                  .map((portion) => portion.body.volume.text)
                  .join(' + ') || 'nothing added yet'}
              </span>
              {past !== null && (
                <span className="d-block look">
                  Past the plan by {fixed(past, 1)} mL. Each mL more keeps product in the liquor: what has not
                  dissolved by now is grit, or the plan’s fraction was off.
                </span>
              )}
            </p>
          </div>
        )}
        <div>
          <h3>Take care</h3>
          {cautionsFor(plan.compound, plan.solvent).map((caution) => (
            <p key={caution} className="quiet mb-1">
              {caution}
            </p>
          ))}
          <p className="quiet mb-0">{LOCAL_RULES}</p>
        </div>
      </aside>
    </div>
  )
}

const AFTER = { dissolve: 'crystallize', crystallize: 'collect', collect: 'weigh' } as const

function NextStation({ station, base }: { station: string; base: string }) {
  const after = AFTER[station as keyof typeof AFTER]
  return (
    <Link className="btn btn-primary mt-2" to={`${base}/${after}`}>
      Go on to {after}
    </Link>
  )
}

function StepLine({ step, prep, isNext }: { step: Step; prep: StationProps['prep']; isNext: boolean }) {
  const tick = prep.ticked.get(step.id)
  const view = useNotebook((state) => state.view)
  const now = useNow(5000)
  const running = timersOf(view, prep.id, now).some(
    (timer) => timer.timer === step.timer?.timer && timer.leftMs > 0,
  )
  return (
    <li className={isNext ? 'next' : undefined}>
      <button
        type="button"
        className={tick ? 'tick done' : 'tick'}
        aria-pressed={tick !== undefined}
        aria-label={tick ? `Done at ${clock(tick.at)}: ${step.text}` : `Tick: ${step.text}`}
        disabled={tick !== undefined}
        onClick={() => {
          write({ kind: 'step ticked', subject: prep.id, body: { step: step.id } })
        }}
      >
        {tick ? '✓' : ''}
      </button>
      <div className={tick ? 'done-text' : undefined}>
        {step.text}
        {step.caution && !tick && <p className="caution">{step.caution}</p>}
      </div>
      <div className="stamp">
        {tick && (
          <>
            {clock(tick.at)}
            <br />
            <Button
              variant="link"
              size="sm"
              onClick={() => {
                strike(tick, 'ticked by mistake')
              }}
            >
              strike
            </Button>
          </>
        )}
      </div>
      {step.portions && (!tick || isNext) && (
        <div className="under">
          <Portions prep={prep} use={step.portions} />
        </div>
      )}
      {step.timer && !tick && !running && (
        <div className="under">
          <Button
            variant="outline-primary"
            size="sm"
            onClick={() => {
              if (step.timer) write({ kind: 'timer started', subject: prep.id, body: step.timer })
            }}
          >
            Start {step.timer.minutes} min
          </Button>
        </div>
      )}
    </li>
  )
}
