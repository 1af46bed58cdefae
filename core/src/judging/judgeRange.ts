import type { Conventions, Fusion, JudgeInput, Judgement, MeltingRange, Verdict } from '../contract'
import { meltMin, requireRange } from '../heating/observedRange'
import { impurityFromClearPoint } from '../melting/liquidus'
import { ImpossibleInput, requireNumber } from '../problems'
import { actionsFor } from './actions'
import { findingsFor } from './findings'

/**
 * Net lag of a fine powder behind a metal probe in the same block. Typical, and shown as such; an
 * instrument's own calibration at the same rate replaces it.
 */
const TYPICAL_NET_LAG_MIN = 0.2
/** The sample every rule of thumb about widths has in mind. */
const ORDINARY_PACKING = { fillMm: 2, grain: 'fine' } as const

/** What the readings come to once heating rate and packing are taken off; all °C. */
export interface Evidence {
  readonly widthC: number
  /** Width with what is beyond ordinary rate and packing taken off. */
  readonly fairWidthC: number
  /** Both ends as infinitely slow heating would give them. */
  readonly slow: MeltingRange
  readonly lagShiftC: number
  readonly rateWideningC: number
  readonly fillWideningC: number
  /** The range to be met: the authentic sample's of the same run, or the literature's. */
  readonly target: { readonly lowC: number; readonly highC: number; readonly withinC: number }
  readonly onsetLowByC: number
  readonly clearLowByC: number
  readonly clearHighByC: number
  readonly isSharp: boolean
  readonly isBroad: boolean
  readonly agrees: boolean
  /** Upper bound from both ends, mole fraction; null without a fusion enthalpy. */
  readonly impurityAtMost: number | null
}

/**
 * Judges a melting range as evidence of purity, with what the heating rate, packing and thermometer explain
 * charged first. A good range is consistent with purity and never proof of it.
 *
 * @param input ranges °C, rate °C/min, fill mm
 * @param conventions house rules
 * @returns verdict, findings with their numbers, and actions, the most useful first
 * @throws ImpossibleInput on an inverted range, a rate below 0, or an empty tube
 * @example judgeRange({ corrected: { onsetC: 94, clearC: 95 }, literature: { lowC: 94, highC: 96 }, ... }, rules).verdict // 'consistent with pure'
 */
export function judgeRange(input: JudgeInput, conventions: Conventions): Judgement {
  requireInput(input)
  const evidence = weigh(input, conventions)
  const verdict = verdictOf(input, evidence, conventions)
  return {
    verdict,
    findings: findingsFor(input, evidence, conventions),
    actions: actionsFor(input, evidence, verdict, conventions),
  }
}

function requireInput(input: JudgeInput): void {
  requireRange(input.corrected)
  requireNumber(input.literature.lowC, 'The literature low end')
  requireNumber(input.literature.highC, 'The literature high end')
  if (input.literature.lowC > input.literature.highC)
    throw new ImpossibleInput('range-inverted', 'The literature range runs backwards.')
  if (!(input.rateCPerMin >= 0 && Number.isFinite(input.rateCPerMin)))
    throw new ImpossibleInput('bad-rate', 'A heating rate cannot be below zero.')
  if (input.crude) requireRange(input.crude)
  if (input.authenticSameRun) requireRange(input.authenticSameRun)
}

function weigh(input: JudgeInput, conventions: Conventions): Evidence {
  const { corrected, rateCPerMin } = input
  const inPlace = input.calibration === 'in place'
  const ordinaryMin = meltMin(ORDINARY_PACKING)
  const packedMin = meltMin(input)
  const lagShiftC = inPlace ? 0 : rateCPerMin * TYPICAL_NET_LAG_MIN
  const rateWideningC = inPlace ? 0 : rateCPerMin * ordinaryMin
  const fillWideningC = rateCPerMin * (packedMin - ordinaryMin)
  const widthC = corrected.clearC - corrected.onsetC
  const beyondOrdinaryC = rateCPerMin * packedMin - conventions.meltRate.target * ordinaryMin
  const slow = {
    onsetC: corrected.onsetC - lagShiftC,
    clearC: Math.max(corrected.onsetC, corrected.clearC - rateWideningC - fillWideningC) - lagShiftC,
  }
  const target = targetOf(input, conventions, lagShiftC, rateWideningC)
  const fairWidthC = Math.max(0, widthC - Math.max(0, beyondOrdinaryC))
  const onsetLowByC = Math.max(0, target.lowC - slow.onsetC)
  const clearHighByC = Math.max(0, slow.clearC - target.highC)
  return {
    widthC,
    fairWidthC,
    slow,
    lagShiftC,
    rateWideningC,
    fillWideningC,
    target,
    onsetLowByC,
    clearLowByC: Math.max(0, target.lowC - slow.clearC),
    clearHighByC,
    isSharp: tenths(fairWidthC) <= conventions.sharpWidthC,
    isBroad: tenths(fairWidthC) > conventions.broadWidthC,
    agrees: tenths(onsetLowByC) <= target.withinC && tenths(clearHighByC) <= target.withinC,
    impurityAtMost: input.fusion
      ? impurityBound(input.fusion, target.highC, slow, conventions.readingErrorC)
      : null,
  }
}

/** Beside an authentic sample the thermometer and the lag cancel; two reading errors do not (× √2, at 95 %). */
function targetOf(input: JudgeInput, conventions: Conventions, lagShiftC: number, rateWideningC: number) {
  const { authenticSameRun: authentic, literature } = input
  if (!authentic) return { ...literature, withinC: conventions.literatureWithinC }
  return {
    lowC: authentic.onsetC - lagShiftC,
    highC: Math.max(authentic.onsetC, authentic.clearC - rateWideningC) - lagShiftC,
    withinC: tenths(2 * Math.SQRT2 * conventions.readingErrorC),
  }
}

/**
 * From the clear point 1 − x_sat(clear); from the onset, where a fraction 0.2 is liquid, 0.2·(1 − x_sat(onset)).
 * Each end read two standard errors low; the larger bound stands.
 */
function impurityBound(
  fusion: Fusion,
  pureClearC: number,
  slow: MeltingRange,
  readingErrorC: number,
): number {
  const pure = { ...fusion, meltingPointC: pureClearC }
  const lowered = (readC: number) => impurityFromClearPoint(pure, readC - 2 * readingErrorC)
  return Math.max(lowered(slow.clearC), 0.2 * lowered(slow.onsetC))
}

function verdictOf(input: JudgeInput, evidence: Evidence, conventions: Conventions): Verdict {
  const { isSharp, isBroad, agrees, onsetLowByC, clearHighByC } = evidence
  const withinC = evidence.target.withinC
  if (input.decomposed) return 'cannot tell'
  if (input.residualSolid) return 'impure'
  if (isSharp && agrees) return 'consistent with pure'
  const trusted = input.calibration === 'in place' || input.authenticSameRun !== undefined
  if (isSharp) {
    const offByC = Math.max(onsetLowByC, clearHighByC)
    return trusted && offByC > withinC + 3 * conventions.literatureWithinC
      ? 'not this compound'
      : 'cannot tell'
  }
  if (clearHighByC > withinC || (isBroad && agrees)) return 'cannot tell'
  if (isBroad) return 'impure'
  return onsetLowByC <= 2 * withinC ? 'nearly pure' : 'impure'
}

/** Widths are compared in the tenths they are read in, so that 2.0 is not “over 2.0” by a binary fraction. */
function tenths(value: number): number {
  return Math.round(value * 10) / 10
}
