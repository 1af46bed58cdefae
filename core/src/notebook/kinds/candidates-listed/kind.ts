import type { Compound } from '../../../substances/shelf'
import { defineKind } from '../defineKind'

/** More are no list to test by mixture; a narrower window is. */
export const CANDIDATES_MOST = 200

/** What the unknown may be: a list that was handed out, or what the shelf holds in a window of temperature. */
export interface CandidatesListed {
  readonly candidates: readonly Compound[]
  readonly from: 'the instructor' | 'the shelf' | 'this bench'
  /** °C, for a list off the shelf. */
  readonly window: { readonly lowC: number; readonly highC: number } | null
}
export const candidatesListed = defineKind<CandidatesListed>()({
  kind: 'candidates listed',
  version: 1,
  about: 'unknown',
  sentence: ({ candidates, from, window }) =>
    `${candidates.length === 1 ? '1 candidate' : `${candidates.length} candidates`}, from ${from}${window ? ` between ${window.lowC} and ${window.highC} °C` : ''}.`,
})
