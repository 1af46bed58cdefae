import { isTooFast } from '../heating/watching'
import { tenths } from '../math/tenths'
import { span } from './budget'
import type { HouseWords, RangeEvidence } from './evidence'
import type { BudgetRow, Finding, Measured } from './judgement'
import { boiledOut, decomposes, hasOtherForms, saw } from './contributions'
import { atEutectic, authenticItself, belowEutectic, place } from './place'
import { c, finding } from './finding'
import { scatterC } from './combineRepeats'
import { isNoBetter } from './alone'
import { isLaterSolid, type Decision } from './decideVerdict'

/** What the range shows, each with its numbers: the width first, then the place, then what else speaks. */
export function findingsOf(
  read: RangeEvidence,
  settled: Decision,
  measured: Measured,
  budget: readonly BudgetRow[],
  impurity: readonly [number, number] | null,
  rules: HouseWords,
): readonly Finding[] {
  const { evidence } = settled
  return [
    ...behaviour(evidence),
    widthFinding(settled, measured, rules),
    ...place(settled, measured, budget, rules),
    ...authenticItself(settled, measured, rules),
    ...atEutectic(evidence, measured, rules),
    ...belowEutectic(evidence, settled),
    ...againstCrude(evidence, measured, rules),
    ...impurityFinding(evidence, impurity),
    ...mixedMelt(evidence),
    ...plateBeside(evidence),
    ...laterSolid(read, rules),
    ...tubes(read, settled, rules),
  ]
}

function behaviour(evidence: RangeEvidence): Finding[] {
  const found: Finding[] = []
  if (decomposes(evidence))
    found.push(
      finding(
        'decomposes',
        'Decomposes',
        `a decomposition point depends on the heating rate (${c(evidence.rateCPerMin)} °C/min here, to be reported with it) and does not measure purity`,
      ),
    )
  if (saw(evidence, 'solid that never melts'))
    found.push(
      finding(
        'residual-solid',
        'Solid left over',
        'something in the tube did not melt: grit, a salt or a drying agent. It hardly lowers the range',
      ),
    )
  if (evidence.behaviour === 'sublimes')
    found.push(
      finding('sublimes', 'Sublimes', 'in an open tube some of it sublimes before it melts: seal the tube'),
    )
  if (evidence.behaviour === 'hydrate')
    found.push(
      finding(
        'hydrate',
        'Hydrate or solvate',
        'it could lose its water or solvent before it melts: compare it with a sample dried the same way, and report both temperatures',
      ),
    )
  if (hasOtherForms(evidence))
    found.push(
      finding(
        'other-forms',
        'Other crystal forms',
        'a sharp range elsewhere could be another crystal form of the same compound: report both temperatures',
      ),
    )
  if (boiledOut(evidence))
    found.push(finding('boiled-out', 'Bubbled', 'where its solvent boils: some was still in the crystals'))
  return found
}

function widthFinding(
  { isTooFastToTell, contributions, evidence }: Decision,
  { widthC, against }: Measured,
  rules: HouseWords,
): Finding {
  const headline = `${c(widthC)} °C wide`
  const numbers = { widthC }
  if (tenths(widthC) <= rules.sharpWidthC)
    return finding('sharp', headline, `sharp by house rules (${c(rules.sharpWidthC)} °C or less)`, numbers)
  // Beside an authentic sample what heating and packing make is seen, and needs no guess.
  const beside =
    against?.what === 'authentic'
      ? `; the authentic sample beside it is ${c(against.highC - against.lowC)} °C wide`
      : ''
  if (isTooFastToTell && beside === '') {
    const why = contributions.isRateLoose
      ? isTooFast(evidence.rateCPerMin, rules.meltRate)
        ? 'too fast to judge its width'
        : 'its rate was not measured, so its width cannot be judged'
      : 'too full or too coarse to judge its width'
    return finding(
      'too-fast-to-tell',
      headline,
      `${why}: melting through may take ${span(contributions.meltingTime)} °C of it`,
      numbers,
    )
  }
  const words = `(${c(rules.sharpWidthC)} °C or less)`
  return tenths(widthC) <= rules.broadWidthC
    ? finding(
        'a-little-wide',
        headline,
        `between sharp ${words} and broad (over ${c(rules.broadWidthC)} °C) by house rules${beside}`,
        numbers,
      )
    : finding('broad', headline, `broad by house rules (over ${c(rules.broadWidthC)} °C)${beside}`, numbers)
}

function againstCrude({ crude, reading }: RangeEvidence, { widthC }: Measured, rules: HouseWords): Finding[] {
  if (!crude) return []
  const crudeWidthC = crude.clearC - crude.onsetC
  const riseC = reading.onsetC - crude.onsetC
  const narrowerC = crudeWidthC - widthC
  const headline = `Crude was ${c(crudeWidthC)} °C wide`
  const numbers = { crudeWidthC, onsetRiseC: riseC }
  const moved = `the product begins ${c(Math.abs(riseC))} °C ${riseC >= 0 ? 'higher' : 'lower'} and is ${c(Math.abs(narrowerC))} °C ${narrowerC >= 0 ? 'narrower' : 'wider'}`
  const worseC = Math.max(-riseC, -narrowerC)
  if (isNoBetter(reading, crude, rules) && tenths(worseC) > rules.repeatWithinC)
    return [
      finding(
        'worse-than-crude',
        headline,
        `${moved}: worse than the crude it came from. Were the two tubes swapped? If not, it is damp or contaminated`,
        numbers,
      ),
    ]
  return [
    isNoBetter(reading, crude, rules)
      ? finding(
          'no-better-than-crude',
          headline,
          `${moved}: within the difference between repeats (${c(rules.repeatWithinC)} °C), so no improvement is shown`,
          numbers,
        )
      : finding('better-than-crude', headline, moved, numbers),
  ]
}

function impurityFinding(
  { impurity, fusion }: RangeEvidence,
  bounds: readonly [number, number] | null,
): Finding[] {
  if (!bounds) return []
  const [least, most] = bounds.map((fraction) => 100 * fraction) as [number, number]
  const name = impurity?.name ?? 'Impurity'
  return [
    finding(
      'impurity',
      `${name} ${percentBetween(least, most)} mol %`,
      `if it dissolves in the melt and is the smaller part. Calculated from both ends, allowing for heating, thermometer and reading. Sand or salt would not show${fusion?.estimated ? '. Its fusion enthalpy is estimated (Walden’s rule)' : ''}`,
      { leastMolPercent: least, mostMolPercent: most },
    ),
  ]
}

/** “at most 4”, or “3 to 9” where some is there for certain. */
export function percentBetween(least: number, most: number): string {
  const top = Math.max(1, Math.ceil(most))
  return Math.floor(least) < 1 ? `at most ${top}` : `${Math.floor(least)} to ${top}`
}

const MIXED = {
  same: { code: 'mixed-same', headline: 'Mixed melt: one compound' },
  different: { code: 'mixed-different', headline: 'Mixed melt: two compounds' },
  repeat: { code: 'mixed-unclear', headline: 'Mixed melt: unclear' },
} as const

function mixedMelt({ mixed }: RangeEvidence): Finding[] {
  if (!mixed) return []
  const { code, headline } = MIXED[mixed.verdict]
  return [finding(code, headline, mixed.because)]
}

function plateBeside({ plate }: RangeEvidence): Finding[] {
  if (!plate) return []
  const { sentence, spots, sameHeight, isPoor } = plate
  const found: Finding[] = []
  if (isPoor) found.push(finding('plate-poor', 'Plate: poor evidence', sentence))
  else if (sameHeight === false) found.push(finding('plate-differs', 'Plate: not the same height', sentence))
  else if (sameHeight) found.push(finding('plate-agrees', 'Plate: the same height', sentence))
  if (spots > 1)
    found.push(
      finding(
        'plate-more-spots',
        `Plate: ${spots} spots`,
        'a plate shows a second compound in amounts too small to change a melting range',
        { spots },
      ),
    )
  return found
}

/** A tube that never melted is a measurement too. */
function laterSolid(read: RangeEvidence, rules: HouseWords): Finding[] {
  if (!isLaterSolid(read, rules)) return []
  const atC = read.laterSolidAtC ?? NaN
  return [
    finding(
      'later-solid',
      `A later tube solid at ${c(atC)} °C`,
      `this one was all liquid ${c(atC - read.reading.clearC)} °C below that: the two tubes held different samples, or the marks were given to the wrong tube`,
      { atC },
    ),
  ]
}

/** Several tubes of one sample: what they come to together. */
function tubes(read: RangeEvidence, { evidence: judged, by }: Decision, rules: HouseWords): Finding[] {
  const all = [read.reading, ...read.repeats]
  if (all.length < 2) return setAside(read)
  if (by === 'no rate') {
    const rates = [read.rateCPerMin, ...read.repeats.map(({ rateCPerMin }) => rateCPerMin)]
    return [
      finding(
        'zero-rate',
        `${all.length} rates`,
        `${rates.map(c).join(', ')} °C/min, extrapolated to zero rate: ${c(judged.reading.onsetC)} to ${c(judged.reading.clearC)} °C`,
        { onsetC: judged.reading.onsetC, clearC: judged.reading.clearC },
      ),
      ...setAside(read),
    ]
  }
  const spreadC = scatterC(all)
  const numbers = { count: all.length, spreadC }
  return [
    tenths(spreadC) > rules.repeatWithinC
      ? finding(
          'repeats-scatter',
          `Repeats ${c(spreadC)} °C apart`,
          `${all.length} tubes should agree within ${c(rules.repeatWithinC)} °C by house rules: ${judged.authentic ? 'the one beside the authentic sample is judged, because those two share heating and thermometer' : 'no single one of them is judged'}`,
          numbers,
        )
      : finding(
          'repeats-agree',
          `${all.length} tubes agree`,
          `within ${c(spreadC)} °C (house rules ask for ${c(rules.repeatWithinC)} °C)${judged.authentic ? '; the one beside the authentic sample is judged' : ': judged as one better reading, their mean'}`,
          numbers,
        ),
    ...setAside(read),
  ]
}

/** Tubes that a later one was meant to mend are no repeats of it. */
function setAside({ setAside: count }: RangeEvidence): Finding[] {
  if (count === 0) return []
  const many = count > 1
  return [
    finding(
      'set-aside',
      `${count} earlier ${many ? 'tubes' : 'tube'} not counted`,
      `${many ? 'they were' : 'it was'} packed, dried, watched or corrected differently from this one: not a repeat of it`,
      { count },
    ),
  ]
}
