import { requireRange } from '../heating/observedRange'
import { ImpossibleInput, requireNumber } from '../problems'
import { actionsOf, notChecked } from './actions'
import { budgetOf } from './budget'
import type { HouseWords, RangeEvidence } from './evidence'
import { findingsOf } from './findings'
import { impurityOf } from './impurity'
import type { Judgement } from './judgement'
import { measure } from './measure'
import { decideVerdict } from './decideVerdict'

/**
 * Judges a range as a careful supervisor does: every degree between reading and literature, and of the width, belongs
 * to somebody (heating, melting time, thermometer, reading, solvent …), each from its least to its most; what nobody
 * else can own is the sample’s. Verdict, findings and next steps follow from that budget. A good range is consistent
 * with purity and never proof of it; only a mixed melt speaks for identity, and “cannot tell” is an answer.
 *
 * @param evidence ranges °C after what correction there is, rate °C/min, fill mm
 * @param rules the house’s words
 * @returns verdict, the budget with a sentence a row, mole fraction of impurity or null, findings with their numbers,
 * and what to do next, what would settle most first, with the rows it would remove
 * @throws ImpossibleInput on a range or literature that runs backwards, a rate not above 0, an empty tube
 * @example judgeRange({ ...evidence, reading: { onsetC: 94, clearC: 95 } }, rules).verdict // 'consistent with pure'
 */
export function judgeRange(evidence: RangeEvidence, rules: HouseWords): Judgement {
  requireEvidence(evidence)
  const settled = decideVerdict(evidence, rules)
  const measured = measure(settled.evidence, rules)
  const impurity =
    settled.verdict === 'not this compound'
      ? null
      : impurityOf(settled.evidence, settled.contributions, measured, rules)
  const budget = budgetOf(settled.evidence, settled.contributions, measured, rules)
  return {
    verdict: settled.verdict,
    measured,
    budget,
    impurity,
    findings: findingsOf(evidence, settled, measured, budget, impurity, rules),
    actions: actionsOf(settled, budget, rules),
    notChecked: notChecked(settled),
  }
}

function requireEvidence({ reading, literature, rateCPerMin, crude, authentic, repeats }: RangeEvidence) {
  requireRange(reading)
  if (literature) {
    requireNumber(literature.lowC, 'The literature low end')
    requireNumber(literature.highC, 'The literature high end')
    if (literature.lowC > literature.highC)
      throw new ImpossibleInput('range-inverted', 'The literature range runs backwards.')
  }
  for (const one of [rateCPerMin, ...repeats.map((repeat) => repeat.rateCPerMin)])
    if (!(one > 0 && Number.isFinite(one)))
      throw new ImpossibleInput(
        'bad-rate',
        `Nothing melts through at ${Number.isFinite(one) ? one.toFixed(1) : 'no known rate in'} °C/min: a heating rate is above zero.`,
      )
  for (const other of [crude, authentic, ...repeats]) if (other) requireRange(other)
}
