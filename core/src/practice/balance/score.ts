import { TEACHING_BALANCE } from '../../simulator/balance'
import type { Score } from '../exercise'
import { type WeighExercise, DECIMALS } from './make'

/** How far the mass may be off: two steps of the display, and the drift of a minute or two, g. */
const WITHIN_G = 2 * TEACHING_BALANCE.readabilityG + 0.0005

/**
 * The mass as it was written down.
 *
 * @param message as typed, g; a comma counts as a point only where the learner is told of it
 * @param wasMoving the last reading was looked at before it was at rest
 */
export function scoreWeighing(exercise: WeighExercise, message: string, wasMoving: boolean): Score {
  const text = message.trim()
  const isNumber = /^\d+(\.\d+)?$/.test(text)
  const g = isNumber ? Number(text) : NaN
  const off = g - exercise.crystalsG
  const isNear = Math.abs(off) <= WITHIN_G
  const decimals = (text.split('.')[1] ?? '').length
  const hasDigits = decimals === DECIMALS
  return {
    isGood: isNear && hasDigits,
    share: isNear
      ? hasDigits
        ? 1
        : 0.6
      : isNumber
        ? Math.max(0, 0.5 - Math.abs(off) / exercise.crystalsG)
        : 0,
    sentence: weighSentence(exercise, g, off, { isNear, hasDigits, decimals, wasMoving }),
    compared: [
      {
        what: 'crystals',
        you: isNumber ? `${text} g` : 'no number',
        was: `${exercise.crystalsG.toFixed(DECIMALS)} g`,
        isRight: isNear,
      },
      {
        what: 'digits after the point',
        you: isNumber ? `${decimals}` : 'none',
        was: `${DECIMALS}`,
        isRight: hasDigits,
      },
    ],
  }
}

function weighSentence(
  { boat1G, boat2G, crystalsG, leftAtG }: WeighExercise,
  g: number,
  off: number,
  {
    isNear,
    hasDigits,
    decimals,
    wasMoving,
  }: { isNear: boolean; hasDigits: boolean; decimals: number; wasMoving: boolean },
): string {
  if (!Number.isFinite(g)) return 'Type the mass as a number in grams with a point: 1.204.'
  if (isNear && hasDigits) return 'At rest, with the right vessel and all digits.'
  if (isNear)
    return decimals < DECIMALS
      ? `The balance gave ${DECIMALS} digits after the point and you kept ${decimals}. Digits that are left out are lost.`
      : `The balance gives ${DECIMALS} digits after the point. You wrote more than it showed.`
  const near = (value: number) => Math.abs(off - value) <= WITHIN_G
  if (near(boat2G - boat1G))
    return `You subtracted the empty mass of the other boat: they differ by ${(boat2G - boat1G).toFixed(DECIMALS)} g. Tell boats apart by their numbers.`
  if (near(boat2G) || near(boat2G + leftAtG))
    return `That is boat and crystals: the ${boat2G.toFixed(DECIMALS)} g of the boat were not subtracted.`
  if (near(leftAtG) || near(-leftAtG))
    return `The display stood at ${leftAtG.toFixed(DECIMALS)} g with nothing on it. Zero it first, or this is in every reading.`
  if (wasMoving)
    return `You read it while it still moved, ${Math.abs(off).toFixed(DECIMALS)} g from where it came to rest.`
  return `${g.toFixed(DECIMALS)} is ${Math.abs(off).toFixed(DECIMALS)} g ${off > 0 ? 'more' : 'less'} than lies in the boat (${crystalsG.toFixed(DECIMALS)} g). Check the subtraction.`
}
