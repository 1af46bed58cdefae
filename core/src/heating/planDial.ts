import type { Conventions } from '../conventions/conventions'
import { type BlockModel, coolDownMin, minutesToReach, plateauC, rateCPerMin, requireModel } from './dial'
import { ImpossibleInput, requireTemperature } from '../problems'

export interface DialPlanInput {
  readonly model: BlockModel
  readonly dialStep: number
  readonly dialMax: number
  readonly startC: number
  readonly expectedLowC: number
  readonly expectedHighC: number
  readonly leadC: number
  readonly tailC: number
  readonly minRate: number
  readonly maxRate: number
  readonly maxApproachRate: number
  readonly dialUse?: Conventions['dialUse']
}
export interface DialPlan {
  readonly steps: readonly {
    readonly atMin: number
    readonly atC: number
    readonly dial: number
  }[]
  readonly watchFromMin: number
  readonly totalMin: number
  readonly warnings: readonly string[]
}

/** A heater goes on giving for about this long after its dial is turned down, min. */
const FELT_LATE_MIN = 0.5
/** While braking each setting gives at most this share of the rate before it. */
const BRAKE_BY = 0.4
/** Below this the block is as good as standing, °C/min. */
const STANDING_CPERMIN = 0.05
/** During the approach a setting is raised once its rate has fallen to this share of what is allowed. */
const RAISED_AT = 0.6
const MOST_STEPS = 200
/** On the way up a setting that would be turned back down sooner than this is not turned to, min. */
const WORTH_A_TURN_MIN = 1

/** A plan under way: where the block is and what was done to get there. */
interface Leg {
  readonly atMin: number
  readonly atC: number
  readonly dial: number
}
interface Course {
  readonly steps: readonly Leg[]
  readonly minutes: number
  readonly temperatureC: number
  readonly stuck: 'plateau' | 'coarse' | null
  readonly slow: boolean
}

/**
 * Dial settings for the fastest heating that is still slow where it matters: fast up to the window
 * [low − lead, high + tail], braked early because a heater is felt late, then held between the least and the
 * greatest rate through the window, stepping up as the rate decays. With one setting, nudged, there is no fast
 * part: the setting of the window is used from the start.
 *
 * @param input temperatures °C, rates °C/min, `dialStep` the smallest turn that can be made
 * @returns steps in order, when to watch, and sentences of warning; by its own model no rate in the window
 * exceeds `maxRate`
 * @throws ImpossibleInput on a window or a dial that cannot be
 * @example planDial({ model, dialStep: 0.5, dialMax: 10, startC: 22, expectedLowC: 94, expectedHighC: 96, leadC: 15, tailC: 8, minRate: 1, maxRate: 2, maxApproachRate: 20 })
 */
export function planDial(input: DialPlanInput): DialPlan {
  requireInput(input)
  const { model, expectedLowC, expectedHighC, leadC, tailC, minRate, maxRate } = input
  const fromC = Math.max(model.ambientC, expectedLowC - leadC)
  const toC = expectedHighC + tailC
  const warnings: string[] = []
  let course: Course = cooled(input, fromC, warnings)
  if (input.dialUse !== 'one setting, nudged') course = approach(input, course, fromC)
  const reached = course.temperatureC >= fromC - 1e-9
  // With one setting the rate of the window holds from the start; before it faster is no harm.
  if (!reached) course = nudgedUpTo(input, course, fromC)
  const watchFromMin = course.minutes
  course = hold(input, course, toC, { min: minRate, max: maxRate })
  if (course.stuck === 'plateau') warnings.push(tooLow(input, toC))
  if (course.stuck === 'coarse')
    warnings.push(
      `The steps of the dial are too coarse to go on past ${tidy(course.temperatureC)} °C: one setting stops there, and the next heats faster than ${tidy(maxRate)} °C/min. Set it between the two marks and watch the rate.`,
    )
  else if (course.slow)
    warnings.push(
      `No setting gives ${tidy(minRate)} to ${tidy(maxRate)} °C/min all the way. Where none does, this plan heats slower, not faster.`,
    )
  return { steps: course.steps, watchFromMin, totalMin: course.minutes, warnings }
}

function cooled({ model, startC }: DialPlanInput, fromC: number, warnings: string[]): Course {
  const start: Course = { steps: [], minutes: 0, temperatureC: startC, stuck: null, slow: false }
  if (startC <= fromC) return start
  const minutes = coolDownMin(model, startC, fromC)
  if (minutes === null) {
    warnings.push(
      `The block is at ${tidy(startC)} °C and the watch band begins at room temperature. Wait until the block is cold.`,
    )
    return start
  }
  warnings.push(
    `The block is at ${tidy(startC)} °C, too hot to begin. Switched off, it takes about ${Math.ceil(minutes)} min to fall to ${tidy(fromC)} °C. Put no tube in before.`,
  )
  return { ...start, steps: [{ atMin: 0, atC: startC, dial: 0 }], minutes, temperatureC: fromC }
}

/** Fast, then turned down in two or three goes, so that the window is entered at its own rate. */
function approach(input: DialPlanInput, from: Course, windowC: number): Course {
  const rates = brakingRates(input)
  let course = from
  rates.forEach((rate, i) => {
    const untilC = windowC - brakingC(rates, i)
    if (untilC > course.temperatureC + 1) {
      const held = hold(input, course, untilC, { min: RAISED_AT * rate, max: rate, isPassing: true })
      // A fast stage that cannot go on gives way to the next.
      course = { ...held, stuck: null, slow: from.slow }
    }
  })
  return course
}

/** Approach rate, and each slower one down to that of the window. */
function brakingRates({ maxApproachRate, maxRate }: DialPlanInput): number[] {
  const rates: number[] = []
  for (let rate = maxApproachRate; rate > maxRate; rate *= BRAKE_BY) rates.push(rate)
  return [...rates, maxRate]
}

/** How far below the window stage i has to end so that the heater's excess has gone into the block before it. */
function brakingC(rates: readonly number[], i: number): number {
  return rates.slice(i).reduce((sum, rate, j, rest) => {
    const next = rest[j + 1]
    return next === undefined ? sum : sum + FELT_LATE_MIN * (rate - next) + 2 * FELT_LATE_MIN * next
  }, 0)
}

function nudgedUpTo(input: DialPlanInput, from: Course, toC: number): Course {
  const { model, dialStep, dialMax, maxRate, minRate } = input
  const dial = greatest(model, dialStep, dialMax, toC, maxRate)
  const minutes = minutesToReach(model, dial, from.temperatureC, toC)
  if (minutes === null || rateCPerMin(model, dial, toC) < minRate / 4)
    return hold(input, from, toC, { min: minRate, max: maxRate })
  return {
    ...from,
    steps: turned(from, dial),
    minutes: from.minutes + minutes,
    temperatureC: toC,
  }
}

/** Holds the rate within bounds up to a temperature, raising the setting each time it has decayed. */
function hold(
  input: DialPlanInput,
  from: Course,
  toC: number,
  { min, max, isPassing = false }: { min: number; max: number; isPassing?: boolean },
): Course {
  const { model, dialStep, dialMax } = input
  let course = from
  for (let i = 0; i < MOST_STEPS && course.temperatureC < toC - 1e-9 && !course.stuck; i++) {
    const { temperatureC } = course
    const most = greatest(model, dialStep, dialMax, temperatureC, max)
    const dial = isPassing ? worthTurning(model, course, most, toC) : most
    const raised = dial + dialStep
    const decaysC = plateauC(model, dial) - min * model.timeConstantMin
    const raiseC = raised > dialMax + 1e-9 ? Infinity : plateauC(model, raised) - max * model.timeConstantMin
    const nextC = Math.min(toC, Math.max(decaysC, raiseC))
    const endC = raiseC === Infinity || dial < most ? toC : nextC
    const minutes = minutesToReach(model, dial, temperatureC, endC)
    if (minutes === null || rateCPerMin(model, dial, endC) < STANDING_CPERMIN) {
      course = {
        ...stopped(course, model, dial, temperatureC),
        stuck: raiseC === Infinity ? 'plateau' : 'coarse',
      }
      break
    }
    course = {
      steps: turned(course, dial),
      minutes: course.minutes + minutes,
      temperatureC: endC,
      stuck: null,
      slow: course.slow || rateCPerMin(model, dial, endC) < min * 0.95,
    }
  }
  return course
}

/** The setting as it stands, where a higher one would soon be turned back and this one still carries to the end. */
function worthTurning(model: BlockModel, { steps, temperatureC }: Course, dial: number, toC: number): number {
  const standing = steps[steps.length - 1]?.dial
  if (standing === undefined || dial <= standing) return dial
  const minutes = minutesToReach(model, dial, temperatureC, toC)
  const carries = minutesToReach(model, standing, temperatureC, toC)
  return minutes !== null && carries !== null && carries < 2 * WORTH_A_TURN_MIN && minutes < WORTH_A_TURN_MIN
    ? standing
    : dial
}

/** As far as this setting carries at a rate worth the name. */
function stopped(course: Course, model: BlockModel, dial: number, temperatureC: number): Course {
  const lastC = plateauC(model, dial) - STANDING_CPERMIN * model.timeConstantMin
  const minutes = lastC > temperatureC ? minutesToReach(model, dial, temperatureC, lastC) : null
  return minutes === null
    ? course
    : { ...course, steps: turned(course, dial), minutes: course.minutes + minutes, temperatureC: lastC }
}

function turned({ steps, minutes, temperatureC }: Course, dial: number): readonly Leg[] {
  return steps[steps.length - 1]?.dial === dial
    ? steps
    : [...steps, { atMin: minutes, atC: temperatureC, dial }]
}

/** Greatest setting that heats no faster than that here; 0 when none does. */
function greatest(
  model: BlockModel,
  dialStep: number,
  dialMax: number,
  temperatureC: number,
  maxRate: number,
): number {
  const most = Math.floor(dialMax / dialStep + 1e-9)
  for (let n = most; n > 0; n--)
    if (rateCPerMin(model, n * dialStep, temperatureC) <= maxRate + 1e-9) return tidyDial(n * dialStep)
  return 0
}

function tooLow({ model, dialMax }: DialPlanInput, toC: number): string {
  return `Even at ${tidy(dialMax)} this block reaches only about ${tidy(plateauC(model, dialMax))} °C, below ${tidy(toC)} °C. Use an instrument that reaches higher.`
}

function requireInput(input: DialPlanInput): void {
  const { model, dialStep, dialMax, startC, expectedLowC, expectedHighC, leadC, tailC } = input
  requireModel(model)
  requireTemperature(startC, 'The block')
  requireTemperature(expectedLowC, 'The expected low end')
  requireTemperature(expectedHighC, 'The expected high end')
  if (expectedLowC > expectedHighC)
    throw new ImpossibleInput(
      'range-inverted',
      `The expected range from ${expectedLowC} to ${expectedHighC} °C runs backwards. Were the two numbers swapped?`,
    )
  if (!(leadC >= 0 && tailC >= 0 && expectedHighC + tailC > model.ambientC))
    throw new ImpossibleInput('range-inverted', 'The watch band must end above room temperature.')
  if (!(dialStep > 0 && dialMax >= dialStep))
    throw new ImpossibleInput(
      'bad-dial',
      'The steps of a dial are above zero, and its end is at least one step.',
    )
  if (!(input.minRate > 0 && input.maxRate >= input.minRate && input.maxApproachRate >= input.maxRate))
    throw new ImpossibleInput(
      'bad-rate',
      'Rates are above zero, the highest is at least the lowest, and the approach is at least as fast as the slow part.',
    )
}

function tidy(value: number): string {
  return String(Math.round(value * 10) / 10)
}
/** 0.30000000000000004 is 0.3 on a dial. */
function tidyDial(value: number): number {
  return Math.round(value * 1e6) / 1e6
}
