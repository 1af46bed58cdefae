import type { Conventions } from '../../../conventions/conventions'
import { defineKind } from '../defineKind'

/** A set of house rules is taken for what is planned from here on. About the bench itself. */
export interface RulesTaken {
  readonly conventions: Conventions
}
export const rulesTaken = defineKind<RulesTaken>()({
  kind: 'rules taken',
  version: 1,
  about: 'any',
  sentence: ({ conventions }) => `House rules from now on: “${conventions.name}”.`,
})
