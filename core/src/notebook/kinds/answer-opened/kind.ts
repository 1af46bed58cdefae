import { defineKind } from '../defineKind'

/** The sealed answer was opened, after signing. */
export interface AnswerOpened {
  readonly seal: string
  readonly compound: string
  readonly name: string
  readonly salt: string
}
export const answerOpened = defineKind<AnswerOpened>()({
  kind: 'answer opened',
  version: 1,
  about: 'unknown',
  sentence: ({ name }) => `Opened the sealed answer: ${name}.`,
})
