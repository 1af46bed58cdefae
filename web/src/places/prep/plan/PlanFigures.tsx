import {
  flaskForML,
  type CrystallizationInput,
  type CrystallizationPlan,
  type Solvent,
} from '@ivory-crystal/core'
import { capital, fixed } from '../../../format/format'
import { Figure } from '../../../parts/Figure'

/** The numbers of a plan, each with where it comes from. */
export function PlanFigures({
  input,
  plan,
  source,
  product,
  impurity,
  solvent,
}: {
  input: CrystallizationInput
  plan: CrystallizationPlan
  source: string
  product: string
  impurity: string | null
  solvent: Solvent
}) {
  const flask = flaskForML(plan.hotML)
  const beyond = plan.hotBasis === 'beyond points' || plan.coldBasis === 'beyond points'
  return (
    <dl className="figures">
      <Figure
        name="Crystals expected"
        why={`solubilities ${source}${beyond ? '; beyond the points, so take it as a guide' : ''}`}
      >
        {fixed(plan.crystalMassG, 2)} g
      </Figure>
      <Figure
        name="Percent recovery, of the crude"
        why={`${fixed(plan.recoveryPercentOfProduct, 1)} % of the ${product} in it`}
      >
        {fixed(plan.recoveryPercentOfCrude, 0)} %
      </Figure>
      <Figure name="Purity, at best" why={purityWhy(plan, impurity)}>
        {purityText(plan.crystalMassFraction)}
      </Figure>
      <Figure name={`${capital(product)} left in the cold liquor`}>
        {fixed(plan.productInLiquorG, 2)} g
      </Figure>
      <Figure name={`${fixed(input.washML, 1)} mL cold rinse, at most`}>
        {fixed(plan.washLossUpToG, 3)} g
      </Figure>
      {plan.gritG > 0 && (
        <Figure name="Will not dissolve" why="leave it behind hot">
          {fixed(plan.gritG, 2)} g
        </Figure>
      )}
      <Figure name="Flask">
        {flask === null ? `over ${fixed(plan.hotML * 2, 0)} mL` : `${flask} mL Erlenmeyer`}
      </Figure>
      {solvent.boilingPointC !== null && (
        <Figure name={`${capital(solvent.name)} boils`}>{fixed(solvent.boilingPointC, 1)} °C</Figure>
      )}
    </dl>
  )
}

/** An ideal upper bound is never shown as certainty. */
function purityText(fraction: number): string {
  return fraction > 0.99 ? 'over 99 %' : `${fixed(100 * fraction, 0)} %`
}

function purityWhy(plan: CrystallizationPlan, impurity: string | null): string {
  if (plan.impurityAssumedDissolved)
    return 'nothing is known of the impurity: it is assumed to stay dissolved'
  if (plan.impurityStaysDissolvedML === null) return 'no impurity expected'
  const name = impurity ?? 'the impurity'
  return plan.hotML >= plan.impurityStaysDissolvedML
    ? `${name} stays dissolved from ${fixed(plan.impurityStaysDissolvedML, 1)} mL on; clinging liquor comes on top`
    : `${fixed(plan.impurityInCrystalsG, 3)} g of ${name} comes down too; it needs ${fixed(plan.impurityStaysDissolvedML, 1)} mL to stay dissolved`
}
