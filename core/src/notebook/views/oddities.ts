import { memoize } from '../read'
import type { View } from '../fold'
import type { PrepId } from '../../ids'
import { type PrepFacts, prepOf } from './prep'
import { type Recovered, recoveredOf } from './recovered'

export type OddityCode = 'over-100' | 'over-the-bound' | 'under-half' | 'closure-over-102' | 'yield-over-100'

/** Something odd about the account of a prep, in a sentence; why it could be so stands in `odditiesOf`. */
export interface OddFact {
  readonly code: OddityCode
  readonly sentence: string
  readonly prep: PrepFacts
  readonly recovered: Recovered
}

const CLOSURE_REMARKED_ABOVE = 102
/** More than the plan's bound by this is asked about, per cent of the crude: an assay is estimated to some of it. */
const OVER_THE_BOUND_BY = 4

/** What is odd about the account of a prep. */
export const oddFactsOf = memoize((view: View, id: PrepId): readonly OddFact[] => {
  const prep = prepOf(view, id)
  const got = recoveredOf(view, id)
  if (!prep || !got.ok) return []
  const recovered = got.value
  const { ofCrude, closurePercent, yield: made } = recovered
  const predicted = prep.plan?.body.result.recoveryPercentOfCrude
  const found: OddFact[] = []
  const odd = (code: OddityCode, sentence: string) => {
    found.push({ code, sentence, prep, recovered })
  }
  if (ofCrude.value > 100)
    odd(
      'over-100',
      `${ofCrude.value.toFixed(1)} % is more than went in. Dry it, look it over and weigh it again.`,
    )
  if (
    predicted !== undefined &&
    ofCrude.value <= 100 &&
    ofCrude.value - 2 * ofCrude.standardUncertainty > predicted + OVER_THE_BOUND_BY
  )
    odd(
      'over-the-bound',
      `${ofCrude.value.toFixed(1)} % is more than the ${predicted.toFixed(0)} % that the plan allows. Look it over and weigh it again.`,
    )
  if (made && made.percent > 100)
    odd(
      'yield-over-100',
      `A percent yield of ${made.percent.toFixed(1)} % is more than the reaction can give. Ask before you report it.`,
    )
  if (predicted !== undefined && ofCrude.value < predicted / 2)
    odd(
      'under-half',
      `${ofCrude.value.toFixed(1)} % is under half of the ${predicted.toFixed(0)} % planned.${prep.discarded ? '' : ' Do not discard the mother liquor.'}`,
    )
  if (closurePercent !== null && closurePercent > CLOSURE_REMARKED_ABOVE)
    odd(
      'closure-over-102',
      `Crystals and residue come to ${closurePercent.toFixed(1)} % of the crude. Something was weighed that was not in it.`,
    )
  return found
})
