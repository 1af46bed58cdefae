import { defineKind } from '../defineKind'

/** A candidate is struck from the list by hand, for what the eye sees; the probabilities do not know of it otherwise. */
export interface CandidateRuledOut {
  readonly candidate: string
  readonly name: string
  readonly reason: string
}
export const candidateRuledOut = defineKind<CandidateRuledOut>()({
  kind: 'candidate ruled out',
  version: 1,
  about: 'unknown',
  sentence: ({ name, reason }) => `Ruled out ${name}: ${reason}`,
})
