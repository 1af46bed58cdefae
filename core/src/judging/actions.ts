import type { Conventions } from '../conventions/conventions'
import type { Action, JudgeInput, Verdict } from './judgement'
import type { Evidence } from './evidence'

/** Minutes of bench work beside the melting, as a careful student takes them. */
const PLATE_MIN = 20
const RECRYSTALLIZE_MIN = 60
const DRY_MIN = 15
const SET_UP_MIN = 15

/** How much an action would tell. */
type Tells = 'settles' | 'says much' | 'helps'
/** An action with how much it tells. */
interface Weighed extends Action {
  readonly tells: Tells
}
const ORDER: Readonly<Record<Tells, number>> = { settles: 0, 'says much': 1, helps: 2 }

/** Minutes a careful repeat takes on a block: cool, load, preheat, and the slow part at the house rate. */
function repeatMin(input: JudgeInput, rules: Conventions): number {
  const slowC = rules.startBelowC + (input.literature.highC - input.literature.lowC) + rules.stopAboveC
  return Math.round(SET_UP_MIN + slowC / rules.meltRate.target)
}

/**
 * What a good supervisor would say next: what tells most comes first, and of two that tell as much the one that
 * takes less time.
 */
export function actionsFor(
  input: JudgeInput,
  evidence: Evidence,
  verdict: Verdict,
  rules: Conventions,
): readonly Action[] {
  const minutes = repeatMin(input, rules)
  return listed(input, evidence, verdict, rules, minutes)
    .map((action, place) => ({ action, place }))
    .sort(
      (p, q) =>
        ORDER[p.action.tells] - ORDER[q.action.tells] ||
        (p.action.minutes ?? 0) - (q.action.minutes ?? 0) ||
        p.place - q.place,
    )
    .map(({ action: { code, minutes: takes, sentence } }) => ({
      code,
      ...(takes === undefined ? {} : { minutes: takes }),
      sentence,
    }))
}

function listed(
  input: JudgeInput,
  evidence: Evidence,
  verdict: Verdict,
  rules: Conventions,
  minutes: number,
): readonly Weighed[] {
  if (input.decomposed)
    return [
      {
        code: 'new-tube-fast-start',
        tells: 'settles',
        minutes,
        sentence: 'Take a new tube and put it in about 10 °C below, so that it spends less time hot.',
      },
      ...mixed(input, evidence, minutes, 'says much'),
      ...plate(input, 'helps'),
    ]
  if (input.residualSolid)
    return [
      {
        code: 'hot-filter',
        tells: 'settles',
        minutes: RECRYSTALLIZE_MIN,
        sentence: 'Dissolve it again hot and take the liquid off what stays solid before it cools.',
      },
      recrystallize('says much'),
    ]
  switch (verdict) {
    case 'consistent with pure':
      return [sign('settles'), ...mixed(input, evidence, minutes, 'says much'), ...plate(input, 'helps')]
    case 'nearly pure':
      return [
        ...dryFirst(input, minutes, 'settles'),
        recrystallize('says much'),
        ...plate(input, 'helps'),
        sign('helps'),
      ]
    case 'impure':
      return [...dryFirst(input, minutes, 'settles'), recrystallize('says much'), ...plate(input, 'helps')]
    case 'not this compound':
      return notThis(input, evidence, minutes)
    case 'cannot tell':
      return doubts(input, evidence, rules, minutes)
  }
}

function sign(tells: Tells): Weighed {
  return { code: 'sign', tells, sentence: 'Sign the verdict with what it rests on.' }
}

function recrystallize(tells: Tells): Weighed {
  return {
    code: 'recrystallize',
    tells,
    minutes: RECRYSTALLIZE_MIN,
    sentence: 'Recrystallize once more and compare.',
  }
}

/** A mixed melt, unless one has answered already; near a eutectic with what each outcome would mean. */
function mixed(input: JudgeInput, evidence: Evidence, minutes: number, tells: Tells): Weighed[] {
  if (input.mixed?.verdict === 'same') return []
  if (input.mixed?.verdict === 'repeat')
    return [
      {
        code: 'repeat-mixed-melt',
        tells,
        minutes,
        sentence: 'Grind the mixture again, one part to two, and melt it beside both its parts.',
      },
    ]
  return [
    {
      code: 'mixed-melt',
      tells,
      minutes,
      sentence: evidence.isAtEutectic
        ? 'Melt it mixed with an authentic sample: a mixture at its eutectic then clears higher and broader, another compound melts lower, and only a thermometer at fault leaves it as it is.'
        : 'A mixed melt with an authentic sample would settle which compound it is; the range alone cannot.',
    },
  ]
}

function plate({ plate: run }: JudgeInput, tells: Tells): Weighed[] {
  if (run) return []
  return [
    {
      code: 'plate',
      tells,
      minutes: PLATE_MIN,
      sentence:
        'A thin-layer plate beside an authentic sample gives a second opinion that heat has no part in.',
    },
  ]
}

function dryFirst(input: JudgeInput, minutes: number, tells: Tells): Weighed[] {
  if (input.dried) return []
  return [
    {
      code: 'dry-and-repeat',
      tells,
      minutes: minutes + DRY_MIN,
      sentence: 'Dry it longer and melt it again before anything else.',
    },
  ]
}

function notThis(input: JudgeInput, evidence: Evidence, minutes: number): Weighed[] {
  const find: Weighed = {
    code: 'find-what-it-is',
    tells: 'says much',
    sentence: 'Treat it as an unknown: list what melts near it and test by mixture.',
  }
  return input.mixed?.verdict === 'different'
    ? [sign('settles'), find]
    : [...mixed(input, evidence, minutes, 'settles'), find, ...plate(input, 'helps')]
}

function doubts(input: JudgeInput, evidence: Evidence, rules: Conventions, minutes: number): Weighed[] {
  const actions: Weighed[] = []
  if (evidence.isSharp || input.plate?.agrees === false)
    actions.push(...mixed(input, evidence, minutes, 'settles'))
  if (input.rateCPerMin > rules.meltRate.max)
    actions.push({
      code: 'repeat-slower',
      tells: 'settles',
      minutes,
      sentence: `Repeat at ${rules.meltRate.target} °C/min with a new tube.`,
    })
  if (input.fillMm > rules.fillMm[1] || input.grain === 'coarse')
    actions.push({
      code: 'repeat-with-less',
      tells: 'settles',
      minutes,
      sentence: `Repeat with ${rules.fillMm[0]} to ${rules.fillMm[1]} mm of fine powder.`,
    })
  if (!input.authenticSameRun)
    actions.push({
      code: 'melt-beside-authentic',
      tells: 'says much',
      minutes,
      sentence: 'Melt it beside an authentic sample in one run: the thermometer cancels.',
    })
  else
    actions.push({
      code: 'repeat',
      tells: 'says much',
      minutes,
      sentence: 'Melt a new tube of each once more: two that agree say more than one that is odd.',
    })
  if (input.calibration !== 'in place')
    actions.push({
      code: 'calibrate',
      tells: 'helps',
      minutes: 2 * minutes,
      sentence: 'Calibrate the thermometer with melting standards at this rate.',
    })
  return [...actions, ...plate(input, 'helps')]
}
