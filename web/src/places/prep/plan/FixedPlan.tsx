import Button from 'react-bootstrap/Button'
import { Link } from 'react-router'
import { isStale, type Entry } from '@ivory-crystal/core'
import { dayAndClock, fixed } from '../../../format/format'
import { ObservationLine } from '../../../parts/ObservationLine'
import { SolventColumn } from '../../../signature/SolventColumn'
import { useNotebook } from '../../../state/notebook'
import { useNow } from '../../../state/now'
import type { StationProps } from '../Prep'
import { useHere } from '../useHere'
import { PlanFigures } from './PlanFigures'
import { WhyAndCare } from './WhyAndCare'

/** The plan as it was fixed, with what it rested on. */
export function FixedPlan({
  prep,
  plan,
  onChange,
}: StationProps & { plan: Entry<'plan fixed'>; onChange: () => void }) {
  const { base } = useHere()
  const view = useNotebook((state) => state.view)
  const now = useNow(60_000)
  const { result, input, solvent, compound, impurity, solubilitySource, conventions } = plan.body
  return (
    <div className="columns plan">
      <SolventColumn
        addedML={null}
        dissolveML={result.minimumHotML}
        toML={result.hotML}
        staysDissolvedML={result.impurityStaysDissolvedML}
        impurity={impurity?.name ?? null}
      />
      <div>
        <h2>
          {fixed(input.crudeG, 3)} g of crude, about {fixed(100 * input.assay, 0)} % {compound.name}
        </h2>
        <p className="quiet mt-2">
          Fixed {dayAndClock(plan.at, now)} under the house rules “{conventions.name}”, from {solvent.name}{' '}
          between {fixed(input.hotC, 0)} and {fixed(input.coldC, 0)} °C.
        </p>
        {isStale(view, plan) && (
          <p className="look" role="alert">
            The weighing this plan rests on was struck. Weigh again and fix the plan anew.
          </p>
        )}
        <WhyAndCare compound={compound} impurity={impurity} solvent={solvent} input={input} result={result} />
        <ObservationLine prep={prep} station="plan" />
      </div>
      <div>
        <h2 className="mb-3">
          Dissolve near {fixed(result.minimumHotML, 1)}, then {fixed(result.hotML, 1)} mL
        </h2>
        <PlanFigures
          input={input}
          plan={result}
          source={solubilitySource}
          product={compound.name}
          impurity={impurity?.name ?? null}
          solvent={solvent}
        />
        <div className="stack mt-3 align-items-start">
          <Link className="btn btn-primary" to={`${base}/dissolve`}>
            Go on to dissolve
          </Link>
          <Button variant="outline-primary" onClick={onChange}>
            Change the plan
          </Button>
        </div>
      </div>
    </div>
  )
}
