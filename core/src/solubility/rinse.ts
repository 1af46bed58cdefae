import type { CrystallizationInput, CrystallizationPlan } from './planCrystallization'
import { boilsToC } from '../substances/boiling'
import { isToxic } from '../substances/hazards'
import type { Solvent } from '../substances/shelf'
import { solubilityAt } from './solubilityAt'
import { miscibilityDoubt } from './solventPair'
import { significant } from '../words'

/** Cold solvent for a gram of crystals, mL; a rule of the bench. */
const RINSE_ML_PER_G = 1
/** A proposed rinse dissolves no more than this share of the crystals, and one that dissolves more than the other is remarked on. */
const COSTS_AT_MOST = { proposed: 0.025, unremarked: 0.03 } as const
/** More than this many times the usual rinse is doubted. */
const RINSE_DOUBTED_FROM = 2.5
/** Less rinse than this for a gram of crystals is little, mL. */
const LITTLE_ML_PER_G = 0.3
/** Less than this nobody can pour over crystals, mL; and less than this for a gram of them wets none. */
const LEAST_RINSE = { ml: 0.05, mlPerG: 0.1 } as const

/** Crystals to be rinsed, the liquor they lie in, and what cold solvent dissolves of them. */
export interface Rinsed {
  /** Expected, g. */
  readonly crystalsG: number
  /** Volume of the batch, mL. */
  readonly hotML: number
  /** Of the product, in what it is rinsed with, g per 100 mL. */
  readonly coldGPer100ML: number
}

/** The crystals of a plan for its rinse. */
export function rinsedBy(
  input: CrystallizationInput,
  plan: Pick<CrystallizationPlan, 'productCrystalsG' | 'hotML'>,
): Rinsed {
  const cold = solubilityAt(input.product, input.coldC, input.productFusionKJPerMol)
  return { crystalsG: plan.productCrystalsG, hotML: plan.hotML, coldGPer100ML: cold.gPer100ML }
}

/**
 * Rinse to propose: about 1 mL for a gram of crystals, at tube scale no more than the liquor there is, and never so much
 * that it dissolves more than 2.5 % of the crystals; none where that is less than a drop, or too little to wet them.
 *
 * @returns mL, to a tenth, below 1 mL to a hundredth, and from 20 mL on whole
 * @example proposedRinseML({ crystalsG: 1.5, hotML: 11, coldGPer100ML: 0.65 }) // 1.5
 */
export function proposedRinseML({ crystalsG, hotML, coldGPer100ML }: Rinsed): number {
  const affordableML = (100 * COSTS_AT_MOST.proposed * crystalsG) / coldGPer100ML
  const wanted = Math.min(RINSE_ML_PER_G * crystalsG, hotML, affordableML)
  if (wanted < LEAST_RINSE.ml || wanted < LEAST_RINSE.mlPerG * Math.min(crystalsG, hotML)) return 0
  if (wanted < 1) return Math.floor(100 * wanted) / 100
  return wanted < 20 ? Math.floor(10 * wanted) / 10 : Math.floor(wanted)
}

/** Whether the solvent dissolves the crystals too well to rinse them with as much as is usual. */
function isRinseShort(rinsed: Rinsed): boolean {
  return proposedRinseML(rinsed) < LITTLE_ML_PER_G * Math.min(rinsed.crystalsG, rinsed.hotML)
}

/**
 * What is odd about a rinse, in a sentence, or null.
 *
 * @param instead another rinse that hardly dissolves the crystals, by name, or null
 */
export function rinseDoubt(rinseML: number, rinsed: Rinsed, instead: string | null = null): string | null {
  const { crystalsG, hotML, coldGPer100ML } = rinsed
  const most = proposedRinseML(rinsed)
  const other = instead
    ? `. Ice-cold ${instead} hardly dissolves them: you can rinse with that. Collect that rinse separately, and use no oven until they no longer smell of it`
    : ''
  const costG = Math.min(crystalsG, (coldGPer100ML * rinseML) / 100)
  if (rinseML > 0 && costG > COSTS_AT_MOST.unremarked * crystalsG)
    return `${rinseML} mL cold dissolves up to ${mass(costG)} of ${mass(crystalsG)} of crystals, ${significant((100 * costG) / crystalsG, 2)} %: ${most > 0 ? `rinse with ${most} mL at most` : 'press them dry and do not rinse'}${other}.`
  if (isRinseShort(rinsed))
    return `1 mL for a gram of crystals would dissolve ${significant(coldGPer100ML, 2)} % of them: ${most > 0 && rinseML > 0 ? `only ${rinseML} mL is planned, dropped on after pressing` : 'they are pressed dry and not rinsed'}${other}.`
  if (rinseML <= 0) return null
  const usual = `about ${most} mL is usual here, 1 mL for a gram of crystals`
  if (rinseML > 1.001 * hotML) return `The rinse is more than the mother liquor it rinses off: ${usual}.`
  return rinseML > RINSE_DOUBTED_FROM * RINSE_ML_PER_G * crystalsG
    ? `${rinseML} mL is a large rinse for ${mass(crystalsG)} of crystals: ${usual}.`
    : null
}

function mass(g: number): string {
  return g < 0.1 ? `${significant(1000 * g, 2)} mg` : `${significant(g, 2)} g`
}

/** Another rinse keeps a cost under the share that is proposed, at 1 mL for a gram of crystals: g per 100 mL. */
const HARDLY_G_PER_100ML = (100 * COSTS_AT_MOST.proposed) / RINSE_ML_PER_G

/**
 * A solvent of the shelf to rinse with in place of the plan's own: it mixes with what the crystals lie in, hardly
 * dissolves them cold, leaves in air, and is not toxic where there is a choice.
 *
 * @param lying what the crystals lie in
 * @param coldOf cold solubility of the product in a solvent, g per 100 mL; null where it is not known
 * @returns the one that dissolves least, or null
 */
export function rinseInstead(
  lying: readonly Solvent[],
  solvents: readonly Solvent[],
  coldOf: (solvent: Solvent) => number | null,
): Solvent | null {
  const found = solvents.flatMap((solvent) => {
    const cold = lying.some(({ id }) => id === solvent.id) ? null : coldOf(solvent)
    const mixes = lying.every((one) => miscibilityDoubt(one, solvent) === null)
    return cold !== null &&
      cold <= HARDLY_G_PER_100ML &&
      mixes &&
      (boilsToC(solvent) ?? Infinity) <= RINSE_BOILS_TO_C
      ? [{ solvent, cold }]
      : []
  })
  const [best] = found.sort(
    (p, q) => Number(isToxic(p.solvent.hazards)) - Number(isToxic(q.solvent.hazards)) || p.cold - q.cold,
  )
  return best?.solvent ?? null
}
const RINSE_BOILS_TO_C = 85
