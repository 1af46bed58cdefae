import { defineKind } from '../defineKind'

/** Somebody asks for slots of a shared instrument; the earliest that has not ended has it, the rest wait in order. */
export interface TurnTaken {
  readonly who: string
  /** How many slots. */
  readonly slots: number
}
export const turnTaken = defineKind<TurnTaken>()({
  kind: 'turn taken',
  version: 1,
  about: 'instrument',
  sentence: ({ who, slots }) => `${who} asked for ${slots === 1 ? 'a slot' : `${slots} slots`}.`,
})
