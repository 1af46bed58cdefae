import type { PrepId } from '../../ids'
import type { Entry } from '../entry'
import { judgeTrial, type TrialVerdict } from '../../solubility/trial'
import type { View } from '../fold'
import { linesOf, memoize } from '../read'

export interface TrialFacts {
  readonly entry: Entry<'trial seen'>
  readonly verdict: TrialVerdict
}

/** The latest trial of each solvent, the most promising first. */
export const trialsOf = memoize((view: View, id: PrepId): readonly TrialFacts[] => {
  const latest = new Map<string, Entry<'trial seen'>>()
  for (const entry of linesOf(view, id, 'trial seen')) latest.set(entry.body.solvent, entry)
  return [...latest.values()]
    .map((entry) => ({ entry, verdict: judgeTrial(entry.body) }))
    .sort((p, q) => q.verdict.score - p.verdict.score)
})
