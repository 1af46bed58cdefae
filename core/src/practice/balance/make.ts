import { randomSource } from '../../math/random'
import { type BalanceState, createBalance } from '../../simulator/balance'
import { TEACHING_BALANCE } from '../../simulator/balance'
import type { Level } from '../exercise'

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

export const DECIMALS = 3

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
