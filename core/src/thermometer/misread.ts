import { rateOf } from '../heating/rateOf'

/** A thermometer read by eye: when, and what. */
export interface ReadAt {
  /** s of the run. */
  readonly atS: number
  readonly valueC: number
}

/** Where the next reading may lie, °C. */
export interface Expected {
  readonly temperatureC: number
  readonly lowC: number
  readonly highC: number
}

/** What is known of the heating beside the readings, °C and °C/min. */
export interface HeatingKnown {
  /** Where the slow part begins. */
  readonly startC: number
  readonly stopC: number
  readonly slowCPerMin: number
}

/** Eye, scale and the rounding of a time make so much between two readings, °C. */
const SLACK_C = 4
/** Heat turned up between two readings may add so much of the rise that was expected. */
const MAY_CHANGE = 0.6
/** Nobody knows the rate from one reading alone: a flame heats hardly faster, °C/min. */
const FAST_C_PER_MIN = 25
const COOLS_C_PER_MIN = 8
/** So far below the slow part the heat is turned down, and the next reading may have stood still, °C. */
const TURNED_DOWN_BELOW_C = 15
/** Heated on so far past its stop nobody watches any longer, °C. */
const PAST_STOP_C = 15
const RATE_OVER_MIN = 4

/**
 * Where the thermometer may stand at the next reading, by those that agree with each other.
 *
 * @param trusted in order of time
 * @param known of the plan
 * @param modelC where a learned instrument should have moved since the last of them, °C; null where nothing is learned
 * @returns null before anything was read
 */
function expectedNext(
  trusted: readonly ReadAt[],
  atS: number,
  known: HeatingKnown,
  modelC: number | null = null,
): Expected | null {
  const last = trusted.at(-1)
  if (!last) return null
  const minutes = Math.max(0, atS - last.atS) / 60
  const capped = (one: Expected): Expected => ({
    ...one,
    highC: Math.min(one.highC, Math.max(known.stopC + PAST_STOP_C, last.valueC + SLACK_C)),
  })
  if (modelC !== null) {
    const temperatureC = last.valueC + modelC
    const withinC = Math.max(SLACK_C + 1, 0.9 * Math.abs(modelC))
    return capped({ temperatureC, lowC: temperatureC - withinC, highC: temperatureC + withinC })
  }
  const rate = rateAmong(trusted)
  if (rate === null)
    return capped({
      temperatureC: last.valueC,
      // It may have been hot, and cool still.
      lowC: last.valueC - SLACK_C - COOLS_C_PER_MIN * minutes,
      highC: last.valueC + SLACK_C + FAST_C_PER_MIN * minutes,
    })
  const moved = rate * minutes
  const temperatureC = last.valueC + moved
  const withinC = SLACK_C + MAY_CHANGE * Math.abs(moved)
  // A hand may turn the heat up beyond what the slow part wants, which is said of the rate and not of the reading.
  const slowC = last.valueC + SLACK_C + 2 * known.slowCPerMin * minutes
  const isTurnedDown = moved > 0 && temperatureC >= known.startC - TURNED_DOWN_BELOW_C
  return capped({
    temperatureC,
    lowC: isTurnedDown ? Math.min(temperatureC - withinC, last.valueC - SLACK_C) : temperatureC - withinC,
    highC: Math.max(temperatureC + withinC, slowC),
  })
}

/** Rate by the readings of the last minutes, °C/min; null from one alone. */
function rateAmong(read: readonly ReadAt[]): number | null {
  const last = read.at(-1)
  const recent = read.filter(({ atS }) => last && last.atS - atS <= 60 * RATE_OVER_MIN)
  const first = recent[0]
  if (!last || !first || last.atS - first.atS < 10) return null
  if (recent.length === 2) return (60 * (last.valueC - first.valueC)) / (last.atS - first.atS)
  return rateOf(
    recent.map(({ atS, valueC }) => [atS / 60, valueC] as const),
    RATE_OVER_MIN + 1,
  )
}

/** A reading that does not belong with those before it, and where it was expected. */
export interface OutOfLine extends Expected {
  /** Its place among the readings. */
  readonly index: number
}

/**
 * Readings that lie where the heating cannot have been. Two in a row that agree with each other outweigh what went
 * before: then the heating changed, and none of them was misread.
 *
 * @param read in order of time
 * @param moved how far a learned instrument should move between two times, °C; null where nothing is learned
 */
export function outOfLine(
  read: readonly ReadAt[],
  known: HeatingKnown,
  moved: (fromS: number, toS: number) => number | null = () => null,
): readonly OutOfLine[] {
  const odd: OutOfLine[] = []
  let trusted: ReadAt[] = []
  let pending: (OutOfLine & ReadAt) | null = null
  read.forEach((one, index) => {
    const after = (before: readonly ReadAt[]) =>
      expectedNext(before, one.atS, known, before.length ? moved(before.at(-1)?.atS ?? 0, one.atS) : null)
    const expected = after(trusted)
    const before = trusted.slice(0, -1)
    const last = trusted.at(-1)
    // Both agree with those before the last, and better than this one with the last: then the last was wrong.
    const isLastOdd =
      pending !== null &&
      before.length >= 2 &&
      strain(pending, expectedNext(before, pending.atS, known)) < 1 &&
      strain(one, expectedNext([...before, pending], one.atS, known)) < Math.min(1, strain(one, expected))
    if (pending && last && isLastOdd) {
      const there = expectedNext(before, last.atS, known)
      if (there) odd.push({ ...there, index: read.indexOf(last) })
      trusted = [...before, pending, one]
      pending = null
    } else if (fits(one, expected)) {
      if (pending) odd.push(pending)
      pending = null
      trusted.push(one)
    } else if (pending && fits(one, after([pending]))) {
      trusted = [...trusted, pending, one].slice(-2)
      pending = null
    } else if (!pending && isOddLast(one, trusted, after)) {
      // The one before it went too far to be told then; without it this one is where it should be.
      const there = last && expectedNext(before, last.atS, known)
      if (last && there) odd.push({ ...there, index: read.indexOf(last) })
      trusted = [...before, one]
    } else if (expected) {
      if (pending) odd.push(pending)
      pending = { ...expected, ...one, index }
    }
  })
  // While it cannot be told which of the last two was wrong, nobody is asked about either: the next one tells.
  return pending && !mayBeTheOneBefore(pending, trusted, known) ? [...odd, pending] : odd
}

/** Whether those before the last are too close together to tell which of the last two was wrong. */
function mayBeTheOneBefore(one: ReadAt, trusted: readonly ReadAt[], known: HeatingKnown): boolean {
  const before = trusted.slice(0, -1)
  return before.length >= 2 && !isRateKnown(before) && fits(one, expectedNext(before, one.atS, known))
}

/** Readings close together tell a rate too roughly to call a later one wrong by it. */
function isRateKnown(read: readonly ReadAt[]): boolean {
  const [first, last] = [read[0], read.at(-1)]
  return first !== undefined && last !== undefined && last.atS - first.atS >= SPAN_LEAST_S
}
const SPAN_LEAST_S = 60

/** Whether this one stands well where those before the last say, and not where the last says. */
function isOddLast(
  one: ReadAt,
  trusted: readonly ReadAt[],
  after: (before: readonly ReadAt[]) => Expected | null,
): boolean {
  const before = trusted.slice(0, -1)
  return isRateKnown(before) && strain(one, after(before)) < WELL_WITHIN
}
const WELL_WITHIN = 0.35

/**
 * How far a reading lies from where it was expected, as a part of how far it may: 1 and more does not fit. The side it
 * lies on counts: a hand may turn the heat up, and what it may then rise says nothing of a fall.
 */
function strain({ valueC }: ReadAt, expected: Expected | null): number {
  if (!expected) return 0
  const { temperatureC, lowC, highC } = expected
  const mayC = valueC > temperatureC ? highC - temperatureC : temperatureC - lowC
  return Math.abs(valueC - temperatureC) / mayC
}
const fits = (one: ReadAt, expected: Expected | null) => strain(one, expected) < 1

/**
 * A sentence that asks about a reading out of line: how far, and whether it was read in °F.
 *
 * @example misreadSentence(190, { temperatureC: 88, lowC: 83, highC: 93 }) // '102 °C above the expected temperature (88.0 °C). 190 °F would be 87.8 °C. Is the scale in °F?'
 */
export function misreadSentence(readC: number, expected: Expected): string {
  const offC = readC - expected.temperatureC
  const off = `${Math.abs(offC).toFixed(0)} °C ${offC > 0 ? 'above' : 'below'} the expected temperature (${expected.temperatureC.toFixed(1)} °C)`
  const fromF = (readC - 32) / 1.8
  return fromF > expected.lowC && fromF < expected.highC
    ? `${off}. ${String(readC)} °F would be ${fromF.toFixed(1)} °C. Is the scale in °F?`
    : `${off}. Check the scale.`
}
