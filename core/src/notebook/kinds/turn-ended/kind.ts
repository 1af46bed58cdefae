import type { EntryId } from '../../../ids'
import { defineKind } from '../defineKind'

/** A turn on a shared instrument is over: glass cleared, and off only when nobody waits. */
export interface TurnEnded {
  readonly turn: EntryId
  readonly glassCleared: boolean
  readonly switchedOff: boolean
}
export const turnEnded = defineKind<TurnEnded>()({
  kind: 'turn ended',
  version: 1,
  about: 'instrument',
  sentence: ({ glassCleared, switchedOff }) =>
    `Handed over: ${glassCleared ? 'tubes in the glass waste' : 'tubes not yet cleared'}, ${switchedOff ? 'switched off' : 'left on for the next'}.`,
})
