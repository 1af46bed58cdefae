import type { DraftField, Outcome } from '@ivory-crystal/core/planning'
import type { Insert } from '@ivory-crystal/core/procedures'
import type { Compound, Solvent } from '@ivory-crystal/core/substances'
import Button from 'react-bootstrap/Button'
import { PlanFigures } from './PlanFigures'
import { planHeading } from './planHeading'

/** Fields in which a number that is there does not fit; of the others something is still missing. */
const MISTYPED: readonly DraftField[] = ['hotC', 'coldC', 'assayPercent', 'impurity', 'keptBackMg', 'washML']

/** What the plan comes to, in figures; or what is missing, and where it can be had. */
export function PlanOutcome({
  outcome,
  solvent,
  compound,
  impurity,
  source,
  inserts,
  onShow,
  onSteps,
}: {
  outcome: Outcome
  solvent: Solvent | undefined
  compound: Compound
  impurity: Compound | null
  source: string
  inserts: readonly Insert[]
  /** Shows where solubilities come from; null where one of those is shown already. */
  onShow: ((tab: 'Solubility' | 'Test tubes') => void) | null
  onSteps: () => void
}) {
  const planned = outcome.ok ? outcome.value : null
  const isMistyped =
    !outcome.ok && outcome.problem.field !== undefined && MISTYPED.includes(outcome.problem.field)
  if (!planned || !solvent)
    return (
      <>
        <h2>{isMistyped ? 'Something does not fit' : 'Not enough to plan with yet'}</h2>
        <p className={isMistyped ? 'look mt-2' : 'quiet mt-2'}>
          {outcome.ok ? '' : outcome.problem.sentence}
          {isMistyped ? '' : ' Without any solubility, try a few solvents in test tubes.'}
        </p>
        {onShow && !isMistyped && (
          <div className="row-of">
            <Button
              variant="outline-primary"
              size="sm"
              onClick={() => {
                onShow('Solubility')
              }}
            >
              Type solubility points
            </Button>
            <Button
              variant="outline-primary"
              size="sm"
              onClick={() => {
                onShow('Test tubes')
              }}
            >
              Try in test tubes
            </Button>
          </div>
        )}
      </>
    )
  return (
    <>
      <h2 className="mb-3">{planHeading(planned)}</h2>
      {planned.remarks.map((remark) => (
        <p key={remark} className="look">
          {remark}
        </p>
      ))}
      <PlanFigures
        input={planned.input}
        plan={planned.plan}
        source={source}
        product={compound.name}
        impurity={impurity?.name ?? null}
        solvent={solvent}
        pair={planned.pair}
        collect={planned.procedure.collect}
        inserts={inserts}
      />
      <p className="quiet mt-2 mb-0">
        {planned.procedure.name}.{' '}
        {planned.choices.find(({ procedure }) => procedure === planned.procedure)?.because}{' '}
        <Button variant="link" size="sm" className="py-0" onClick={onSteps}>
          steps
        </Button>
      </p>
    </>
  )
}
