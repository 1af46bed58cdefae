import { visibleUnder } from '../../melting/meltingRange'
import { attempt, problem, type Result } from '../../problems'
import type { Compound } from '../../substances/shelf'
import { type AssayFromRange, assayFromRange } from '../../solubility/assayFromRange'
import { fusionOf } from '../../substances/fusionOf'
import type { View } from '../fold'
import type { PrepFacts } from './prep'
import { heatedOf, judgedRange, latestRange, rangesOf } from './ranges'

/**
 * The product fraction the crude's own melting range speaks for, given what the impurity is taken to be.
 *
 * @returns the proposal, or why there is none
 */
export function crudeAssayOf(view: View, prep: PrepFacts, impurity: Compound | null): Result<AssayFromRange> {
  const crude = latestRange(rangesOf(view, prep.id), 'crude')
  if (!crude) return problem('too-few-samples', 'The crude has no melting range yet. Both ends are needed.')
  if (!impurity)
    return problem(
      'too-few-samples',
      'Name the impurity. Then the melting range of the crude can propose a product fraction.',
    )
  const product = fusionOf(prep.opened.body.compound)
  const other = fusionOf(impurity)
  const proposed = attempt(() =>
    assayFromRange(product, other, judgedRange(crude), {
      ...heatedOf(crude),
      readingErrorC: crude.conventions.readingErrorC,
      ...visibleUnder(crude.conventions),
    }),
  )
  if (!proposed.ok) return proposed
  if (proposed.value === null)
    return problem(
      'not-below-melting-point',
      'The clear point of the crude lies below the eutectic of the two, so it is not this pair alone.',
    )
  const guess = product.estimated || other.estimated
  return {
    ok: true,
    value: guess
      ? {
          ...proposed.value,
          sentence: `${proposed.value.sentence} One fusion enthalpy used is estimated (Walden’s rule).`,
        }
      : proposed.value,
  }
}
