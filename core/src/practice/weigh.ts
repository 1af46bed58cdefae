import { randomSource } from '../math/random'
import { type BalanceState, createBalance } from '../simulator/balance'
import { TEACHING_BALANCE } from '../simulator/characters'
import type { Level } from './meltExercise'
import type { Score } from './exercises'

/** What can be put on the pan. */
export const PAN_ITEMS = ['nothing', 'boat 1 empty', 'boat 2 empty', 'boat 2 with crystals'] as const
export type PanItem = (typeof PAN_ITEMS)[number]

/** Crystals in a boat on a simulated balance: how much is it? */
export interface WeighExercise {
  readonly seed: number
  readonly level: Level
  readonly boat1G: number
  readonly boat2G: number
  readonly crystalsG: number
  /** What the display stands at with nothing on it: nobody has zeroed it, g. */
  readonly leftAtG: number
  readonly how: 'by taring' | 'by difference'
  /** The card beside it: an empty boat weighed before, by somebody; null where there is none. */
  readonly card: { readonly boat: 1 | 2; readonly text: string } | null
}
const DECIMALS = 3

/** The higher the level the more there is to trip over: by difference, and a card of the other boat. */
export function weighExercise(seed: number, level: Level): WeighExercise {
  const { uniform } = randomSource(seed)
  const mg = (least: number, span: number) => Math.round(least + span * uniform()) / 1000
  const boat1G = mg(420, 60)
  const boat2G = boat1G + mg(12, 25)
  const crystalsG = mg(300, 1500)
  const boat = level === 3 ? 1 : 2
  return {
    seed,
    level,
    boat1G,
    boat2G,
    crystalsG,
    leftAtG: mg(4, 20),
    how: level === 1 ? 'by taring' : 'by difference',
    card: level === 1 ? null : { boat, text: (boat === 1 ? boat1G : boat2G).toFixed(DECIMALS) },
  }
}

/** The balance as it was left: not at zero. */
export function startBalance({ seed, leftAtG }: WeighExercise): BalanceState {
  return { ...createBalance(TEACHING_BALANCE, seed), zeroG: -leftAtG }
}

/** What the pan carries, g. */
export function onThePanG({ boat1G, boat2G, crystalsG }: WeighExercise, item: PanItem): number {
  switch (item) {
    case 'nothing':
      return 0
    case 'boat 1 empty':
      return boat1G
    case 'boat 2 empty':
      return boat2G
    case 'boat 2 with crystals':
      return boat2G + crystalsG
  }
}

/** How far the mass may be off: two steps of the display, and the drift of a minute or two, g. */
const WITHIN_G = 2 * TEACHING_BALANCE.readabilityG + 0.0005

/**
 * The mass as it was written down.
 *
 * @param said as typed, g; a comma counts as a point only where the learner is told of it
 * @param wasMoving the last reading was looked at before it was at rest
 */
export function scoreWeighing(exercise: WeighExercise, said: string, wasMoving: boolean): Score {
  const text = said.trim()
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
  if (!Number.isFinite(g)) return 'A mass is a number in grams, with a point: 1.204.'
  if (isNear && hasDigits) return 'At rest, the right vessel, all its digits.'
  if (isNear)
    return decimals < DECIMALS
      ? `The balance gave ${DECIMALS} digits after the point and you kept ${decimals}: those left off cannot be had back.`
      : `The balance gives ${DECIMALS} digits after the point: more were written than were read.`
  const near = (value: number) => Math.abs(off - value) <= WITHIN_G
  if (near(boat2G - boat1G))
    return `The other boat’s empty mass was taken off: they differ by ${(boat2G - boat1G).toFixed(DECIMALS)} g. A boat is known by its number, not by its look.`
  if (near(boat2G) || near(boat2G + leftAtG))
    return `That is boat and crystals: the boat’s ${boat2G.toFixed(DECIMALS)} g were not taken off.`
  if (near(leftAtG) || near(-leftAtG))
    return `The display stood at ${leftAtG.toFixed(DECIMALS)} g with nothing on it: zero it first, or it is in every reading.`
  if (wasMoving)
    return `It was read while it still moved, ${Math.abs(off).toFixed(DECIMALS)} g from where it came to rest.`
  return `${g.toFixed(DECIMALS)} is ${Math.abs(off).toFixed(DECIMALS)} g ${off > 0 ? 'more' : 'less'} than lies in the boat (${crystalsG.toFixed(DECIMALS)} g): go through the subtraction once more.`
}
