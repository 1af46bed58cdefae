import { type Conventions, houseRulesOf } from '@ivory-crystal/core'
import { useNotebook } from '../ledger/notebook'

/** The house rules in force in the open notebook. */
export function useHouseRules(): Conventions {
  return useNotebook(({ view, shelf }) => houseRulesOf(view, shelf?.houseRules ?? []))
}
