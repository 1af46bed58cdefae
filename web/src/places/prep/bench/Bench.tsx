import { useLines } from '../../../parts/useTyped'
import { ok, refuse } from '@ivory-crystal/core/problems'
import css from '../../../parts/steps.module.css'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { Link } from 'react-router'
import { dissolvingOf, type PlanFixed, type PrepFacts, solventSoFarML } from '@ivory-crystal/core/notebook'
import { cautionsFor, LOCAL_RULES, isHotDoubtful } from '@ivory-crystal/core/procedures'
import { rinseLossUpToG } from '@ivory-crystal/core/solubility'
import { readReading } from '@ivory-crystal/core/weighing'
import { fixed } from '../../../format/format'
import { AskedOnce } from '../../../parts/AskedOnce'
import { FlameNearPrep } from '../../../parts/FlameNear'
import { InlineField, Refusal } from '../../../parts/InlineField'
import { ObservationLine } from '../../../parts/ObservationLine'
import { SolventColumn } from '../../../drawings/SolventColumn'
import { strike, useNotebook } from '../../../ledger/notebook'
import { type Station, stationAfter } from '@ivory-crystal/core/stations'
import type { StationProps } from '../station'
import { useHere } from '../useHere'
import { Cooling } from './Cooling'
import { RescueButton } from '../../../parts/sheets/RescueButton'
import { StepLine } from './StepLine'
import { TimerPanel } from './TimerPanel'

/** Dissolve, Crystallize and Collect: the steps of the procedure, stamped as they are ticked. */
export function Bench({ prep }: StationProps) {
  const { station, base } = useHere()
  const plan = prep.plan?.body
  if (!plan)
    return (
      <p>
        The steps and their amounts follow when the plan is set. <Link to={`${base}/plan`}>Go to Plan</Link>
      </p>
    )
  const steps = prep.steps.filter((step) => step.station === station)
  const next = steps.find((step) => !prep.ticked.has(step.id))
  const { hotML } = solventSoFarML(prep)
  return (
    <div className="columns work">
      <div>
        <SolventColumn
          addedML={hotML}
          dissolveML={plan.pair?.goodML ?? plan.result.minimumHotML}
          toML={plan.result.hotML}
          staysDissolvedML={plan.result.impurityStaysDissolvedML}
          impurity={plan.impurity?.name ?? null}
          second={plan.pair?.solvent.name ?? null}
          isDoubtful={isHotDoubtful(plan)}
        />
      </div>
      <div>
        <AskedOnce prep={prep} />
        {next && station !== 'crystallize' && <FlameNearPrep prep={prep} />}
        <ol className={css.steps}>
          {steps.map((step) => (
            <StepLine key={step.id} step={step} prep={prep} isNext={step === next} />
          ))}
        </ol>
        {!next && <NextStation station={station} base={base} />}
        <ObservationLine prep={prep} station={station} />
      </div>
      <aside className="stack">
        <TimerPanel prep={prep} />
        {station === 'dissolve' && <SoFar prep={prep} plan={plan} />}
        {station === 'crystallize' && <Cooling prep={prep} plan={plan} />}
        {station === 'collect' && <RinseCost prep={prep} plan={plan} />}
        <RescueButton />
        <div>
          <h3>Take care</h3>
          {[...cautionsFor(plan.compound, plan.solvent, plan.pair?.solvent ?? null, plan.input.hotC)].map(
            (caution) => (
              <p key={caution} className="quiet mb-1">
                {caution}
              </p>
            ),
          )}
          <p className="quiet mb-0">{LOCAL_RULES}</p>
        </div>
      </aside>
    </div>
  )
}

function NextStation({ station, base }: { station: Station; base: string }) {
  const after = stationAfter(station)
  if (!after) return null
  return (
    <Link className="btn btn-primary mt-2" to={`${base}/${after}`}>
      Go on to {after}
    </Link>
  )
}

function SoFar({ prep, plan }: { prep: PrepFacts; plan: PlanFixed }) {
  const view = useNotebook((state) => state.view)
  const { hotML, removedML } = solventSoFarML(prep)
  const { remark, state } = dissolvingOf(view, prep)
  const decimals = plan.result.hotML < 1 ? 2 : 1
  return (
    <div>
      <h3>So far</h3>
      <p className="mb-0">
        {fixed(hotML, decimals)} mL hot, of {fixed(plan.result.hotML, decimals)} planned
        {state === 'dissolved' && <b className="d-block">All dissolved.</b>}
        <span className="quiet d-block">
          {prep.portions
            .filter((portion) => portion.body.use !== 'rinse')
            .map((portion) => portion.body.volume.text)
            .join(' + ') || 'nothing added yet'}
          {removedML > 0 ? ` − ${fixed(removedML, decimals)} boiled away` : ''}
        </span>
      </p>
      {remark && (
        <p className="look mb-0" role="alert">
          {remark}
        </p>
      )}
      <BoiledAway prep={prep} mostML={hotML} />
    </div>
  )
}

function BoiledAway({ prep, mostML }: { prep: PrepFacts; mostML: number }) {
  const [open, setOpen] = useState(false)
  const form = useLines({
    start: { ml: '' },
    make({ ml }) {
      const read = readReading(ml, 'Solvent boiled away')
      if (!read.ok) return refuse(read.problem.sentence, 'ml')
      if (read.value.value <= 0) return refuse('The volume boiled away is above zero.', 'ml')
      if (read.value.value >= mostML)
        return refuse(
          `${read.value.text} mL is all there was (${fixed(mostML, 1)} mL). If it is dry, see “Boiled dry” in the rescue cards.`,
          'ml',
        )
      return ok([{ kind: 'solvent removed', subject: prep.id, body: { volume: read.value } }])
    },
    written() {
      setOpen(false)
    },
  })
  const typed = form.typed.ml
  const last = prep.removals[prep.removals.length - 1]
  if (mostML <= 0) return null
  return (
    <>
      {!open && (
        <Button
          variant="link"
          size="sm"
          onClick={() => {
            setOpen(true)
          }}
        >
          Some boiled away
        </Button>
      )}
      {open && (
        <form
          className="row-of align-items-center mt-1"
          aria-label="Solvent boiled away"
          onSubmit={form.onSubmit}
        >
          <InlineField label="boiled away, mL" hint="mL" {...form.of('ml')} />
          <Button type="submit" size="sm" variant="outline-primary" disabled={typed === ''}>
            Take off {typed || '…'} mL
          </Button>
          <span className="quiet">Add a fresh boiling stone before you heat it again.</span>
          <Refusal sentence={form.message} />
        </form>
      )}
      {last && (
        <Button
          variant="link"
          size="sm"
          className="d-block"
          onClick={() => {
            strike(last, 'it was not boiled away')
          }}
        >
          strike out {last.body.volume.text} mL boiled away
        </Button>
      )}
    </>
  )
}

/** A rinse that can have taken more of the crystals than this is said, %. */
const RINSE_MUCH_PERCENT = 5

/** What each mL of rinse can cost, and what the rinses so far can have cost. */
function RinseCost({ prep, plan }: { prep: PrepFacts; plan: PlanFixed }) {
  const { rinseML } = solventSoFarML(prep)
  const { input, result } = plan
  if (input.washML <= 0) return null
  const upToMg = (ml: number) => 1000 * rinseLossUpToG(input, result, ml)
  return (
    <div>
      <h3>Rinse</h3>
      <p className="mb-0">
        Each mL of ice-cold {plan.solvent.name} dissolves up to {fixed(upToMg(1), 1)} mg of{' '}
        {plan.compound.name}.
        {rinseML > 0 && (
          <span className="d-block quiet">
            {fixed(rinseML, 2)} mL so far: at most {fixed(upToMg(rinseML), 1)} mg,{' '}
            {fixed(upToMg(rinseML) / (10 * result.crystalMassG), 1)} % of the crystals.
          </span>
        )}
      </p>
      {rinseML > 0 && upToMg(rinseML) / (10 * result.crystalMassG) > RINSE_MUCH_PERCENT && (
        <p className="look mb-0" role="alert">
          That is much for a rinse, and more so if it was not ice-cold. Add the rinse to the mother liquor:
          you can recover the product in it as a second crop.
        </p>
      )}
    </div>
  )
}
