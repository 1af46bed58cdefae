import { defineKind } from '../defineKind'

/** One of the checks before a heating was made. */
export interface CheckMade {
  readonly check: string
}
export const checkMade = defineKind<CheckMade>()({
  kind: 'check made',
  version: 1,
  about: 'melt',
  sentence: ({ check }) => `Checked before the start: ${check.replaceAll('-', ' ')}.`,
})
