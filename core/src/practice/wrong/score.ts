import type { Score } from '../exercise'
import type { WrongExercise } from './make'

/** What the learner holds against a line. */
export interface Accused {
  readonly because: string | null
  readonly instead: string | null
}

/** What was found, why, and what instead, against what was planted. */
export function scoreWrong({ lines }: WrongExercise, accused: ReadonlyMap<string, Accused>): Score {
  const planted = lines.filter(({ mistake }) => mistake !== null)
  const found = planted.filter(({ id }) => accused.has(id))
  const falsely = lines.filter(({ id, mistake }) => mistake === null && accused.has(id))
  const missed = planted.filter(({ id }) => !accused.has(id))
  const whyRight = found.filter(({ id, mistake }) => accused.get(id)?.because === mistake?.because)
  const doRight = found.filter(({ id, mistake }) => accused.get(id)?.instead === mistake?.instead)
  const isGood =
    missed.length === 0 &&
    falsely.length === 0 &&
    whyRight.length === planted.length &&
    doRight.length === planted.length
  const points = found.length + whyRight.length + doRight.length - falsely.length
  const slip = found.find((line) => !whyRight.includes(line) || !doRight.includes(line))
  return {
    isGood,
    share: planted.length === 0 ? (falsely.length === 0 ? 1 : 0) : Math.max(0, points / (3 * planted.length)),
    sentence: missed[0]
      ? `Not found: “${missed[0].text}” ${missed[0].mistake?.because ?? ''} ${missed[0].mistake?.instead ?? ''}`
      : falsely[0]
        ? `Nothing is wrong with “${falsely[0].text}”`
        : slip?.mistake
          ? `“${slip.text}” ${slip.mistake.because} ${slip.mistake.instead}`
          : 'All found, each with the right reason.',
    compared: [
      {
        what: 'mistakes found',
        you: `${found.length}`,
        was: `${planted.length}`,
        isRight: missed.length === 0,
      },
      {
        what: 'correct lines marked as wrong',
        you: `${falsely.length}`,
        was: '0',
        isRight: falsely.length === 0,
      },
      {
        what: 'why, right',
        you: `${whyRight.length}`,
        was: `${planted.length}`,
        isRight: whyRight.length === planted.length,
      },
      {
        what: 'remedies right',
        you: `${doRight.length}`,
        was: `${planted.length}`,
        isRight: doRight.length === planted.length,
      },
    ],
  }
}
