import css from './FixedPlan.module.css'
import classNames from 'classnames'
import Button from 'react-bootstrap/Button'
import { Link } from 'react-router'
import { type Entry, isStale, type PlanFixed } from '@ivory-crystal/core/notebook'
import { cautionsFor, isHotDoubtful, LOCAL_RULES } from '@ivory-crystal/core/procedures'
import { dayAndClock, fixed, grams, millilitres } from '../../../format/format'
import { PrintButton } from '../../../parts/PrintButton'
import { ObservationLine } from '../../../parts/ObservationLine'
import { HazardMarks } from '../../../parts/TakeCare'
import { useLabRules } from '../../../parts/useHouseRules'
import { SolventColumn } from '../../../drawings/SolventColumn'
import { useNotebook } from '../../../ledger/notebook'
import { useNow } from '../../../clock/now'
import type { StationProps } from '../station'
import { useHere } from '../useHere'
import { Tradeoff } from './HowMuch'
import { PlanFigures } from './PlanFigures'
import { planHeading } from './planHeading'
import { StepList } from './ProcedureChoice'
import { WhyAndCare } from './WhyAndCare'

/** The plan as it was fixed, with what it rested on; printed, one sheet to take to the bench. */
export function FixedPlan({
  prep,
  plan,
  onChange,
}: StationProps & { plan: Entry<'plan fixed'>; onChange: () => void }) {
  const { base } = useHere()
  const view = useNotebook((state) => state.view)
  const now = useNow(60_000)
  const { result, input, solvent, compound, impurity, solubilitySource, conventions, pair, procedure } =
    plan.body
  const keptBackG = plan.body.keptBackG
  return (
    <>
      <div className="columns plan no-print">
        <SolventColumn
          addedML={null}
          dissolveML={pair?.goodML ?? result.minimumHotML}
          toML={result.hotML}
          staysDissolvedML={result.impurityStaysDissolvedML}
          impurity={impurity?.name ?? null}
          second={pair?.solvent.name ?? null}
          isDoubtful={isHotDoubtful(plan.body)}
        />
        <div>
          <h2>
            {plan.body.crudeText} g of crude
            {keptBackG > 0 ? `, ${fixed(1000 * keptBackG, 0)} mg kept back` : ''}, about{' '}
            {fixed(100 * input.assay, 0)} % {compound.name}
          </h2>
          <p className="quiet mt-1 mb-2">
            In use since {dayAndClock(plan.at, now)}, under the house rules “{conventions.name}”
            {plan.body.inCharge ? `, ${plan.body.inCharge} asked as the person in charge` : ''}, from{' '}
            {solvent.name}
            {pair ? ` with ${pair.solvent.name}` : ''} between {fixed(input.hotC, 0)} and{' '}
            {fixed(input.coldC, 0)} °C. {procedure.name}.
          </p>
          {isStale(view, plan) && (
            <p className="look" role="alert">
              The weighing of this plan was struck out. Weigh the crude again, then make the plan again.
            </p>
          )}
          <Tradeoff
            planned={{ input, plan: result, pair }}
            compound={compound}
            impurity={impurity}
            onVolume={null}
          />
          <WhyAndCare
            compound={compound}
            impurity={impurity}
            solvent={solvent}
            pair={pair}
            input={input}
            result={result}
          />
          <ObservationLine prep={prep} station="plan" />
        </div>
        <div>
          <h2 className="mb-3">{planHeading({ plan: result, pair })}</h2>
          <PlanFigures
            input={input}
            plan={result}
            source={solubilitySource}
            product={compound.name}
            impurity={impurity?.name ?? null}
            solvent={solvent}
            pair={pair}
            collect={procedure.collect}
            inserts={plan.body.inserts}
          />
          <div className="stack mt-3 align-items-start">
            <Link className="btn btn-primary" to={`${base}/dissolve`}>
              Go on to dissolve
            </Link>
            <div className="row-of">
              <Button variant="outline-primary" onClick={onChange}>
                Change the plan
              </Button>
              <PrintButton>Print the plan</PrintButton>
            </div>
          </div>
        </div>
      </div>
      <PlanSheet plan={plan.body} />
    </>
  )
}

/** One sheet of paper: amounts, steps with room to tick, cautions, waste. */
function PlanSheet({ plan }: { plan: PlanFixed }) {
  const { result, input, solvent, compound, pair, procedure, steps, waste, solubilitySource } = plan
  const { emergencyCalls } = useLabRules()
  const facts: readonly (readonly [string, string])[] = [
    [
      'Crude',
      `${plan.crudeText} g${plan.keptBackG > 0 ? `, ${fixed(1000 * plan.keptBackG, 0)} mg kept back` : ''}, about ${fixed(100 * input.assay, 0)} % ${compound.name}`,
    ],
    ['Solvent', pair ? `${solvent.name}, then ${pair.solvent.name}` : solvent.name],
    [
      'Volume',
      pair
        ? `${millilitres(pair.goodML)} mL and about ${millilitres(pair.poorML)} mL`
        : `dissolve near ${millilitres(result.minimumHotML)} mL, ${millilitres(result.hotML)} mL in all`,
    ],
    [
      'Crystals expected',
      `${grams(result.crystalMassG)} g, ${fixed(result.recoveryPercentOfCrude, 0)} % of the crude`,
    ],
    ['Left in the liquor', `${grams(result.productInLiquorG)} g ${compound.name}`],
    ...(plan.inCharge ? [['Asked in charge', plan.inCharge] as const] : []),
    ['Melts', `${fixed(compound.meltLowC, 1)} to ${fixed(compound.meltHighC, 1)} °C (${compound.source})`],
  ]
  return (
    <section className={classNames(css.planSheet, 'print-only')}>
      <h2>{procedure.name}</h2>
      <p>
        <b>If someone is hurt or something burns:</b>{' '}
        {emergencyCalls ?? 'whom to call is not set in this lab’s house rules; the card under R has the rest'}
        .
      </p>
      <h3>Take care</h3>
      <HazardMarks compound={compound} solvents={pair ? [solvent, pair.solvent] : [solvent]} />
      <p>
        {cautionsFor(compound, solvent, pair?.solvent ?? null, input.hotC).join(' ')} {LOCAL_RULES}
      </p>
      <dl className={css.facts}>
        {facts.map(([name, value]) => [<dt key={`${name} name`}>{name}</dt>, <dd key={name}>{value}</dd>])}
      </dl>
      <StepList steps={steps} />
      <h3>Waste</h3>
      <p>{waste.join(' ')}</p>
      <p>Solubilities {solubilitySource}.</p>
    </section>
  )
}
