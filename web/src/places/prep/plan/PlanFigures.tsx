import type { PlannedPair } from '@ivory-crystal/core/notebook'
import { glassOf, type Insert, type Procedure } from '@ivory-crystal/core/procedures'
import type { CrystallizationInput, CrystallizationPlan } from '@ivory-crystal/core/solubility'
import { boilsInWords, type Solvent } from '@ivory-crystal/core/substances'
import { capital, fixed, grams, millilitres } from '../../../format/format'
import { Figure } from '../../../parts/Figure'
import { Why } from '../../../parts/Why'

/** The numbers of a plan, each with where it comes from. */
export function PlanFigures({
  input,
  plan,
  source,
  product,
  impurity,
  solvent,
  pair,
  collect,
  inserts,
}: {
  input: CrystallizationInput
  plan: CrystallizationPlan
  source: string
  product: string
  impurity: string | null
  solvent: Solvent
  pair: PlannedPair | null
  collect: Procedure['collect']
  inserts: readonly Insert[]
}) {
  const boils = boilsInWords(solvent)
  const glass = glassOf(collect, { input, result: plan, pair, inserts })
  return (
    <dl className="figures">
      <Figure
        name={
          <>
            Crystals expected <Why of="plan" />
          </>
        }
        why={`solubilities ${source}${basisWords(plan)}${pair ? '; mixed log-linearly, a rough guide' : ''}`}
      >
        {grams(plan.crystalMassG)} g
      </Figure>
      <Figure
        name="Percent recovery, of the crude"
        why={`${fixed(plan.recoveryPercentOfProduct, 1)} % of the ${product} in it`}
      >
        {fixed(plan.recoveryPercentOfCrude, 0)} %
      </Figure>
      <Figure name="Purity, at best" why={purityWhy(plan, impurity)}>
        {purityText(plan)}
      </Figure>
      {collect !== 'watch glass' && (
        <Figure name={`${capital(product)} left in the cold liquor`}>{grams(plan.productInLiquorG)} g</Figure>
      )}
      {input.washML > 0 && collect !== 'watch glass' && (
        <Figure name={`${millilitres(input.washML)} mL cold rinse, at most`}>
          {grams(plan.washLossUpToG)} g
        </Figure>
      )}
      {plan.gritG > 0 && (
        <Figure name="Will not dissolve" why="leave it behind hot">
          {grams(plan.gritG)} g
        </Figure>
      )}
      <Figure name="Glassware" why={glass.trouble ?? glass.collector}>
        {glass.vessel ?? 'none that fits'}
      </Figure>
      {boils !== null && <Figure name={`${capital(solvent.name)} boils`}>{boils}</Figure>}
    </dl>
  )
}

/** Small batches are told to the milligram. */
function basisWords({ hotBasis, coldBasis }: CrystallizationPlan): string {
  if (hotBasis === 'single point' || coldBasis === 'single point')
    return '; one point extended with the fusion enthalpy: an estimate'
  return hotBasis === 'beyond points' || coldBasis === 'beyond points'
    ? '; outside the points, so only a guide'
    : ''
}

/** An ideal upper bound is never shown as certainty. */
function purityText({
  crystalMassFraction: fraction,
  impurityAssumedDissolved,
}: CrystallizationPlan): string {
  if (impurityAssumedDissolved) return 'not known'
  return fraction > 0.99 ? 'over 99 %' : `${fixed(100 * fraction, 0)} %`
}

function purityWhy(plan: CrystallizationPlan, impurity: string | null): string {
  if (plan.impurityAssumedDissolved)
    return 'no solubility of the impurity: for the masses it is assumed to stay dissolved'
  if (plan.impurityStaysDissolvedML === null) return 'no impurity expected'
  const name = impurity ?? 'the impurity'
  return plan.hotML >= plan.impurityStaysDissolvedML
    ? `${name} stays dissolved from ${fixed(plan.impurityStaysDissolvedML, 1)} mL on; liquor on the crystals is not included`
    : `${fixed(plan.impurityInCrystalsG, 3)} g of ${name} crystallizes too; it needs ${fixed(plan.impurityStaysDissolvedML, 1)} mL to stay dissolved`
}
