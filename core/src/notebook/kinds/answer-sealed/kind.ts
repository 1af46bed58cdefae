import { defineKind } from '../defineKind'

/**
 * The answer to an unknown was sealed by the server: what it is stays there until the verdict is signed. The
 * commitment, a SHA-256 of salt and answer, shows afterwards that it was not changed.
 */
export interface AnswerSealed {
  readonly seal: string
  readonly commitment: string
}
export const answerSealed = defineKind<AnswerSealed>()({
  kind: 'answer sealed',
  version: 1,
  about: 'unknown',
  sentence: ({ commitment }) => `The answer was sealed (${commitment.slice(0, 8)} …).`,
})
