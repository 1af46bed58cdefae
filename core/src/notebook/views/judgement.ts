import { attempt, problem, type Result } from '../../problems'
import type { RangeEvidence } from '../../judging/evidence'
import type { Judgement } from '../../judging/judgement'
import type { EntryId, PrepId, SampleId } from '../../ids'
import type { Conventions } from '../../conventions/conventions'
import type { Compound } from '../../substances/shelf'
import { judgeNoRange } from '../../judging/noRange'
import { isShownDry } from '../../judging/contributions'
import { judgeRange } from '../../judging/judgeRange'
import type { View } from '../fold'
import { memoize } from '../read'
import { behaviourOf } from '../../substances/behaviour'
import { driedOf, evidenceOf, isFromWater, tubesBeside } from './evidence'
import { meltOf } from './melt'
import { type CompleteRow, isComplete, mixturesOf } from './mixtures'
import { plateOpinionOf } from './plates'
import { type PrepFacts, prepOf } from './prep'
import { latestRange, meltRangesOf, type RangeRow, rangesOf } from './ranges'
import { sampleNamedAs } from './samples'
import type { UnknownFacts } from './unknowns'

export interface PrepJudgement {
  readonly sample: SampleId
  /** null where the product has no range and a reason for it. */
  readonly evidence: RangeEvidence | null
  readonly judgement: Judgement
  readonly conventions: Conventions
  readonly restsOn: readonly EntryId[]
  /** Every range of the prep's samples. */
  readonly rows: readonly RangeRow[]
}

/** The product's latest range judged by the house rules its run was planned under. */
export const judgementOf = memoize((view: View, id: PrepId): Result<PrepJudgement> => {
  const prep = prepOf(view, id)
  if (!prep) return problem('too-few-samples', 'There is no such prep in this notebook.')
  const rows = rangesOf(view, id)
  const product = latestRange(rows, 'product')
  // A later tube that was liquid as it went in says where the earlier one stands: below what was watched.
  const begunBelow = rows.findLast(
    ({ role, purpose, onsetBelow }) => role === 'product' && purpose === 'careful' && onsetBelow !== null,
  )
  const plannedOf = (row: RangeRow) => meltOf(view, row.melt)?.planned.id ?? ''
  if (product && begunBelow && plannedOf(begunBelow) > plannedOf(product)) {
    const withoutRangeWords = withoutRange(prep, view, rows)
    if (withoutRangeWords) return withoutRangeWords
  }
  if (!product)
    return (
      withoutRange(prep, view, rows) ??
      problem('too-few-samples', 'The product has no complete melting range yet. Both ends are needed.')
    )
  const crude = latestRange(rows, 'crude')
  const { compound } = prep.opened.body
  const authentic = authenticBeside(view, product, compound)
  const mixed = mixturesOf(view, product.sample).findLast(
    (one) => one.reference.compound?.id === compound.id && one.verdict.ok,
  )
  const plate = plateOpinionOf(view, id)
  const tubes = tubesBeside(view, product, rows, prep)
  const evidence = evidenceOf(view, product, {
    compound,
    dried: driedOf(view, prep, product),
    fromWater: isFromWater(prep),
    crude,
    authentic,
    mixed: mixed?.verdict.ok ? mixed.verdict.value : null,
    plate: plate?.opinion ?? null,
    tubes,
    impurity: prep.plan?.body.impurity ?? null,
  })
  const judged = attempt(() => judgeRange(evidence, product.conventions))
  if (!judged.ok) return judged
  return {
    ok: true,
    value: {
      sample: product.sample,
      evidence,
      judgement: judged.value,
      conventions: product.conventions,
      rows,
      restsOn: [
        ...new Set([
          prep.opened.id,
          ...product.restsOn,
          ...(crude?.restsOn ?? []),
          ...(authentic?.restsOn ?? []),
          ...(mixed?.restsOn ?? []),
          ...tubes.alike.flatMap(({ restsOn }) => restsOn),
          ...(plate ? [plate.plate.developed.id] : []),
        ]),
      ],
    },
  }
})

/** The careful range of an unknown alone: nothing to hold it against, so its width and behaviour are judged. */
export function judgementOfUnknown(
  view: View,
  { careful, rows }: Pick<UnknownFacts, 'careful' | 'rows'>,
): Result<Judgement> | null {
  if (!careful) return null
  const evidence = evidenceOf(view, careful, {
    compound: null,
    dried: null,
    fromWater: false,
    crude: null,
    authentic: null,
    mixed: null,
    plate: null,
    tubes: tubesBeside(view, careful, rows, null),
    impurity: null,
  })
  return attempt(() => judgeRange(evidence, careful.conventions))
}

/** A product whose latest careful tube gave no range: the reason is judged. */
function withoutRange(prep: PrepFacts, view: View, rows: readonly RangeRow[]): Result<PrepJudgement> | null {
  const row = rows.findLast(
    (one) => one.role === 'product' && one.purpose === 'careful' && one.givenUp !== null,
  )
  const window = row && meltOf(view, row.melt)?.planned.body.window
  if (!row?.givenUp || !window) return null
  const { compound } = prep.opened.body
  const judgement = judgeNoRange(
    {
      reason: row.givenUp,
      startC: row.onsetBelow?.value ?? window.startC,
      stopC: window.stopC,
      literature: { lowC: compound.meltLowC, highC: compound.meltHighC },
      behaviour: behaviourOf(compound, isFromWater(prep)),
      isShownDry: isShownDry({ dried: driedOf(view, prep, row), signs: [] }),
    },
    row.conventions,
  )
  return {
    ok: true,
    value: {
      sample: row.sample,
      evidence: null,
      judgement,
      conventions: row.conventions,
      rows,
      restsOn: [...new Set([prep.opened.id, ...row.restsOn])],
    },
  }
}

/** An authentic sample of the compound in the same run. */
function authenticBeside(view: View, product: RangeRow, compound: Compound): CompleteRow | null {
  const melt = meltOf(view, product.melt)
  if (!melt) return null
  return (
    meltRangesOf(view, melt).find(
      (row): row is CompleteRow =>
        row.role === 'authentic' &&
        isComplete(row) &&
        sampleNamedAs(view, row.sample)?.compound?.id === compound.id,
    ) ?? null
  )
}
