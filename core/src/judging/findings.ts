import type { Finding, JudgeInput } from './judgement'
import type { Conventions } from '../conventions/conventions'
import type { Evidence } from './evidence'

const c = (value: number) => value.toFixed(1)

/** What the range shows, each with its numbers: the width first, then the place, then what explains it. */
export function findingsFor(
  input: JudgeInput,
  evidence: Evidence,
  conventions: Conventions,
): readonly Finding[] {
  return [
    ...outright(input),
    widthFinding(evidence, conventions),
    ...placeFindings(input, evidence),
    ...explanations(input, evidence, conventions),
    ...beforeAndAfter(input, evidence),
    ...impurity(input, evidence),
    ...thermometer(input, evidence),
    ...mixedMelt(input),
    ...plateBeside(input),
    ...scatter(input, conventions),
  ]
}

function outright(input: JudgeInput): Finding[] {
  const found: Finding[] = []
  if (input.decomposed)
    found.push({
      code: 'decomposes',
      numbers: {},
      headline: 'Decomposed',
      sentence: 'a decomposition point depends on how fast it was reached and does not measure purity',
    })
  if (input.residualSolid)
    found.push({
      code: 'residual-solid',
      numbers: {},
      headline: 'Solid left over',
      sentence:
        'something in the tube did not melt at all: grit, a salt or drying agent. It hardly lowers the range',
    })
  return found
}

function widthFinding(
  { widthC, fairWidthC, isSharp, isBroad, onsetLowByC, target }: Evidence,
  rules: Conventions,
): Finding {
  const explained = widthC - fairWidthC
  const minus = explained >= 0.05 ? `; ${c(explained)} of it is fast heating or packing` : ''
  const headline = `${c(widthC)} °C wide`
  const numbers = { widthC, fairWidthC }
  if (isSharp)
    return {
      code: 'sharp',
      numbers,
      headline,
      sentence: `sharp by house rules (${c(rules.sharpWidthC)} or less)${minus}`,
    }
  if (!isBroad)
    return {
      code: 'a-little-wide',
      numbers,
      headline,
      sentence: `between sharp (${c(rules.sharpWidthC)} or less) and broad (over ${c(rules.broadWidthC)}) by house rules${minus}`,
    }
  if (onsetLowByC > target.withinC)
    return {
      code: 'low-and-broad',
      numbers: { ...numbers, onsetLowByC },
      headline,
      sentence: `broad (over ${c(rules.broadWidthC)}) and it begins ${c(onsetLowByC)} °C low: the mark of a soluble impurity, or of damp${minus}`,
    }
  return {
    code: 'broad',
    numbers,
    headline,
    sentence: `broad by house rules (over ${c(rules.broadWidthC)})${minus}`,
  }
}

function placeFindings(input: JudgeInput, evidence: Evidence): Finding[] {
  const { target, onsetLowByC, clearHighByC, isSharp, agrees } = evidence
  const beside = input.authenticSameRun ? 'the authentic sample' : 'the literature'
  const found: Finding[] = []
  if (input.authenticSameRun) found.push(authenticFinding(input.authenticSameRun, input, evidence))
  else if (agrees && onsetLowByC === 0 && clearHighByC === 0)
    found.push({
      code: 'agrees-with-literature',
      numbers: { onsetC: evidence.slow.onsetC, clearC: evidence.slow.clearC },
      headline: 'Within literature',
      sentence: `both ends lie in ${c(target.lowC)} to ${c(target.highC)} °C once the heating rate is taken off`,
    })
  else if (agrees)
    found.push({
      code: 'agrees-with-literature',
      numbers: { onsetLowByC, clearHighByC },
      headline: `${c(Math.max(onsetLowByC, clearHighByC))} °C from literature`,
      sentence: `within the ${c(target.withinC)} °C house rules allow beside ${c(target.lowC)} to ${c(target.highC)} °C`,
    })
  if (isSharp && onsetLowByC > target.withinC) {
    const doubts = input.authenticSameRun
      ? 'another compound, or a mixture at its eutectic'
      : input.calibration === 'none'
        ? 'another compound, a mixture at its eutectic, or an uncalibrated thermometer'
        : 'another compound, a mixture at its eutectic, or a thermometer that has changed since'
    found.push({
      code: 'sharp-but-low',
      numbers: { onsetLowByC },
      headline: `${c(onsetLowByC)} °C low, yet sharp`,
      sentence: `below ${beside}: ${doubts}`,
    })
  }
  if (evidence.isAtEutectic && evidence.eutecticC !== null)
    found.push({
      code: 'possible-eutectic',
      numbers: { eutecticC: evidence.eutecticC },
      headline: `Near the eutectic, ${c(evidence.eutecticC)} °C`,
      sentence: `a mixture with ${input.impurity?.name ?? 'the impurity'} at this composition would melt as sharply as a pure compound, just here (met within about 3 °C)`,
    })
  if (clearHighByC > target.withinC)
    found.push({
      code: evidence.isBroad || !isSharp ? 'top-passes-literature' : 'high',
      numbers: { clearHighByC },
      headline: `${c(clearHighByC)} °C above`,
      sentence:
        evidence.isBroad || !isSharp
          ? `the top passes ${beside}: heated too fast, packed too full, or the thermometer reads high. Impurity does not do this`
          : `above ${beside}: another compound, or the thermometer reads high`,
    })
  return found
}

function authenticFinding(
  authentic: { onsetC: number; clearC: number },
  input: JudgeInput,
  evidence: Evidence,
): Finding {
  const onsetC = input.corrected.onsetC - authentic.onsetC
  const clearC = input.corrected.clearC - authentic.clearC
  const apart = Math.abs(onsetC) > Math.abs(clearC) ? onsetC : clearC
  const agrees = Math.abs(apart) <= evidence.target.withinC + 0.05
  return {
    code: agrees ? 'agrees-with-authentic' : 'differs-from-authentic',
    numbers: { onsetDifferenceC: onsetC, clearDifferenceC: clearC, byChanceC: evidence.target.withinC },
    headline: `${c(Math.abs(apart))} °C ${apart < 0 ? 'below' : 'above'} authentic`,
    sentence: `same run, so the thermometer cancels; two readings differ by up to ${c(evidence.target.withinC)} by chance`,
  }
}

function explanations(input: JudgeInput, evidence: Evidence, rules: Conventions): Finding[] {
  const found: Finding[] = []
  const widening = evidence.rateWideningC + Math.max(0, evidence.fillWideningC)
  if (evidence.rateWideningC > 0)
    found.push({
      code: 'rate-explains',
      numbers: {
        rateCPerMin: input.rateCPerMin,
        shiftC: evidence.lagShiftC,
        wideningC: evidence.rateWideningC,
      },
      headline: `${c(widening)} °C from heating`,
      sentence: `at ${c(input.rateCPerMin)} °C/min both ends read about ${c(evidence.lagShiftC)} late and the top ${c(widening)} more${input.rateCPerMin > rules.meltRate.max ? '; faster than house rules allow' : ''} (typical values)`,
    })
  if (input.fillMm > rules.fillMm[1] || input.grain === 'coarse')
    found.push({
      code: 'fill-explains',
      numbers: { fillMm: input.fillMm, wideningC: evidence.fillWideningC },
      headline: `${c(evidence.fillWideningC)} °C from packing`,
      sentence: `${c(input.fillMm)} mm of ${input.grain} powder; house rules ask for ${rules.fillMm[0]} to ${rules.fillMm[1]} mm, fine`,
    })
  if (!input.dried)
    found.push({
      code: 'damp-possible',
      numbers: {},
      headline: 'Perhaps damp',
      sentence:
        'drying was not recorded as house rules ask; solvent left in the crystals melts low and broad like any impurity',
    })
  return found
}

function beforeAndAfter({ crude, corrected }: JudgeInput, evidence: Evidence): Finding[] {
  if (!crude) return []
  const crudeWidthC = crude.clearC - crude.onsetC
  const gained = crudeWidthC - evidence.widthC
  if (gained <= 0 && corrected.onsetC <= crude.onsetC) return []
  return [
    {
      code: 'better-than-crude',
      numbers: { crudeWidthC, onsetRiseC: corrected.onsetC - crude.onsetC },
      headline: `Crude was ${c(crudeWidthC)} °C wide`,
      sentence: `the product begins ${c(Math.abs(corrected.onsetC - crude.onsetC))} °C ${corrected.onsetC >= crude.onsetC ? 'higher' : 'lower'} and is ${c(Math.abs(gained))} °C ${gained >= 0 ? 'narrower' : 'wider'}`,
    },
  ]
}

function impurity(input: JudgeInput, evidence: Evidence): Finding[] {
  const { impurityAtMost, clearHighByC, target, agrees, isSharp } = evidence
  if (impurityAtMost === null || input.decomposed || clearHighByC > target.withinC) return []
  const name = input.impurity?.name ?? 'Impurity'
  if (!agrees && !isSharp) {
    const estimate = impurityEstimate(name, evidence)
    if (estimate) return [estimate]
  }
  const percent = 100 * impurityAtMost
  const shown = percent < 1 ? '1' : String(Math.ceil(percent))
  return [
    {
      code: 'impurity-at-most',
      numbers: { molPercent: percent },
      headline: `${name} at most ${shown} mol %`,
      sentence:
        'if it dissolves in the melt; from both ends with the heating rate taken off and two reading errors allowed. Sand or salt would not show',
    },
  ]
}

/** How much of the impurity named the clear point speaks for, and whether the onset says the same. */
function impurityEstimate(name: string, { composition, slow }: Evidence): Finding | null {
  if (!composition) return null
  const molPercent = 100 * (1 - composition.moleFractionA)
  const [low, high] = [100 * (1 - composition.high), 100 * (1 - composition.low)]
  const onset =
    composition.doubt === null
      ? `The onset fits (about ${c(composition.predictedOnsetC)} °C expected)`
      : composition.doubt.replace(/\.$/, '')
  return {
    code: 'impurity-estimate',
    numbers: {
      molPercent,
      lowMolPercent: low,
      highMolPercent: high,
      predictedOnsetC: composition.predictedOnsetC,
    },
    headline: `${name} about ${molPercent.toFixed(0)} mol %`,
    sentence: `between ${low.toFixed(0)} and ${high.toFixed(0)}, from the clear point of ${c(slow.clearC)} °C with heating taken off, as far as the ideal relation holds. ${onset}`,
  }
}

function thermometer(input: JudgeInput, { onsetLowByC, clearHighByC, target }: Evidence): Finding[] {
  if (input.authenticSameRun) return []
  if (input.calibration === 'none')
    return [
      {
        code: 'calibration-missing',
        numbers: {},
        headline: 'Thermometer as it reads',
        sentence:
          'no calibration is on record, so how far both ends are off together is not known; the width is not affected',
      },
    ]
  const errorC = input.thermometerErrorC ?? null
  const offByC = Math.max(onsetLowByC, clearHighByC)
  if (errorC === null || offByC === 0) return []
  return [
    {
      code: 'thermometer-explains',
      numbers: { errorC, offByC },
      headline: `Thermometer good to ${c(errorC)} °C`,
      sentence:
        2 * errorC >= offByC
          ? `the ${c(offByC)} °C it is off ${target.withinC >= offByC ? 'is within what house rules allow and ' : ''}may be the thermometer`
          : `the thermometer explains at most ${c(2 * errorC)} of the ${c(offByC)} °C it is off`,
    },
  ]
}

const MIXED = {
  same: { code: 'mixed-same', headline: 'Mixed melt: unchanged' },
  different: { code: 'mixed-different', headline: 'Mixed melt: lower and broader' },
  repeat: { code: 'mixed-unclear', headline: 'Mixed melt: unclear' },
} as const

function mixedMelt({ mixed }: JudgeInput): Finding[] {
  if (!mixed) return []
  return [{ ...MIXED[mixed.verdict], numbers: {}, sentence: mixed.because }]
}

function plateBeside({ plate }: JudgeInput): Finding[] {
  if (!plate) return []
  const { sentence, spots } = plate
  const found: Finding[] = []
  if (plate.isPoor)
    found.push({ code: 'plate-poor', numbers: {}, headline: 'Plate: poor evidence', sentence })
  else if (plate.agrees === false)
    found.push({ code: 'plate-differs', numbers: {}, headline: 'Plate: not the same height', sentence })
  else if (plate.agrees)
    found.push({ code: 'plate-agrees', numbers: {}, headline: 'Plate: the same height', sentence })
  if (spots > 1)
    found.push({
      code: 'plate-more-spots',
      numbers: { spots },
      headline: `Plate: ${spots} spots`,
      sentence: 'a plate shows amounts of a second compound too small to move a melting range',
    })
  return found
}

function scatter({ repeats }: JudgeInput, rules: Conventions): Finding[] {
  if (!repeats || repeats.count < 2 || repeats.spreadC <= rules.repeatWithinC) return []
  return [
    {
      code: 'repeats-scatter',
      numbers: repeats,
      headline: `Repeats ${c(repeats.spreadC)} °C apart`,
      sentence: `${repeats.count} determinations should agree within ${c(rules.repeatWithinC)} by house rules; judge none of them alone`,
    },
  ]
}
