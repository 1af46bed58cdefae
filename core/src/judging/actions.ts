import { carefulRunMin } from './carefulRun'
import type { HouseWords } from './evidence'
import type { Action, BudgetRow, NextStep, Cause } from './judgement'
import { airMinutesFor } from '../weighing/airDrying'
import { tenths } from '../math/tenths'
import { hasOtherForms, isChecked, isShownDry } from './contributions'
import type { Decision } from './decideVerdict'

/** Minutes of bench work beside the melting, as a careful student takes them. */
const PLATE_MIN = 20
const RECRYSTALLIZE_MIN = 60
const DRY_MIN = 15
const GRIND_MIN = 5

/** The rows of the budget each step would empty or shrink. */
const REMOVES: Readonly<Record<NextStep, readonly Cause[]>> = {
  sign: [],
  'mixed melt': ['thermometer', 'heating', 'literature'],
  'grind again and repeat the mixture': ['reading'],
  'melt beside authentic': ['thermometer', 'heating', 'melting time', 'literature'],
  'check the thermometer': ['thermometer', 'heating'],
  'repeat slower': ['heating', 'melting time', 'late'],
  'repeat with less, finer': ['melting time'],
  'repeat as it was': ['reading', 'late'],
  'dry and repeat': ['solvent'],
  'new tube, put in late': ['heating', 'late'],
  recrystallize: ['sample'],
  'recrystallize from another solvent': ['sample'],
  'hot filter': ['sample'],
  'thin-layer plate': [],
  'find out what it is': [],
}

/**
 * What to do next, with its minutes: first what settles it, then what takes most doubt out of the budget a minute; of
 * two worth as much the one that also serves the next student.
 */
export function actionsOf(
  settled: Decision,
  budget: readonly BudgetRow[],
  rules: HouseWords,
): readonly Action[] {
  const [first, ...rest] = settled.next.map((code): Action => {
    const { minutes, sentence } = actionSentence(code, settled, rules)
    const removes = REMOVES[code]
    return minutes === undefined ? { code, removes, sentence } : { code, minutes, removes, sentence }
  })
  const worth = new Map(rest.map((action) => [action, worthOf(action, budget)]))
  const serves = ({ code }: Action) => (code === 'check the thermometer' ? 1 : 0)
  const ordered = [...rest].sort((p, q) => (worth.get(q) ?? 0) - (worth.get(p) ?? 0) || serves(q) - serves(p))
  return first ? [first, ...ordered] : []
}

/** Degrees of doubt a step takes out of the budget, a minute; signing costs none. */
function worthOf({ code, minutes, removes }: Action, budget: readonly BudgetRow[]): number {
  if (code === 'sign') return Infinity
  const doubtC = budget
    .filter(({ owner, isOpenEnded }) => removes.includes(owner) && !isOpenEnded)
    .flatMap(({ owner, endC: { onset, clear, width } }) =>
      // A treatment takes away what is certainly the sample’s, a measurement what is only possible.
      owner === 'sample'
        ? [Math.max(0, width.leastC), Math.max(0, -onset.mostC)]
        : [onset, clear, width].map(({ leastC, mostC }) => mostC - leastC),
    )
    .reduce((sum, c) => sum + c, 0)
  return doubtC / (minutes ?? 120)
}

function repeatMin({ evidence: { literature, reading } }: Decision, rules: HouseWords): number {
  return carefulRunMin(literature ?? { lowC: reading.onsetC, highC: reading.clearC }, rules)
}

function actionSentence(
  code: NextStep,
  settled: Decision,
  rules: HouseWords,
): { readonly minutes?: number; readonly sentence: string } {
  const minutes = repeatMin(settled, rules)
  const { evidence } = settled
  switch (code) {
    case 'sign':
      return { sentence: 'Sign the verdict with the entries it is based on.' }
    case 'mixed melt':
      return { minutes: minutes + GRIND_MIN, sentence: mixedSentence(settled, rules) }
    case 'grind again and repeat the mixture':
      return {
        minutes: minutes + GRIND_MIN,
        sentence: 'Grind the mixture again, one part to two, and melt it beside both its parts.',
      }
    case 'melt beside authentic':
      return {
        minutes,
        sentence:
          'Melt it beside an authentic sample in one run, so that both share thermometer and heating. Two equal ranges do not prove identity.',
      }
    case 'check the thermometer':
      return { minutes: 2 * minutes, sentence: 'Check the thermometer with melting standards at this rate.' }
    case 'repeat slower':
      return { minutes, sentence: slower(settled, rules) }
    case 'repeat with less, finer':
      return {
        minutes,
        sentence: `Repeat with ${rules.fillMm[0]} to ${rules.fillMm[1]} mm of fine powder, tapped down.`,
      }
    case 'repeat as it was':
      return {
        minutes,
        sentence: settled.contributions.mayBeAnotherMark
          ? 'Melt a new tube of it, and mark the first wetness and the first drop separately.'
          : 'Melt a new tube of it the same way. Two runs that agree count for more than one odd run.',
      }
    case 'dry and repeat':
      return { minutes: minutes + DRY_MIN, sentence: drying(settled) }
    case 'new tube, put in late':
      return {
        minutes,
        sentence:
          evidence.behaviour === 'sublimes'
            ? 'Seal a new tube with a small flame, away from any solvent, and put it in about 10 °C below the range, so that nothing is lost by sublimation.'
            : 'Take a new tube and put it in about 10 °C below the range, so that it is hot for less time. Report the rate with the range.',
      }
    case 'recrystallize':
      return { minutes: RECRYSTALLIZE_MIN, sentence: 'Recrystallize once more and compare.' }
    case 'recrystallize from another solvent':
      return {
        minutes: RECRYSTALLIZE_MIN,
        sentence: hasOtherForms(evidence)
          ? 'Recrystallize it slowly from another solvent: this could give another crystal form. Report both temperatures.'
          : 'Recrystallize it from another solvent. The last one did not remove this impurity and would hardly remove it now.',
      }
    case 'hot filter':
      return {
        minutes: RECRYSTALLIZE_MIN,
        sentence: 'Dissolve it again hot, and separate the liquid from what stays solid before it cools.',
      }
    case 'thin-layer plate':
      return {
        minutes: PLATE_MIN,
        sentence:
          'A thin-layer plate (TLC) with an authentic sample gives a second opinion that does not depend on heating.',
      }
    case 'find out what it is':
      return {
        sentence:
          'Treat it as an unknown: list the compounds that melt near it, and test them by mixed melt.',
      }
  }
}

/** What a signature leaves open. */
export function notChecked({ evidence, contributions }: Decision): readonly string[] {
  return [
    ...(evidence.mixed ? [] : ['which compound it is (no mixed melt)']),
    ...(isChecked(evidence) || evidence.authentic ? [] : ['the thermometer']),
    ...(evidence.rateMeasured ? [] : ['the rate']),
    ...(evidence.rateMeasured && contributions.isRateLoose ? ['its width at the rate of house rules'] : []),
    ...(contributions.mayBeWet || !isShownDry(evidence) ? ['that it is dry'] : []),
  ]
}

function mixedSentence({ verdict, evidence }: Decision, rules: HouseWords): string {
  if (evidence.literature === null)
    return 'Melt it mixed with the compound it could be. Only a mixed melt shows identity.'
  const isSharp = evidence.reading.clearC - evidence.reading.onsetC <= rules.sharpWidthC
  const isLow = evidence.reading.onsetC < evidence.literature.lowC - rules.literatureWithinC
  if (isSharp && isLow && evidence.impurity)
    return 'Melt it mixed with an authentic sample. A eutectic mixture then clears higher and broader. Another compound melts lower. If nothing changes, the thermometer is wrong.'
  return verdict === 'consistent with pure'
    ? 'A mixed melt with an authentic sample would say which compound it is; a range alone cannot.'
    : 'Melt it mixed with an authentic sample. Only a mixed melt shows whether it is this compound.'
}

function slower({ contributions, evidence }: Decision, rules: HouseWords): string {
  // Slower is never faster than it was.
  const rate = `${Math.min(rules.meltRate.target, tenths(evidence.rateCPerMin))} °C/min`
  if (contributions.mayBeLate && !contributions.isRateLoose)
    return `Repeat at ${rate} with a new tube, watched from ${rules.startBelowC} °C below.`
  const packed = contributions.isPackedLoose
    ? `, ${rules.fillMm[0]} to ${rules.fillMm[1]} mm of fine powder in it`
    : ''
  return evidence.rateMeasured
    ? `Repeat at ${rate} with a new tube${packed}.`
    : `Repeat at ${rate} with a new tube${packed}, and measure the rate.`
}

function drying({ evidence: { dried, behaviour }, contributions }: Decision): string {
  if (behaviour === 'hydrate' && !contributions.mayBeWet)
    return 'Dry it until it no longer loses mass, as warm as its data sheet and the person in charge allow. Then melt it again.'
  const boilsC = dried?.solventBoilsC ?? null
  const air = boilsC === null ? Infinity : airMinutesFor(boilsC)
  return Number.isFinite(air)
    ? `Dry it first, ${air} min of air at least or to constant mass, and melt it again.`
    : 'Dry it to constant mass first, and melt it again: air alone does not show it dry.'
}
