import { solubilityAt } from '../../solubility/solubilityAt'
import type { Score } from '../exercise'
import { type FlaskState, UNSEEN_SHARE, TRIAL_PORTIONS, PORTIONS_ML } from './flask'
import type { DissolveExercise } from './make'

/** The trial may cost so much: this share of the least, or two of the smallest portions, mL. */
const TRIAL_SHARE = 0.15

/** Of what was earned this much is left where the solid melted dry. */
const SPOILT = 0.3

/** What the learner says when done: all is in solution, or what is left is grit and the liquid comes off it hot. */
export type Called = 'all dissolved' | 'what is left is grit'

/**
 * The dissolving, against the least hot solvent that would have done.
 */
export function scorePortions(state: FlaskState, called: Called): Score {
  const { exercise, addedML, chasedML, hasOiled } = state
  const leftG = exercise.solubleG - state.dissolvedG
  const isDone = leftG <= UNSEEN_SHARE * exercise.crudeG
  const isRightCall = (called === 'what is left is grit') === exercise.gritG > 0
  const isLean = addedML <= leanML(state)
  const isGood = isDone && isRightCall && isLean && chasedML === 0 && !hasOiled
  const earned =
    (isDone ? 0.4 : 0.4 * Math.max(0, 1 - leftG / exercise.solubleG)) +
    (isRightCall ? 0.2 : 0) +
    (isDone ? 0.3 * Math.max(0, 1 - Math.max(0, addedML / leanML(state) - 1)) : 0) +
    (hasOiled ? 0 : 0.1)
  return {
    isGood,
    // What melted dry on the plate is spoilt, however lean the rest.
    share: hasOiled ? SPOILT * earned : earned,
    sentence: portionsSentence(state, called, { leftG, isDone, isRightCall }),
    compared: [
      {
        what: 'solvent added, beside the least',
        you: `${addedML.toFixed(1)} mL`,
        was: `${exercise.leastML.toFixed(1)} mL`,
        isRight: isLean && isDone,
      },
      {
        what: 'still undissolved when you stopped',
        you: called,
        was: isDone ? (exercise.gritG > 0 ? 'grit only' : 'nothing') : `${leftG.toFixed(2)} g`,
        isRight: isDone && isRightCall,
      },
      {
        what: 'added after two portions had changed nothing',
        you: `${chasedML.toFixed(1)} mL`,
        was: '0.0 mL',
        isRight: chasedML === 0,
      },
      { what: 'heated dry', you: hasOiled ? 'yes' : 'no', was: 'no', isRight: !hasOiled },
    ],
  }
}

function portionsSentence(
  state: FlaskState,
  called: Called,
  { leftG, isDone, isRightCall }: { leftG: number; isDone: boolean; isRightCall: boolean },
): string {
  const { exercise, addedML, chasedML, hasOiled } = state
  if (hasOiled)
    return `The solid was dry on the plate and melted at about ${exercise.meltsC} °C. Add a little solvent before the heat.`
  if (!isDone && called === 'what is left is grit')
    return `What was left was not grit: ${leftG.toFixed(2)} g of it would still have dissolved. Swirl at the boil and add another portion: grit is what two portions do not change.`
  if (!isDone)
    return `${leftG.toFixed(2)} g was still solid when you stopped. Wait at the boil and swirl before each portion and before you stop.`
  if (chasedML > 0)
    return `${chasedML.toFixed(1)} mL more went in after two portions had changed nothing. Grit never dissolves, and the mother liquor keeps ${((chasedML * coldOf(exercise)) / 100).toFixed(2)} g more of the product when cold.`
  if (!isRightCall)
    return exercise.gritG > 0
      ? 'Specks were left that no portion changed: grit. Filter the liquid off it hot, or it stays among the crystals.'
      : 'There was no grit: everything had dissolved. An unnecessary filtration loses product on the paper.'
  if (addedML > leanML(state))
    return `${addedML.toFixed(1)} mL where ${exercise.leastML.toFixed(1)} would be enough. Add smaller portions near the end, and wait half a minute at the boil after each.`
  return `Just dissolved, in ${addedML.toFixed(1)} mL where ${exercise.leastML.toFixed(1)} is the least.`
}

/** As lean as it can be done in portions: a fifth above the least or the smallest portion, and the trial, mL. */
function leanML({ exercise: { leastML }, triedML }: FlaskState): number {
  const trialMost = Math.max(TRIAL_PORTIONS * PORTIONS_ML[0], TRIAL_SHARE * leastML)
  return Math.max(1.2 * leastML, leastML + PORTIONS_ML[0]) + Math.min(triedML, trialMost)
}

/** g per 100 mL in the ice. */
const coldOf = ({ points }: DissolveExercise) => solubilityAt(points, 5).gPer100ML
