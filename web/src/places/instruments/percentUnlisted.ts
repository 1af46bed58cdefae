import type { Conventions } from '@ivory-crystal/core/conventions'
import { RANK_OPTIONS } from '@ivory-crystal/core/identity'

/** Of a hundred unknowns handed out, those that stand on no list; the ranking’s own figure until the lab gives one. */
export function percentUnlisted({ unlistedPrior = RANK_OPTIONS.unlistedPrior }: Conventions): number {
  return Math.round(1000 * unlistedPrior) / 10
}
