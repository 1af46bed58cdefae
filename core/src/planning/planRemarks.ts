import { attempt } from '../problems'
import { driesInAir } from '../procedures/airDrying'
import { miscibilityDoubt } from '../solubility/solventPair'
import { pointsTrouble } from '../solubility/pointsTrouble'
import { reactionOf } from '../reference/reactions'
import { rinseDoubt } from '../solubility/rinse'
import { saturationC } from '../solubility/saturation'
import {
  ABOVE_FREEZING_C,
  freezesNearIce,
  type ProposedVolume,
  WET_CAKE_BELOW_ML_PER_G,
  WORKABLE_ML_PER_G,
} from '../solubility/volume'
import { capital, listed, significant } from '../words'
import type { Compound, Confidence, Solvent } from '../reference/shelf'
import type { CrystallizationInput, CrystallizationPlan } from '../solubility/planCrystallization'
import type { PlannedPair } from '../notebook/kinds/plan-fixed/kind'
import { type Draft, readPoints } from './draft'

/** A plan that is worked out, for what there is to say of it. */
interface Known {
  readonly input: CrystallizationInput
  readonly plan: CrystallizationPlan
  readonly proposed: ProposedVolume
  readonly pair: PlannedPair | null
  readonly solvent: Solvent
  readonly compound: Compound
  readonly solubilityConfidence: Confidence | null
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
    ...(doubt ? [doubt] : []),
    ...solvents.flatMap((one) => reactionOf(compound, one)?.sentence ?? []).map(capital),
    ...(solubilityConfidence === 'low'
      ? [`The solubility in ${solvent.name} is of low confidence: try a little in a tube first.`]
      : []),
    ...temperatureRemarks(known, solvents),
    ...volumeRemarks(known),
    ...(draft.dryRule === 'minutes of air' && !driesInAir(solvents)
      ? [
          `${capital(listed(solvents.map(({ name }) => name)))} ${solvents.length > 1 ? 'do' : 'does'} not leave in minutes of air: the solid is dried until two weighings agree.`,
        ]
      : []),
  ]
}

function temperatureRemarks({ input, compound }: Known, solvents: readonly Solvent[]): string[] {
  const said: string[] = []
  for (const one of solvents) {
    const { name, freezingPointC, boilingPointC } = one
    const clearC = freezesNearIce(one) ? ABOVE_FREEZING_C : 1
    if (freezingPointC !== null && input.coldC < freezingPointC + clearC)
      said.push(
        `${input.coldC} °C is at or near where ${name} freezes (${freezingPointC} °C): the whole flask could turn solid. Cool it in water of ${Math.ceil(freezingPointC + clearC)} °C or more.`,
      )
    if (boilingPointC !== null && input.hotC > boilingPointC + 0.5)
      said.push(
        `${input.hotC} °C is above where ${name} boils (${boilingPointC} °C): it cannot get that hot.`,
      )
  }
  const boilsC = Math.min(...solvents.map(({ boilingPointC }) => boilingPointC ?? Infinity))
  if (input.hotC >= compound.meltLowC && input.hotC < boilsC + 0.5)
    said.push(
      `At ${input.hotC} °C the solid itself melts (from ${compound.meltLowC} °C): plan hot some 10 °C below that.`,
    )
  return said
}

/** What to say of a volume that is hard to work with: on the spot where it stands. */
function volumeRemarks({ input, plan, proposed, pair }: Known): string[] {
  const said: string[] = []
  const perG = plan.hotML / input.crudeG
  if (!pair && perG < WET_CAKE_BELOW_ML_PER_G) {
    const solubility = (100 * input.assay) / WORKABLE_ML_PER_G
    const cooler = attempt(() => saturationC(input.product, solubility, input.productFusionKJPerMol))
    const lower =
      cooler.ok && cooler.value > input.coldC + 20 && cooler.value < input.hotC
        ? `dissolve it at ${cooler.value.toFixed(0)} °C, where it takes about ${significant(WORKABLE_ML_PER_G * input.crudeG, 2)} mL, or `
        : ''
    said.push(
      `${significant(plan.hotML, 2)} mL for ${significant(input.crudeG, 2)} g is a wet cake with hardly a liquor to part from it: ${lower}choose another solvent.`,
    )
  }
  if (!pair && proposed.because === 'room to work' && plan.hotML >= proposed.ml)
    said.push(
      `It dissolves in ${significant(plan.minimumHotML, 2)} mL; more is planned, so that there is a liquor to part from the crystals. That keeps ${significant(plan.productInLiquorG, 2)} g in it.`,
    )
  const rinse = rinseDoubt(input.washML, plan.productCrystalsG, plan.hotML)
  return rinse ? [...said, rinse] : said
}
