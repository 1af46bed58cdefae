import { rateOf } from '../../heating/rateOf'
import { atTheEvent } from '../../thermometer/atTheEvent'
import type { Compared, Score } from '../exercise'
import type { TubeTruth } from '../lens/truth'

/** The thermometer is divided in whole degrees: it is read to half of one. */
const DIVISION_C = 1

const WITHIN_C = DIVISION_C / 2

/** The melt is gone through at no more, °C/min. */
const RATE_MOST = 2.5

/** A moment pressed, and the number typed for it some seconds later. */
export interface TypedReading {
  readonly pressedAtS: number
  /** null: never typed. */
  readonly typed: { readonly readC: number; readonly atS: number } | null
}

/** The thermometer as it stood: s of the oil, °C. */
interface Shown {
  readonly atS: number
  readonly shownC: number
}

/** A rate is told from readings this far before and after, s. */
const ABOUT_S = [45, 15] as const

/** When the thermometer first stood so high, s; null where it was not seen to. */
export function whenShown(shown: readonly Shown[], c: number): number | null {
  return shown.find(({ shownC }) => shownC >= c)?.atS ?? null
}

function rateAbout(shown: readonly Shown[], atS: number): number | null {
  const [before, after] = ABOUT_S
  const about = shown.filter((one) => one.atS > atS - before && one.atS <= atS + after)
  return rateOf(
    about.map((one) => [one.atS / 60, one.shownC] as const),
    (before + after) / 60,
  )
}

/**
 * What was typed, corrected back to the press at the rate of that time, against where the thermometer stood when it
 * happened.
 *
 * @param truth where it stood, °C
 * @param shown the thermometer reading by reading, as far as it was watched
 */
export function scoreFlame(
  marks: { readonly first: TypedReading | null; readonly all: TypedReading | null },
  truth: TubeTruth,
  shown: readonly Shown[],
): Score & { readonly takenBackC: { readonly firstC: number | null; readonly allC: number | null } } {
  const back = (mark: TypedReading | null) =>
    mark?.typed
      ? atTheEvent(mark.typed.readC, mark.typed.atS - mark.pressedAtS, rateAbout(shown, mark.pressedAtS) ?? 0)
      : null
  const meltedAtS = truth.firstC === null ? null : whenShown(shown, truth.firstC)
  const rateWhileMelting = meltedAtS === null ? null : rateAbout(shown, meltedAtS)
  const ends = [
    { what: 'first liquid', youC: back(marks.first), wasC: truth.firstC },
    { what: 'all liquid', youC: back(marks.all), wasC: truth.allC },
  ]
  const slow = rateWhileMelting !== null && rateWhileMelting <= RATE_MOST
  const compared = ends.map(({ what, youC, wasC }): Compared => ({
    what: `${what}, corrected back to the press`,
    you: youC === null ? 'not read' : `${youC.toFixed(1)} °C`,
    was: wasC === null ? 'not reached' : `${wasC.toFixed(1)} °C`,
    isRight: youC !== null && wasC !== null && Math.abs(youC - wasC) <= WITHIN_C + 0.05,
  }))
  const right = compared.filter(({ isRight }) => isRight).length
  return {
    takenBackC: { firstC: ends[0]?.youC ?? null, allC: ends[1]?.youC ?? null },
    isGood: right === 2 && slow,
    share: (ends.reduce((sum, { youC, wasC }) => sum + worthOf(youC, wasC), 0) / 2) * (slow ? 1 : 0.8),
    sentence: flameSentence(ends, slow, rateWhileMelting),
    compared: [
      ...compared,
      {
        what: 'rate while it melted',
        you: rateWhileMelting === null ? 'not seen' : `${rateWhileMelting.toFixed(1)} °C/min`,
        was: `${RATE_MOST} °C/min at most`,
        isRight: slow,
      },
    ],
  }
}

function worthOf(youC: number | null, wasC: number | null): number {
  if (youC === null || wasC === null) return 0
  return Math.max(0, 1 - Math.max(0, Math.abs(youC - wasC) - WITHIN_C) / (4 * DIVISION_C))
}

function flameSentence(
  ends: readonly { readonly what: string; readonly youC: number | null; readonly wasC: number | null }[],
  slow: boolean,
  rate: number | null,
): string {
  for (const { what, youC, wasC } of ends) {
    if (wasC === null) return `The ${what} was not reached: the flame was too small for too long.`
    if (youC === null)
      return `The ${what} was not read: it stood at ${wasC.toFixed(1)} °C. Press first, then read: a late reading is corrected back to the press.`
    const off = youC - wasC
    if (Math.abs(off) > 4)
      return `${youC.toFixed(1)} was typed where it was at ${wasC.toFixed(1)} °C. Count from the nearest number on the scale.`
    if (off > WITHIN_C + 0.05)
      return `The ${what} came ${off.toFixed(1)} °C before your press. Press when you see it, then read the thermometer.`
    if (off < -WITHIN_C - 0.05)
      return `The ${what} was marked ${(-off).toFixed(1)} °C too early. Shrinking and sheen are not liquid.`
  }
  return slow
    ? 'You read both to half a division, at the right moment.'
    : `Both are right, at ${(rate ?? 0).toFixed(1)} °C/min. Take the flame away earlier, or the clear point reads too high.`
}
