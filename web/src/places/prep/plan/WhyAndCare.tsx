import type { PlanFixed } from '@ivory-crystal/core/notebook'
import { whyThisSolvent } from '@ivory-crystal/core/planning'
import { cautionsFor, LOCAL_RULES } from '@ivory-crystal/core/procedures'
import { HazardMarks } from '../../../parts/TakeCare'

/** Why this solvent works here, and what to take care of. */
export function WhyAndCare(
  plan: Pick<PlanFixed, 'compound' | 'impurity' | 'solvent' | 'pair' | 'input' | 'result'>,
) {
  const { compound, solvent, pair } = plan
  return (
    <div className="columns two mt-3">
      <section>
        <h3>
          Why {solvent.name}
          {pair ? ` and ${pair.solvent.name}` : ''}
        </h3>
        {whyThisSolvent(plan).map((reason) => (
          <p key={reason} className="quiet mt-1 mb-1">
            {reason}
          </p>
        ))}
      </section>
      <section>
        <h3>Take care</h3>
        <HazardMarks compound={compound} solvents={pair ? [solvent, pair.solvent] : [solvent]} />
        {cautionsFor(compound, solvent, pair?.solvent ?? null, plan.input.hotC).map((caution) => (
          <p key={caution} className="quiet mt-1 mb-1">
            {caution}
          </p>
        ))}
        <p className="quiet mb-0">{LOCAL_RULES}</p>
      </section>
    </div>
  )
}
