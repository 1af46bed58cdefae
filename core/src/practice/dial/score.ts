import { rateOf } from '../../heating/rateOf'
import type { Score } from '../exercise'
import { type DialExercise, isDialOver, OVER_C, DIAL_RATE } from './make'

/** What a live rate may be off where it is held against the limits, °C/min. */
const RATE_SLACK = 0.15

/** One degree of the window: how fast it was gone through. */
interface Degree {
  readonly atC: number
  readonly rateCPerMin: number | null
}

/**
 * How the window was gone through, degree by degree, and in how many minutes, against the planner’s.
 *
 * @param seen one a second: s, °C as shown
 */
export function scoreDial(
  exercise: DialExercise,
  seen: readonly { readonly atS: number; readonly shownC: number }[],
): Score & { readonly degrees: readonly Degree[] } {
  const { fromC, expectedHighC, plan } = exercise
  // What came after it was over is not of it.
  const over = seen.findIndex(({ atS, shownC }) => isDialOver(exercise, atS, shownC))
  const readings = over < 0 ? seen : seen.slice(0, over + 1)
  const degrees: Degree[] = []
  let at = 0
  for (let atC = Math.ceil(fromC); atC < expectedHighC + OVER_C; atC++) {
    while (at < readings.length && (readings[at]?.shownC ?? 0) < atC) at++
    const until = readings[at] ? at : null
    const around =
      until === null
        ? []
        : readings
            .slice(Math.max(0, until - 30), until + 30)
            .map(({ atS, shownC }) => [atS / 60, shownC] as const)
    degrees.push({ atC, rateCPerMin: until === null ? null : rateOf(around, 1) })
  }
  const { minCPerMin, maxCPerMin } = DIAL_RATE
  const isIn = ({ rateCPerMin: rate }: Degree) =>
    rate !== null && rate >= minCPerMin - RATE_SLACK && rate <= maxCPerMin + RATE_SLACK
  const inWindow = degrees.filter(isIn).length / Math.max(1, degrees.length)
  const last = readings.at(-1)
  const minutes = (last?.atS ?? 0) / 60
  const arrived = last !== undefined && last.shownC >= expectedHighC
  const quick = minutes <= 1.25 * plan.totalMin + 1
  return {
    degrees,
    isGood: arrived && inWindow >= 0.9 && quick,
    share: arrived
      ? inWindow * Math.min(1, Math.sqrt((1.25 * plan.totalMin + 1) / Math.max(1, minutes)))
      : 0.3 * inWindow,
    sentence: dialSentence(exercise, degrees, { arrived, quick, inWindow, minutes }),
    compared: [
      {
        what: `degrees heated at ${minCPerMin} to ${maxCPerMin} °C/min`,
        you: `${degrees.filter(isIn).length}`,
        was: `${degrees.length}`,
        isRight: inWindow >= 0.9,
      },
      {
        what: 'minutes, beside the planner’s',
        you: arrived ? minutes.toFixed(0) : 'not there',
        was: plan.totalMin.toFixed(0),
        isRight: arrived && quick,
      },
    ],
  }
}

function dialSentence(
  { fromC, expectedLowC }: DialExercise,
  degrees: readonly Degree[],
  {
    arrived,
    quick,
    inWindow,
    minutes,
  }: { arrived: boolean; quick: boolean; inWindow: number; minutes: number },
): string {
  const { minCPerMin, maxCPerMin } = DIAL_RATE
  const fast = degrees.filter(({ rateCPerMin: rate }) => rate !== null && rate > maxCPerMin + RATE_SLACK)
  const slow = degrees.filter(({ rateCPerMin: rate }) => rate !== null && rate < minCPerMin - RATE_SLACK)
  if (!arrived && degrees.every(({ rateCPerMin: rate }) => rate === null))
    return `The block never came to ${fromC.toFixed(0)} °C. Each setting has a temperature at which it stops, so turn the dial up while it still rises.`
  if (!arrived)
    return 'It stopped before the end of the watch band. A setting that gives 2 °C/min gives less with each degree, so turn up one step before it stops.'
  if (inWindow >= 0.9 && quick) return `Slow where it matters, and finished in ${minutes.toFixed(0)} minutes.`
  if (fast.length >= slow.length && inWindow < 0.9) {
    const worst = fast.reduce((most, one) => ((one.rateCPerMin ?? 0) > (most.rateCPerMin ?? 0) ? one : most))
    return `At ${worst.atC} °C it rose at ${(worst.rateCPerMin ?? 0).toFixed(1)} °C/min, so the range would read too broad and too high. A heater gives heat for a while after you turn it down: turn it down before ${fromC.toFixed(0)} °C, not at it.`
  }
  if (inWindow < 0.9) {
    const first = slow[0]
    return `From ${first?.atC ?? expectedLowC} °C it rose at under ${minCPerMin} °C/min: good for a range, but slow. Turn it up a little, a minute before the rate drops.`
  }
  return `The watch band was right, but the way to it took ${minutes.toFixed(0)} minutes. Nothing melts until 15 °C below it: heat fast there.`
}
