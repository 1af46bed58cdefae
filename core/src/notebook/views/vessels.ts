import type { EpochMs } from '../../ids'
import type { Reading } from '../../units'
import type { View } from '../fold'
import { linesOf, memoize, subjectsWith } from '../read'

/** A vessel that was weighed empty before, known by its name. */
export interface Vessel {
  readonly name: string
  /** Digit for digit, g. */
  readonly empty: Reading
  readonly readabilityG: number
  readonly at: EpochMs
}

/** Vessels by name, each with its latest empty mass, the latest used first. */
export const vesselsOf = memoize((view: View): readonly Vessel[] => {
  const latest = new Map<string, Vessel>()
  for (const sample of subjectsWith(view, 'weighed'))
    for (const { at, body } of linesOf(view, sample, 'weighed')) {
      if (body.method !== 'difference' || !body.vessel) continue
      const key = body.vessel.toLowerCase()
      const known = latest.get(key)
      if (!known || known.at < at)
        latest.set(key, { name: body.vessel, empty: body.empty, readabilityG: body.readabilityG, at })
    }
  return [...latest.values()].sort((p, q) => q.at - p.at)
})
