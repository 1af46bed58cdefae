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
