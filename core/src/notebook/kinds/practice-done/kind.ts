import type { PracticeId } from '../../../ids'
import { defineKind } from '../defineKind'

/** What every practice line is about: it belongs to no prep, unknown or instrument. */
export const PRACTICE = 'practice' as PracticeId

/** How far one tube’s marks lay from what it did, °C; below 0 too early; null where nothing was marked. */
export interface MarkedTube {
  readonly firstErrorC: number | null
  readonly allErrorC: number | null
}
/** An exercise done on something simulated. None of its numbers is of a real sample. */
export interface PracticeDone {
  /** Its name; one this build does not know counts for nothing here and is kept. */
  readonly exercise: string
  readonly seed: number
  readonly level: 1 | 2 | 3
  readonly isGood: boolean
  /** 0 to 1. */
  readonly share: number
  /** s it took the learner. */
  readonly tookS: number
  readonly sentence: string
  /** At the lens, tube by tube; else empty. */
  readonly tubes: readonly MarkedTube[]
  /** The code of an exercise somebody made; null for the place’s own. */
  readonly code: string | null
  /** The practical it is a tube of, which, from 0, and of how many: until all are there it is not handed in. */
  readonly practical: { readonly id: string; readonly tube: number; readonly of: number } | null
}
export const practiceDone = defineKind<PracticeDone>()({
  kind: 'practice done',
  version: 1,
  about: 'practice',
  sentence: ({ exercise, isGood }) => `Practised: ${exercise}${isGood ? ', good' : ''}. Simulated.`,
})
