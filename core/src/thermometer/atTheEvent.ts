import { ImpossibleInput, requireNumber, requireTemperature } from '../problems'

/**
 * A reading taken some seconds after what was seen, taken back to it at the rate of that time.
 *
 * @param readC °C as read
 * @param secondsLate s after the event
 * @param rateCPerMin °C/min
 * @returns °C
 * @throws ImpossibleInput on a reading from before the event
 * @example atTheEvent(95.4, 12, 1.5) // 95.1
 */
export function atTheEvent(readC: number, secondsLate: number, rateCPerMin: number): number {
  requireTemperature(readC, 'The reading')
  requireNumber(rateCPerMin, 'The rate')
  if (!(secondsLate >= 0))
    throw new ImpossibleInput('bad-duration', 'That reading was taken before the event.')
  return readC - (rateCPerMin * secondsLate) / 60
}

/** A reading by eye this far from where the heating should be is asked about, °C. */
export const ASKED_ABOUT_C = 5

/**
 * Whether a thermometer read by eye stands where the heating should be.
 *
 * @param readC °C as typed
 * @param expectedC °C by the model or the last readings; null when nothing can be said
 * @param withinC how far it may lie from there, °C
 * @returns a sentence that asks, or null
 * @example readingDoubt(104.5, 95.5) // '9 °C above where the heating should be (95.5 °C): check the scale.'
 */
export function readingDoubt(
  readC: number,
  expectedC: number | null,
  withinC = ASKED_ABOUT_C,
): string | null {
  if (expectedC === null) return null
  const offC = readC - expectedC
  if (Math.abs(offC) < withinC) return null
  return `${Math.abs(offC).toFixed(0)} °C ${offC > 0 ? 'above' : 'below'} where the heating should be (${expectedC.toFixed(1)} °C): check the scale.`
}
