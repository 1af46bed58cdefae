import type { Score } from '../exercise'
import type { SolventExercise } from './make'

/** Scores this near each other are as good. */
const AS_GOOD = 0.05

/** The letter chosen, against the ranking. */
export function scoreSolvent({ ranked }: SolventExercise, letter: string): Score {
  const best = ranked[0]
  const mine = ranked.find((one) => one.letter === letter)
  const bestScore = best?.score ?? 0
  const mineScore = mine?.score ?? 0
  const isGood = mine !== undefined && mineScore >= bestScore - AS_GOOD
  const worst = mine?.parts
    .filter(({ score }) => score !== null)
    .reduce((least, part) => ((part.score ?? 1) < (least.score ?? 1) ? part : least))
  return {
    isGood,
    share: isGood ? 1 : bestScore > 0 ? 0.6 * (mineScore / bestScore) : 0,
    sentence: isGood
      ? `${letter} is right: ${best?.letter === letter ? (mine?.parts.find(({ part }) => part === 'recovery')?.sentence ?? '') : 'as good as the first of the ranking.'}`
      : `${best?.letter ?? ''} ranks first. What holds ${letter} back: ${worst?.sentence ?? mine?.sentence ?? 'it was not on the list.'}`,
    compared: [
      { what: 'solvent', you: letter, was: best?.letter ?? '', isRight: isGood },
      {
        what: 'score by the ranking',
        you: mineScore.toFixed(2),
        was: bestScore.toFixed(2),
        isRight: isGood,
      },
    ],
  }
}
