import { useMemo } from 'react'
import { progressOf, yourEye } from '@ivory-crystal/core/practice'
import { useNotebook } from '../../ledger/notebook'

/** How the learner stands, folded from the practice lines of this notebook. */
export function usePractice() {
  const view = useNotebook((state) => state.view)
  return useMemo(() => ({ progress: progressOf(view), eye: yourEye(view) }), [view])
}
