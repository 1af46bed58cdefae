import { type Conventions, type LabRules, labRulesOf } from '@ivory-crystal/core/conventions'
import { houseRulesOf } from '@ivory-crystal/core/notebook'
import type { Shelf } from '@ivory-crystal/core/wire'
import { useMemo } from 'react'
import { useNotebook } from '../ledger/notebook'

/** The house rules in force in the open notebook. */
export function useHouseRules(): Conventions {
  return useNotebook(({ view, shelf }) => houseRulesOf(view, shelf?.houseRules ?? []))
}

/** What holds for the whole lab, whichever set of house rules the notebook goes by. */
export function useLabRules(): LabRules {
  const inForce = useHouseRules()
  const sets = useNotebook(({ shelf }) => shelf?.houseRules ?? NO_SETS)
  return useMemo(() => labRulesOf(sets, inForce), [sets, inForce])
}
const NO_SETS: Shelf['houseRules'] = []
