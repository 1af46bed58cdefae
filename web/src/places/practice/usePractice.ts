import { useMemo } from 'react'
import { markWithinC, progressOf, seeingOf, yourEye } from '@ivory-crystal/core/practice'
import { useNotebook } from '../../ledger/notebook'
import { useHouseRules } from '../../parts/useHouseRules'

/** How the learner stands, folded from the practice entries of this notebook. */
export function usePractice() {
  const view = useNotebook((state) => state.view)
  const rules = useHouseRules()
  const withinC = markWithinC(rules, rules.meltRate.target)
  return useMemo(
    () => ({ progress: progressOf(view), eye: yourEye(view), seeing: seeingOf(view, withinC) }),
    [view, withinC],
  )
}
