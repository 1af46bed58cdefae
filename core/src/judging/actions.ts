import type { Action, Conventions, JudgeInput, Verdict } from '../contract'
import type { Evidence } from './judgeRange'

/** Minutes a careful repeat takes on a block: cool, load, preheat, and the slow part at the house rate. */
function repeatMin(input: JudgeInput, rules: Conventions): number {
  const slowC = rules.startBelowC + (input.literature.highC - input.literature.lowC) + rules.stopAboveC
  return Math.round(15 + slowC / rules.meltRate.target)
}

/** What a good supervisor would say next, the most useful first. */
export function actionsFor(
  input: JudgeInput,
  evidence: Evidence,
  verdict: Verdict,
  rules: Conventions,
): readonly Action[] {
  const minutes = repeatMin(input, rules)
  const sign: Action = { code: 'sign', sentence: 'Sign the verdict with what it rests on.' }
  const mixed: Action = {
    code: 'mixed-melt',
    minutes,
    sentence:
      'A mixed melt with an authentic sample would settle which compound it is; the range alone cannot.',
  }
  const recrystallize: Action = { code: 'recrystallize', sentence: 'Recrystallize once more and compare.' }
  if (input.decomposed)
    return [
      {
        code: 'new-tube-fast-start',
        minutes,
        sentence: 'Take a new tube and put it in about 10 °C below, so that it spends less time hot.',
      },
      mixed,
    ]
  if (input.residualSolid)
    return [
      {
        code: 'hot-filter',
        sentence: 'Dissolve it again hot and take the liquid off what stays solid before it cools.',
      },
      recrystallize,
    ]
  switch (verdict) {
    case 'consistent with pure':
      return [sign, mixed]
    case 'nearly pure':
      return [...dryFirst(input, minutes), recrystallize, sign]
    case 'impure':
      return [...dryFirst(input, minutes), recrystallize]
    default:
      return doubts(input, evidence, rules, minutes, mixed)
  }
}

function dryFirst(input: JudgeInput, minutes: number): Action[] {
  if (input.dried) return []
  return [
    { code: 'dry-and-repeat', minutes, sentence: 'Dry it longer and melt it again before anything else.' },
  ]
}

function doubts(
  input: JudgeInput,
  evidence: Evidence,
  rules: Conventions,
  minutes: number,
  mixed: Action,
): readonly Action[] {
  const actions: Action[] = []
  if (input.rateCPerMin > rules.meltRate.max)
    actions.push({
      code: 'repeat-slower',
      minutes,
      sentence: `Repeat at ${rules.meltRate.target} °C/min with a new tube.`,
    })
  if (input.fillMm > rules.fillMm[1] || input.grain === 'coarse')
    actions.push({
      code: 'repeat-with-less',
      minutes,
      sentence: `Repeat with ${rules.fillMm[0]} to ${rules.fillMm[1]} mm of fine powder.`,
    })
  if (!input.authenticSameRun)
    actions.push({
      code: 'melt-beside-authentic',
      minutes,
      sentence: 'Melt it beside an authentic sample in one run: the thermometer cancels.',
    })
  if (input.calibration !== 'in place')
    actions.push({
      code: 'calibrate',
      sentence: 'Calibrate the thermometer with melting standards at this rate.',
    })
  if (evidence.isSharp) actions.unshift(mixed)
  return actions
}
