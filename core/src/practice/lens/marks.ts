import type { Conventions } from '../../conventions/conventions'
import type { TubeTruth } from './truth'

/** What a learner marked of one tube, °C as the instrument showed it; null where nothing was. */
interface TubeMarks {
  readonly firstC: number | null
  readonly allC: number | null
}

/** One moment, as marked against as it was. */
interface MomentScore {
  readonly youC: number | null
  readonly wasC: number
  /** Marked less what it was: below 0 too early, °C; null where nothing was marked. */
  readonly errorC: number | null
  readonly isWithin: boolean
}

interface TubeScore {
  readonly first: MomentScore
  readonly all: MomentScore
  /** The one thing that helps most. */
  readonly sentence: string
}

export interface MarksScore {
  readonly tubes: readonly TubeScore[]
  /** Every moment of every tube within what an eye can do. */
  readonly isGood: boolean
  /** 0 to 1: how near the marks came; nothing for a moment that was not marked. */
  readonly share: number
}

/** From seeing to pressing, min. */
const TO_PRESS_MIN = 3 / 60

/** So many times what is allowed, a mark is worth nothing. */
const WORTH_NOTHING_AT = 8

/** How far a mark may be off: the house’s reading error, and how far the block moves from seeing to pressing, °C. */
export function markWithinC(rules: Pick<Conventions, 'readingErrorC'>, rateCPerMin: number): number {
  return rules.readingErrorC + TO_PRESS_MIN * rateCPerMin
}

/**
 * A learner’s marks against what the tubes did.
 *
 * @param marks tube by tube
 * @param truth as `truthAfter` came to it, tube by tube; both moments have happened
 * @param rateCPerMin of the block
 */
export function scoreMarks(
  marks: readonly TubeMarks[],
  truth: readonly TubeTruth[],
  rules: Pick<Conventions, 'readingErrorC'>,
  rateCPerMin: number,
): MarksScore {
  const withinC = markWithinC(rules, rateCPerMin)
  const tubes = truth.flatMap((was, i): TubeScore[] => {
    if (was.firstC === null || was.allC === null) return []
    const first = moment(marks[i]?.firstC ?? null, was.firstC, withinC)
    const all = moment(marks[i]?.allC ?? null, was.allC, withinC)
    return [{ first, all, sentence: sentenceOf(first, all, was, withinC) }]
  })
  const moments = tubes.flatMap(({ first, all }) => [first, all])
  const worth = ({ errorC, isWithin }: MomentScore) =>
    errorC === null
      ? 0
      : isWithin
        ? 1
        : Math.max(0, 1 - (Math.abs(errorC) - withinC) / (WORTH_NOTHING_AT * withinC))
  return {
    tubes,
    isGood: moments.length > 0 && moments.every(({ isWithin }) => isWithin),
    share: moments.length === 0 ? 0 : moments.reduce((sum, one) => sum + worth(one), 0) / moments.length,
  }
}

function moment(youC: number | null, wasC: number, withinC: number): MomentScore {
  const errorC = youC === null ? null : youC - wasC
  return { youC, wasC, errorC, isWithin: errorC !== null && Math.abs(errorC) <= withinC + 1e-9 }
}

const c = (value: number) => value.toFixed(1)

function sentenceOf(first: MomentScore, all: MomentScore, was: TubeTruth, withinC: number): string {
  if (first.youC === null && all.youC === null)
    return `You marked nothing. The first liquid was at ${c(first.wasC)} °C, and all was liquid at ${c(all.wasC)} °C.`
  const early = tooEarly(first, was, withinC)
  if (early !== null) return early
  if (first.youC === null)
    return `You did not mark the first liquid: it was at ${c(first.wasC)} °C. Without it there is no range.`
  if ((first.errorC ?? 0) > withinC)
    return `The first liquid was there ${c(first.errorC ?? 0)} °C before you marked it. It appears at the wall: look there, not at the middle.`
  if (all.youC === null) return `You did not mark the end: the last crystal melted at ${c(all.wasC)} °C.`
  if ((all.errorC ?? 0) < -withinC)
    return `There was still a crystal when you marked the end. It melted ${c(-(all.errorC ?? 0))} °C later. The last one is in the middle.`
  if ((all.errorC ?? 0) > withinC)
    return `All was liquid ${c(all.errorC ?? 0)} °C before you marked it. Press when the last crystal melts, not when you are sure.`
  return 'Both ends are as close as an eye can see.'
}

/** Marked before there was liquid: what it was that was taken for it; null where it was not too early. */
function tooEarly({ youC, wasC, errorC }: MomentScore, was: TubeTruth, withinC: number): string | null {
  if (youC === null || (errorC ?? 0) >= -withinC) return null
  const byC = c(wasC - youC)
  if (was.sweatedC !== null && youC >= was.sweatedC - withinC)
    return `You marked a sheen: there was no drop yet. The first came ${byC} °C later.`
  if (was.shrankC !== null && youC >= was.shrankC - withinC)
    return `You marked the shrinking: the powder pulled away from the wall at ${c(was.shrankC)} °C, still dry. Liquid came ${byC} °C later. Wait until it is wet.`
  return `Nothing had happened yet at ${c(youC)} °C: liquid came ${byC} °C later.`
}
