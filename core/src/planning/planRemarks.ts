import { attempt } from '../problems'
import { classDoubt } from '../solubility/classes'
import { boilsFromC, boilsInWords } from '../substances/boiling'
import { driesInAir } from '../weighing/airDrying'
import { dryRuleOf } from '../procedures/dryRule'
import { miscibilityDoubt } from '../solubility/solventPair'
import { pointsTrouble } from '../solubility/pointsTrouble'
import { reactionOf } from '../substances/reactions'
import { rinseDoubt, rinsedBy, rinseInstead } from '../solubility/rinse'
import { solubilityAt } from '../solubility/solubilityAt'
import type { Procedure } from '../procedures/procedure'
import type { Shelf } from '../wire'
import { saturationC } from '../solubility/saturation'
import {
  ABOVE_FREEZING_C,
  BELOW_MELTING_C,
  freezesNearIce,
  type ProposedVolume,
  WET_CAKE_BELOW_ML_PER_G,
  WORKABLE_ML_PER_G,
} from '../solubility/volume'
import { capital, listed, significant } from '../words'
import type { Compound, Confidence, Solvent } from '../substances/shelf'
import type { CrystallizationInput, CrystallizationPlan } from '../solubility/planCrystallization'
import type { PlannedPair } from '../notebook/kinds/plan-fixed/kind'
import { fusionOf } from '../substances/fusionOf'
import { type Draft, readPoints, shelfPoints } from './draft'

/** A plan that is worked out, for what there is to say of it. */
interface Known {
  readonly input: CrystallizationInput
  readonly plan: CrystallizationPlan
  readonly proposed: ProposedVolume
  readonly pair: PlannedPair | null
  readonly solvent: Solvent
  readonly compound: Compound
  readonly solubilityConfidence: Confidence | null
  readonly procedure: Procedure
  readonly shelf: Pick<Shelf, 'solvents' | 'solubilities'>
}

/** What needs a look in a plan but does not stop it, in sentences. */
export function planRemarks(draft: Draft, known: Known): string[] {
  const { solvent, pair, compound, solubilityConfidence } = known
  const solvents = pair ? [solvent, pair.solvent] : [solvent]
  const product = readPoints(draft.product)
  const impurity = readPoints(draft.impurityPoints)
  const doubt = pair ? miscibilityDoubt(solvent, pair.solvent) : null
  return [
    ...(typeof product === 'string' ? [] : pointsTrouble(product, solvent)),
    ...(typeof impurity === 'string' ? [] : pointsTrouble(impurity, solvent)),
    ...(Array.isArray(impurity) && impurity.length === 1
      ? [
          `One solubility of ${draft.impurity || 'the impurity'} does not show how it changes with temperature. The plan assumes that it stays dissolved. Add a second point to be sure.`,
        ]
      : []),
    ...(doubt ? [doubt] : []),
    ...classDoubts(draft, known),
    ...solvents.flatMap((one) => reactionOf(compound, one)?.sentence ?? []).map(capital),
    ...(solubilityConfidence === 'low'
      ? [`The solubility in ${solvent.name} is of low confidence. Try a little in a tube first.`]
      : []),
    ...temperatureRemarks(known, solvents),
    ...dryingRemark(draft, known, solvents),
    ...volumeRemarks(known),
    ...(draft.dryRule === 'minutes of air' && !driesInAir(solvents)
      ? [
          `${capital(listed(solvents.map(({ name }) => name)))} ${solvents.length > 1 ? 'do' : 'does'} not evaporate within minutes in air. Dry the solid until two weighings agree.`,
        ]
      : []),
  ]
}

/** A procedure the lab wrote may end before the crystals are dry: the balance and the judge ask for the rest all the same. */
function dryingRemark(draft: Draft, { compound, procedure }: Known, solvents: readonly Solvent[]): string[] {
  const atLeastMin = Number(draft.dryMin)
  if (draft.dryRule !== 'minutes of air' || !Number.isFinite(atLeastMin)) return []
  const rule = dryRuleOf({ atLeastMin, constantMassToleranceG: null }, solvents, compound)
  const restMin = rule.airMin - rule.firstMin
  const hasRest = procedure.steps.some(({ timer }) => timer?.minutes === 'rest of the air')
  return rule.by === 'minutes of air' && restMin > 0 && !hasRest
    ? [
        `“${procedure.name}” has no step for all of the drying: ${listed(solvents.map(({ name }) => name))} takes ${rule.airMin} min of air. Spread the crystals for the other ${restMin} min before they are weighed or melted.`,
      ]
    : []
}

/** So many times the proposed volume is asked about. */
const MUCH_MORE_TIMES = 3

/** So much beside the product lowers where it begins to melt by several degrees, as a fraction. */
const IMPURE_FROM = 0.05

/** Points that lie two classes off what handbooks tell. */
function classDoubts(draft: Draft, { compound, solvent, pair }: Known): string[] {
  const { enthalpyKJPerMol } = fusionOf(compound)
  const of = (one: Solvent, typed: Draft['product']) => {
    const points = readPoints(typed)
    return typeof points === 'string' ? [] : (classDoubt(compound, one, points, enthalpyKJPerMol) ?? [])
  }
  return [of(solvent, draft.product), pair ? of(pair.solvent, draft.secondPoints) : []].flat()
}

function temperatureRemarks({ input, compound }: Known, solvents: readonly Solvent[]): string[] {
  const sentences: string[] = []
  for (const one of solvents) {
    const { name, freezingPointC } = one
    const boilsC = boilsFromC(one)
    const clearC = freezesNearIce(one) ? ABOVE_FREEZING_C : 1
    if (freezingPointC !== null && input.coldC < freezingPointC + clearC)
      sentences.push(
        `${input.coldC} °C is at or near where ${name} freezes (${freezingPointC} °C): the whole flask could turn solid. Cool it in water of ${Math.ceil(freezingPointC + clearC)} °C or more.`,
      )
    if (boilsC !== null && input.hotC > boilsC + 0.5)
      sentences.push(
        `${input.hotC} °C is above where ${name} boils (${boilsInWords(one) ?? ''}): it cannot get that hot.`,
      )
  }
  const boilsC = Math.min(...solvents.map((one) => boilsFromC(one) ?? Infinity))
  if (input.hotC >= compound.meltLowC && input.hotC < boilsC + 0.5)
    sentences.push(
      `At ${input.hotC} °C the solid itself melts (from ${compound.meltLowC} °C): plan hot some 10 °C below that.`,
    )
  else if (
    input.hotC > compound.meltLowC - BELOW_MELTING_C &&
    1 - input.assay >= IMPURE_FROM &&
    input.hotC < boilsC + 0.5
  )
    sentences.push(
      `At ${input.hotC} °C a solid with ${(100 * (1 - input.assay)).toFixed(0)} % of something else in it is partly an oil already (pure it melts from ${compound.meltLowC} °C): plan hot some 10 °C below that.`,
    )
  return sentences
}

/** What to say of a volume that is hard to work with: on the spot where it stands. */
function volumeRemarks(known: Known): string[] {
  const { input, plan, proposed, pair, procedure } = known
  const messages: string[] = []
  if (procedure.collect === 'watch glass') return messages
  const perG = plan.hotML / input.crudeG
  if (plan.hotML > MUCH_MORE_TIMES * Math.max(proposed.ml, plan.minimumHotML)) {
    const cold = attempt(() => solubilityAt(input.product, input.coldC, input.productFusionKJPerMol))
    const keptG = cold.ok
      ? Math.min((cold.value.gPer100ML * (plan.hotML - proposed.ml)) / 100, input.crudeG * input.assay)
      : 0
    messages.push(
      `${significant(plan.hotML, 2)} mL is ${(plan.hotML / proposed.ml).toFixed(0)} times what is proposed (${significant(proposed.ml, 2)} mL): about ${significant(keptG, 2)} g more stays in the mother liquor. Is there a digit too many?`,
    )
  }
  if (perG < WET_CAKE_BELOW_ML_PER_G) {
    const solubility = (100 * input.assay) / WORKABLE_ML_PER_G
    const cooler = attempt(() => saturationC(input.product, solubility, input.productFusionKJPerMol))
    const lower =
      cooler.ok && cooler.value > input.coldC + 20 && cooler.value < input.hotC
        ? `dissolve it at ${cooler.value.toFixed(0)} °C, where it takes about ${significant(WORKABLE_ML_PER_G * input.crudeG, 2)} mL, or `
        : ''
    messages.push(
      `${significant(plan.hotML, 2)} mL for ${significant(input.crudeG, 2)} g makes a wet cake with hardly any mother liquor to separate: ${lower}choose another solvent.`,
    )
  }
  if (!pair && proposed.because === 'room to work' && plan.hotML >= proposed.ml)
    messages.push(
      `It dissolves in ${significant(plan.minimumHotML, 2)} mL. More is planned, so that there is enough mother liquor to separate from the crystals. That keeps ${significant(plan.productInLiquorG, 2)} g in the liquor.`,
    )
  const rinse = rinseDoubt(input.washML, rinsedBy(input, plan), insteadOf(known)?.name)
  return rinse ? [...messages, rinse] : messages
}

/** Another rinse of the shelf that hardly dissolves the crystals, as far as its points tell. */
function insteadOf({ input, compound, solvent, pair, shelf }: Known): Solvent | null {
  return rinseInstead(pair ? [solvent, pair.solvent] : [solvent], shelf.solvents, (one) => {
    if (reactionOf(compound, one)?.rulesOut) return null
    const points = shelfPoints(shelf, compound.id, one.id).map(
      ({ temperatureC, gPer100ML }) => [temperatureC, gPer100ML] as const,
    )
    const cold = attempt(() => solubilityAt(points, input.coldC, fusionOf(compound).enthalpyKJPerMol))
    return cold.ok ? cold.value.gPer100ML : null
  })
}
