import type { MarkedTube } from '../notebook/kinds/practice-done/kind'

/** One end over all tubes: signed errors in the order they were made, °C; below 0 too early. */
interface EyeEnd {
  readonly errorsC: readonly number[]
  /** Tubes of which this end was not marked. */
  readonly missed: number
  /** null without a mark. */
  readonly meanC: number | null
  /** Standard deviation; null with fewer than two marks. */
  readonly spreadC: number | null
}
export interface Eye {
  readonly tubes: number
  readonly first: EyeEnd
  readonly all: EyeEnd
}

/** A learner’s eye over all tubes watched so far, in the order given. */
export function eyeOf(tubes: readonly MarkedTube[]): Eye {
  return {
    tubes: tubes.length,
    first: endOf(tubes.map(({ firstErrorC }) => firstErrorC)),
    all: endOf(tubes.map(({ allErrorC }) => allErrorC)),
  }
}

function endOf(errors: readonly (number | null)[]): EyeEnd {
  const errorsC = errors.filter((one) => one !== null)
  const count = errorsC.length
  const meanC = count === 0 ? null : errorsC.reduce((sum, one) => sum + one, 0) / count
  return {
    errorsC,
    missed: errors.length - count,
    meanC,
    spreadC:
      meanC === null || count < 2
        ? null
        : Math.sqrt(errorsC.reduce((sum, one) => sum + (one - meanC) ** 2, 0) / (count - 1)),
  }
}

/** From so many tubes on something is said of an eye. */
const SAID_FROM = 4

/** Whether nothing is to be said against an eye: both ends within that on average, over enough tubes, none missed. */
export function isEyeWithin({ tubes, first, all }: Eye, withinC: number): boolean {
  return (
    tubes >= SAID_FROM &&
    lean('first liquid', first, withinC) === null &&
    lean('all liquid', all, withinC) === null
  )
}

/** What an eye does, in one sentence. */
export function eyeSentence({ tubes, first, all }: Eye, withinC: number): string {
  if (tubes === 0) return 'No tube has been watched yet.'
  if (tubes < SAID_FROM)
    return `After ${SAID_FROM} tubes something can be said of your eye; ${tubes === 1 ? 'one has' : `${tubes} have`} been watched.`
  const sentences = [lean('first liquid', first, withinC), lean('all liquid', all, withinC)].filter(
    (one) => one !== null,
  )
  return sentences.length === 0
    ? `Both ends lie within ${withinC.toFixed(2)} °C on average.`
    : `${sentences.join('; ')}.`.replace(/^./, (letter) => letter.toUpperCase())
}

function lean(what: string, { meanC, missed }: EyeEnd, withinC: number): string | null {
  if (meanC === null) return `${what} was never marked`
  if (Math.abs(meanC) > withinC)
    return `you mark ${what} ${Math.abs(meanC).toFixed(1)} °C too ${meanC < 0 ? 'early' : 'late'} on average`
  return missed > 0 ? `${what} was not marked in ${missed} of the tubes` : null
}
