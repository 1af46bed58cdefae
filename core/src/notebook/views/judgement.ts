import { attempt, problem, type Result } from '../../problems'
import type { JudgeInput, Judgement } from '../../judging/judgement'
import type { EntryId, PrepId, SampleId } from '../../ids'
import type { Conventions } from '../../conventions/conventions'
import type { Compound } from '../../reference/shelf'
import type { PlateOpinion } from '../../chromatography/readPlate'
import { judgeRange } from '../../judging/judgeRange'
import { fusionOf } from '../../reference/fusionOf'
import type { View } from '../fold'
import { remember } from '../read'
import { drynessOf } from './dryness'
import { meltOf } from './melt'
import { type CompleteRow, isComplete, mixturesOf } from './mixtures'
import { plateOpinionOf } from './plates'
import { prepOf } from './prep'
import { heatedOf, judgedRange, latestRange, meltRangesOf, type RangeRow, rangesOf } from './ranges'
import { repeatsOf } from './repeats'
import { sampleNamedAs } from './samples'

export interface PrepJudgement {
  readonly sample: SampleId
  readonly input: JudgeInput
  readonly judgement: Judgement
  readonly conventions: Conventions
  readonly restsOn: readonly EntryId[]
  /** Every range of the prep's samples. */
  readonly rows: readonly RangeRow[]
}

/** The product's latest range judged by the house rules its run was planned under. */
export const judgementOf = remember((view: View, id: PrepId): Result<PrepJudgement> => {
  const prep = prepOf(view, id)
  if (!prep) return problem('too-few-samples', 'There is no such prep in this notebook.')
  const rows = rangesOf(view, id)
  const product = latestRange(rows, 'product')
  if (!product)
    return problem('too-few-samples', 'The product has no complete melting range yet: both ends are needed.')
  const crude = latestRange(rows, 'crude')
  const { compound } = prep.opened.body
  const impurity = prep.plan?.body.impurity ?? null
  const authentic = authenticBeside(view, product, compound)
  const mixed = mixturesOf(view, product.sample).findLast(
    (one) => one.reference.compound?.id === compound.id && one.verdict.ok,
  )
  const plate = plateOpinionOf(view, id)
  const repeats = repeatsOf(rows).find(({ sample }) => sample === product.sample)
  const input: JudgeInput = {
    corrected: judgedRange(product),
    literature: { lowC: compound.meltLowC, highC: compound.meltHighC },
    fusion: fusionOf(compound),
    ...heatedOf(product),
    dried: drynessOf(view, prep).isDry,
    decomposed: product.notes.includes('decomposes'),
    residualSolid: product.notes.includes('solid that does not melt'),
    crude: crude ? judgedRange(crude) : undefined,
    impurity: impurity ? { name: impurity.name, fusion: fusionOf(impurity) } : undefined,
    authenticSameRun: authentic ? judgedRange(authentic) : undefined,
    thermometerErrorC: product.corrected?.calibration.errorC,
    mixed: mixed?.verdict.ok ? mixed.verdict.value : undefined,
    plate: plate ? opinionFrom(plate.opinion) : undefined,
    repeats: repeats && {
      count: repeats.count,
      spreadC: Math.max(repeats.spreadC.onset, repeats.spreadC.clear),
    },
  }
  const judged = attempt(() => judgeRange(input, product.conventions))
  if (!judged.ok) return judged
  return {
    ok: true,
    value: {
      sample: product.sample,
      input,
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
          ...(plate ? [plate.plate.developed.id] : []),
        ]),
      ],
    },
  }
})

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

function opinionFrom({ spots, agrees, isPoor, sentence }: PlateOpinion): JudgeInput['plate'] {
  return { spots, agrees, isPoor, sentence }
}
