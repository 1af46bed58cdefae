import { boilsFromC, boilsToC } from '../substances/boiling'
import { type OilingLevel, oilingRisk } from './oilingRisk'
import {
  type CrystallizationInput,
  type CrystallizationPlan,
  planCrystallization,
} from './planCrystallization'
import type { SolubilityPoint } from './solubilityAt'
import type { Compound, Confidence, Solvent } from '../substances/shelf'
import { eutectic } from '../melting/eutectic'
import { attempt } from '../problems'
import { capital, significant } from '../words'
import { fusionOf } from '../substances/fusionOf'
import { depositsFromC } from './saturation'
import { reactionOf } from '../substances/reactions'
import { freezesNearIce, proposedVolume, withVolumeML, workingTemperatures } from './volume'

/** What is to be purified, for ranking solvents. */
export interface SoluteToPurify {
  readonly compound: Compound
  readonly impurity: Compound | null
  readonly crudeG: number
  readonly assay: number
  /** Where the crude began to melt, when it has been melted. */
  readonly crudeOnsetC?: number | undefined
}
/** A solvent with what is known of product and impurity in it; no points, nothing known. */
export interface SolventCandidate {
  readonly solvent: Solvent
  readonly product: readonly SolubilityPoint[]
  readonly impurity: readonly SolubilityPoint[]
  /** The lowest confidence of the product’s points; null for the bench’s own. */
  readonly confidence?: Confidence | null | undefined
}
/** What a lab asks of a solvent: for each score, the value that is worth nothing and the one that is worth all. */
export interface SolventWishes {
  readonly recoveryPercent: readonly [worthless: number, full: number]
  readonly purity: readonly [worthless: number, full: number]
  /** mL per g of crude: unworkable below the first, easy between the second and third, unworkable above the last. */
  readonly mlPerG: readonly [number, number, number, number]
  readonly oiling: Readonly<Record<OilingLevel, number>>
  readonly boilingForDryingC: readonly [full: number, worthless: number]
  /** How far the solvent freezes below the ice bath. */
  readonly freezingMarginC: readonly [worthless: number, full: number]
  readonly iceC: number
  /** What a plan is worth by how sure its solubilities are; from one point alone it is never worth more than from low ones. */
  readonly certainty: Readonly<Record<Confidence | 'own', number>>
}
export type SolventPart = 'recovery' | 'purity' | 'volume' | 'oiling' | 'freezing' | 'drying' | 'certainty'
interface ScoredPart {
  readonly part: SolventPart
  /** null when what it needs is not known; it then has no say. */
  readonly score: number | null
  readonly sentence: string
}
export interface RankedSolvent {
  readonly solvent: Solvent
  /** Geometric mean of the scores that are known; null without solubility data. */
  readonly score: number | null
  readonly parts: readonly ScoredPart[]
  readonly sentence: string
  readonly input: CrystallizationInput | null
  readonly plan: CrystallizationPlan | null
  /** Based on values of low confidence: said wherever it stands. */
  readonly isUnsure: boolean
  /** It reacts with the compound. */
  readonly isRuledOut: boolean
}

/** What most teaching laboratories ask of a solvent. Rules of the bench, and shown as such. */
const USUAL_WISHES: SolventWishes = {
  recoveryPercent: [50, 95],
  purity: [0.8, 0.995],
  mlPerG: [0.7, 3, 25, 150],
  oiling: { low: 1, some: 0.6, high: 0.15 },
  boilingForDryingC: [65, 140],
  freezingMarginC: [-15, 2],
  iceC: 2,
  certainty: { own: 1, high: 1, medium: 0.8, low: 0.25 },
}

/**
 * Ranks solvents for one crude by desirability: each property becomes a score from 0 to 1, and the score is
 * their geometric mean, so that one worthless property rules a solvent out (Derringer and Suich 1980).
 * Hazards are not in the score; they stand beside it.
 *
 * @param candidates with what the shelf knows; those without points come last, unscored
 * @returns the best first
 * @example rankSolvents(benzilCrude, shelfCandidates)[0]?.solvent.name // 'ethanol 95%'
 */
export function rankSolvents(
  solute: SoluteToPurify,
  candidates: readonly SolventCandidate[],
  wishes: SolventWishes = USUAL_WISHES,
): readonly RankedSolvent[] {
  return candidates
    .map((candidate) => rankOne(solute, candidate, wishes))
    .sort(
      (p, q) =>
        (q.score ?? -1) - (p.score ?? -1) ||
        (q.plan?.recoveryPercentOfProduct ?? 0) - (p.plan?.recoveryPercentOfProduct ?? 0),
    )
}

function rankOne(solute: SoluteToPurify, candidate: SolventCandidate, wishes: SolventWishes): RankedSolvent {
  const { solvent, product, impurity } = candidate
  const isUnsure = candidate.confidence === 'low'
  const unknown = { solvent, score: null, parts: [], input: null, plan: null, isUnsure, isRuledOut: false }
  if (product.length === 0)
    return {
      ...unknown,
      sentence: `Not known: no solubility of ${solute.compound.name} in it is on the shelf.`,
    }
  const reaction = reactionOf(solute.compound, solvent)
  if (reaction?.rulesOut) return { ...unknown, isRuledOut: true, sentence: capital(reaction.sentence) }
  const planned = attempt(() => {
    const base = {
      crudeG: solute.crudeG,
      assay: solute.assay,
      product,
      // One point of it says nothing hot or cold.
      ...(impurity.length > 1 ? { impurity } : {}),
      productFusionKJPerMol: fusionOf(solute.compound).enthalpyKJPerMol,
      ...workingTemperatures(solvent, solute.compound),
      washML: 0,
    }
    const proposed = proposedVolume(planCrystallization({ ...base, excess: 0 }), base)
    const input = withVolumeML(base, proposed.ml)
    return { input, plan: planCrystallization(input), startsC: depositsFromC(input) }
  })
  if (!planned.ok) return { ...unknown, sentence: planned.problem.sentence }
  const { input, plan, startsC } = planned.value
  const parts = [
    recoveryPart(plan, wishes),
    purityPart(solute, plan, wishes),
    volumePart(solute, plan, wishes),
    oilingPart(solute, candidate, startsC, wishes),
    freezingPart(candidate, wishes),
    dryingPart(candidate, wishes),
    certaintyPart(candidate, plan, wishes),
  ]
  const known = parts.flatMap(({ score }) => (score === null ? [] : [score]))
  const score = known.reduce((product, one) => product * one, 1) ** (1 / known.length)
  return {
    solvent,
    score,
    parts,
    sentence: inShort(parts, plan, isUnsure),
    input,
    plan,
    isUnsure,
    isRuledOut: false,
  }
}

function inShort(parts: readonly ScoredPart[], plan: CrystallizationPlan, isUnsure: boolean): string {
  const unsure = isUnsure ? 'Low confidence: try a little in a tube first. ' : ''
  const single = plan.hotBasis === 'single point' || plan.coldBasis === 'single point'
  const worst = [...parts].sort((p, q) => (p.score ?? 1) - (q.score ?? 1))[0]
  const message = worst && (worst.score ?? 1) < 0.9 ? worst.sentence : 'No property counts against it.'
  return `${unsure}${single ? 'Estimated from one point and the fusion enthalpy. ' : ''}${message}`
}

/** 0 at the first value, 1 at the second, straight between them; either way round. */
function between(value: number, [worthless, full]: readonly [number, number]): number {
  return Math.min(1, Math.max(0, (value - worthless) / (full - worthless)))
}

function recoveryPart(plan: CrystallizationPlan, wishes: SolventWishes): ScoredPart {
  const percent = plan.recoveryPercentOfProduct
  return {
    part: 'recovery',
    score: between(percent, wishes.recoveryPercent),
    sentence: `${percent.toFixed(0)} % of the product crystallizes again.`,
  }
}

function purityPart(solute: SoluteToPurify, plan: CrystallizationPlan, wishes: SolventWishes): ScoredPart {
  const name = solute.impurity?.name ?? 'the impurity'
  if (plan.impurityAssumedDissolved)
    return { part: 'purity', score: null, sentence: `Not known: no solubility of ${name} in it.` }
  const percent = 100 * plan.crystalMassFraction
  return {
    part: 'purity',
    score: between(plan.crystalMassFraction, wishes.purity),
    sentence:
      plan.impurityInCrystalsG > 0
        ? `Crystals about ${percent.toFixed(0)} % pure: ${name} crystallizes with them.`
        : 'Crystals over 99 % pure, at best.',
  }
}

function volumePart(solute: SoluteToPurify, plan: CrystallizationPlan, wishes: SolventWishes): ScoredPart {
  const perG = plan.hotML / solute.crudeG
  const [none, easy, most, absurd] = wishes.mlPerG
  const score =
    perG < easy
      ? between(Math.log(perG), [Math.log(none), Math.log(easy)])
      : between(Math.log(perG), [Math.log(absurd), Math.log(most)])
  const remark = perG < easy ? ': little to handle' : perG > most ? ': a lot to heat' : ''
  return { part: 'volume', score, sentence: `${significant(perG, 2)} mL per gram of crude${remark}.` }
}

function oilingPart(
  solute: SoluteToPurify,
  { solvent }: SolventCandidate,
  saturationC: number,
  wishes: SolventWishes,
): ScoredPart {
  const fusion = fusionOf(solute.compound)
  const risk = oilingRisk({
    saturationC,
    crudeOnsetC: solute.crudeOnsetC,
    eutecticC: solute.impurity ? eutectic(fusion, fusionOf(solute.impurity)).temperatureC : undefined,
    meltingPointC: fusion.meltingPointC,
    boilingPointC: boilsFromC(solvent),
    fromWater: solvent.group === 'water',
  })
  return { part: 'oiling', score: wishes.oiling[risk.level], sentence: risk.because }
}

function freezingPart({ solvent }: SolventCandidate, wishes: SolventWishes): ScoredPart {
  const { freezingPointC } = solvent
  if (freezingPointC === null)
    return { part: 'freezing', score: null, sentence: 'Not known: its freezing point.' }
  const marginC = wishes.iceC - freezingPointC
  if (freezesNearIce(solvent))
    return {
      part: 'freezing',
      score: between(marginC, wishes.freezingMarginC),
      sentence: `Freezes at ${freezingPointC.toFixed(1)} °C: use cool water, not ice, so less crystallizes.`,
    }
  return {
    part: 'freezing',
    score: between(marginC, wishes.freezingMarginC),
    sentence:
      marginC >= wishes.freezingMarginC[1]
        ? 'Stays liquid in the ice bath.'
        : `Freezes at ${freezingPointC.toFixed(1)} °C, close to the ice bath.`,
  }
}

/** A good plan from a poor figure is worth less than a fair plan from a sure one. */
function certaintyPart(
  { confidence }: SolventCandidate,
  { hotBasis, coldBasis }: CrystallizationPlan,
  wishes: SolventWishes,
): ScoredPart {
  const isSingle = hotBasis === 'single point' || coldBasis === 'single point'
  if (confidence === undefined && !isSingle)
    return { part: 'certainty', score: null, sentence: 'Not known: how sure its solubilities are.' }
  const multiplier = wishes.certainty[confidence ?? 'own']
  return {
    part: 'certainty',
    score: isSingle ? Math.min(multiplier, wishes.certainty.low) : multiplier,
    sentence: isSingle
      ? 'From one point, extended with the fusion enthalpy.'
      : confidence === null || confidence === undefined
        ? 'From points measured at this bench.'
        : `From reference values of ${confidence} confidence.`,
  }
}

function dryingPart({ solvent }: SolventCandidate, wishes: SolventWishes): ScoredPart {
  const boilsC = boilsToC(solvent)
  if (boilsC === null) return { part: 'drying', score: null, sentence: 'Not known: its boiling point.' }
  const [full, worthless] = wishes.boilingForDryingC
  return {
    part: 'drying',
    score: between(boilsC, [worthless, full]),
    sentence:
      boilsC <= full + 15
        ? `Boils at ${boilsC.toFixed(0)} °C: dries quickly in air.`
        : `Boils at ${boilsC.toFixed(0)} °C: dries slowly.`,
  }
}
