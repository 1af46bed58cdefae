import type { MixtureRun } from '../../identity/likelihood'
import type { Score } from '../exercise'
import { type MixtureExercise, mixtureRun } from './make'
import { rankedAfter } from './planner'

/** A name is shown, not guessed, once the runs make it so likely: or as likely as the planner’s own way could. */
const SHOWN = 0.8

/** A right name that nothing showed was luck. */
const LUCK_SHARE = 0.3

/** The naming, and the runs it took, against the planner’s. */
export function scoreMixture(
  exercise: MixtureExercise,
  runs: readonly MixtureRun[],
  named: string,
  planner: readonly MixtureRun[],
): Score {
  const nameOf = (id: string) => exercise.candidates.find((one) => one.id === id)?.name ?? id
  const isRight = named === exercise.answer
  const isQuick = runs.length <= Math.max(1, planner.length)
  const sure = rankedAfter(exercise, runs).find(({ id }) => id === named)?.probability ?? 0
  const canBeSure = rankedAfter(exercise, planner)[0]?.probability ?? 0
  const isShown = sure >= Math.min(SHOWN, canBeSure)
  const [first] = planner
  const wayOfPlanner = first
    ? `The planner mixes with ${nameOf(first.reference.id)} first: ${apart(exercise, first.reference.id)}.`
    : 'The planner needs no mixture: the range alone separates them.'
  return {
    isGood: isRight && isQuick && isShown,
    share: !isRight
      ? 0
      : !isShown
        ? LUCK_SHARE
        : isQuick
          ? 1
          : Math.max(0.5, 1 - 0.15 * (runs.length - planner.length)),
    sentence: !isRight
      ? `It is ${nameOf(exercise.answer)}. ${
          runs.length === 0
            ? 'Without a mixed melt, the range alone cannot separate compounds that melt alike.'
            : `After your runs ${nameOf(named)} stood at ${(100 * sure).toFixed(0)} %. One more would have decided it.`
        }`
      : !isShown
        ? `Right, but a guess: ${runs.length === 0 ? 'with no mixture it was' : 'your runs made it'} ${(100 * sure).toFixed(0)} % sure. ${wayOfPlanner}`
        : !isQuick
          ? `Right, in ${runs.length} ${runs.length === 1 ? 'run' : 'runs'}. ${wayOfPlanner}`
          : `Right, in ${runs.length} ${runs.length === 1 ? 'run' : 'runs'}, and as sure as a mixture makes it.`,
    compared: [
      { what: 'the unknown', you: nameOf(named), was: nameOf(exercise.answer), isRight },
      {
        what: 'mixed melts',
        you: `${runs.length}`,
        was: `${planner.length}`,
        isRight: isQuick && isShown && isRight,
      },
    ],
  }
}

/** Why a mixture tells: over how many degrees its clear points would lie, candidate by candidate. */
function apart(exercise: MixtureExercise, reference: string): string {
  const clear = exercise.candidates.map(({ id }) => mixtureRun({ ...exercise, answer: id }, reference).clearC)
  return `with it the six would clear anywhere over ${(Math.max(...clear) - Math.min(...clear)).toFixed(0)} °C`
}
