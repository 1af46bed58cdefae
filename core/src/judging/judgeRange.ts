import type { Evidence } from './evidence'
import { type MeltingRange, visibleUnder } from '../melting/meltingRange'
import type { JudgeInput, Judgement, Verdict } from './judgement'
import { type Fusion, impurityFromClearPoint } from '../melting/liquidus'
import type { Conventions } from '../conventions/conventions'
import { heatingShare, ORDINARY_PACKING, withoutHeating } from '../heating/heatingShare'
import { meltMin, requireRange } from '../heating/observedRange'
import { compositionFromRange } from '../melting/compositionFromRange'
import { eutectic } from '../melting/eutectic'
import { ImpossibleInput, requireNumber } from '../problems'
import { actionsFor } from './actions'
import { findingsFor } from './findings'

/**
 * Judges a melting range as evidence of purity, with what the heating rate, packing and thermometer explain
 * charged first. A good range is consistent with purity and never proof of it; only a mixed melt speaks for
 * identity, and “cannot tell” is an answer.
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

/** Simple pairs meet within so much of where the ideal relation puts their eutectic, °C. */
const EUTECTIC_WITHIN_C = 3

function weigh(input: JudgeInput, conventions: Conventions): Evidence {
  const { corrected, rateCPerMin, fusion, impurity } = input
  const share = heatingShare(input)
  const widthC = corrected.clearC - corrected.onsetC
  const beyondOrdinaryC =
    rateCPerMin * meltMin(input) - conventions.meltRate.target * meltMin(ORDINARY_PACKING)
  const slow = withoutHeating(corrected, share)
  const target = targetOf(input, conventions)
  const fairWidthC = Math.max(0, widthC - Math.max(0, beyondOrdinaryC))
  const onsetLowByC = Math.max(0, target.lowC - slow.onsetC)
  const clearHighByC = Math.max(0, slow.clearC - target.highC)
  const isSharp = tenths(fairWidthC) <= conventions.sharpWidthC
  const pure = fusion && { ...fusion, meltingPointC: target.highC }
  const eutecticC = pure && impurity ? eutectic(pure, impurity.fusion).temperatureC : null
  return {
    widthC,
    fairWidthC,
    slow,
    ...share,
    target,
    onsetLowByC,
    clearLowByC: Math.max(0, target.lowC - slow.clearC),
    clearHighByC,
    isSharp,
    isBroad: tenths(fairWidthC) > conventions.broadWidthC,
    agrees: tenths(onsetLowByC) <= target.withinC && tenths(clearHighByC) <= target.withinC,
    impurityAtMost: pure ? impurityBound(pure, slow, conventions) : null,
    composition:
      pure && impurity
        ? compositionFromRange(
            pure,
            impurity.fusion,
            slow,
            conventions.readingErrorC,
            visibleUnder(conventions),
          )
        : null,
    eutecticC,
    isAtEutectic:
      isSharp &&
      onsetLowByC > target.withinC &&
      eutecticC !== null &&
      Math.abs(slow.clearC - eutecticC) <= EUTECTIC_WITHIN_C,
  }
}

/**
 * Beside an authentic sample the thermometer and the heating cancel, since it was heated and packed alike; two
 * reading errors do not (× √2, at 95 %).
 */
function targetOf(input: JudgeInput, conventions: Conventions): Evidence['target'] {
  const { authenticSameRun: authentic, literature } = input
  if (!authentic) return { ...literature, withinC: conventions.literatureWithinC }
  const { lagShiftC, rateWideningC } = heatingShare(input)
  const slow = withoutHeating(authentic, { lagShiftC, rateWideningC, fillWideningC: 0 })
  return {
    lowC: slow.onsetC,
    highC: slow.clearC,
    withinC: authenticWithinC(conventions),
  }
}

/**
 * From the clear point 1 − x_sat(clear); from the onset, where the fraction φ that the house's mark stands for is
 * liquid, φ·(1 − x_sat(onset)).
 * Each end read two standard errors low; the larger bound stands.
 */
function impurityBound(
  pure: Fusion,
  slow: MeltingRange,
  { readingErrorC, onsetRule }: Pick<Conventions, 'readingErrorC' | 'onsetRule'>,
): number {
  const lowered = (readC: number) => impurityFromClearPoint(pure, readC - 2 * readingErrorC)
  return Math.max(
    lowered(slow.clearC),
    visibleUnder({ onsetRule }).visibleLiquidFraction * lowered(slow.onsetC),
  )
}

function verdictOf(input: JudgeInput, evidence: Evidence, conventions: Conventions): Verdict {
  if (input.mixed?.verdict === 'different') return 'not this compound'
  if (input.decomposed) return 'cannot tell'
  if (input.residualSolid) return 'impure'
  return besideThePlate(input, byTheRange(input, evidence, conventions))
}

function byTheRange(input: JudgeInput, evidence: Evidence, conventions: Conventions): Verdict {
  const { isSharp, isBroad, agrees, onsetLowByC, clearHighByC, target } = evidence
  if (isSharp && agrees) return 'consistent with pure'
  const trusted = input.calibration === 'in place' || input.authenticSameRun !== undefined
  if (isSharp) {
    // Unchanged by the authentic sample: then what is off is a thermometer nobody has calibrated.
    if (input.mixed?.verdict === 'same') return trusted ? 'cannot tell' : 'consistent with pure'
    if (evidence.isAtEutectic) return 'cannot tell'
    const offByC = Math.max(onsetLowByC, clearHighByC)
    return trusted && offByC > target.withinC + 3 * conventions.literatureWithinC
      ? 'not this compound'
      : 'cannot tell'
  }
  if (clearHighByC > target.withinC || (isBroad && agrees)) return 'cannot tell'
  if (isBroad) return 'impure'
  return onsetLowByC <= 2 * target.withinC ? 'nearly pure' : 'impure'
}

/** A plate sees small amounts of a second compound that a range does not, and can contradict it. */
function besideThePlate({ plate, mixed }: JudgeInput, verdict: Verdict): Verdict {
  if (!plate || verdict !== 'consistent with pure') return verdict
  if (plate.agrees === false && mixed?.verdict !== 'same') return 'cannot tell'
  return plate.spots > 1 ? 'nearly pure' : verdict
}

/** How far two readings of one temperature may differ by chance, at 95 %, °C: twice √2 times the error of one. */
export function authenticWithinC({ readingErrorC }: Pick<Conventions, 'readingErrorC'>): number {
  return tenths(2 * Math.SQRT2 * readingErrorC)
}

/** Widths are compared in the tenths they are read in, so that 2.0 is not “over 2.0” by a binary fraction. */
function tenths(value: number): number {
  return Math.round(value * 10) / 10
}
