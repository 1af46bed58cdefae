import type { Conventions, EntryId, JudgeInput, Judgement, PrepId, Result, SampleId } from '../../contract'
import { judgeRange } from '../../judging/judgeRange'
import { attempt, problem } from '../../problems'
import { fusionOf } from '../../reference/fusionOf'
import type { View } from '../fold'
import { drynessOf } from './dryness'
import { prepOf } from './prep'
import { judgedRange, latestRange, rangesOf, type RangeRow } from './ranges'

export interface PrepJudgement {
  readonly sample: SampleId
  readonly input: JudgeInput
  readonly judgement: Judgement
  readonly conventions: Conventions
  readonly restsOn: readonly EntryId[]
}

/** The product's latest range judged by the house rules its run was planned under. */
export function judgementOf(view: View, id: PrepId): Result<PrepJudgement> {
  const prep = prepOf(view, id)
  if (!prep) return problem('too-few-samples', 'There is no such prep in this notebook.')
  const rows = rangesOf(view, id)
  const product = latestRange(rows, 'product')
  if (!product)
    return problem('too-few-samples', 'The product has no complete melting range yet: both ends are needed.')
  const crude = latestRange(rows, 'crude')
  const { compound } = prep.opened.body
  const impurity = prep.plan?.body.impurity ?? null
  const input: JudgeInput = {
    corrected: judgedRange(product),
    literature: { lowC: compound.meltLowC, highC: compound.meltHighC },
    fusion: fusionOf(compound),
    rateCPerMin: product.rateCPerMin,
    fillMm: product.fillMm,
    grain: product.grain,
    calibration: howCalibrated(product),
    dried: drynessOf(view, prep).isDry,
    decomposed: product.notes.includes('decomposes'),
    residualSolid: product.notes.includes('solid that does not melt'),
    crude: crude ? judgedRange(crude) : undefined,
    impurity: impurity ? { name: impurity.name, fusion: fusionOf(impurity) } : undefined,
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
      restsOn: [prep.opened.id, ...product.restsOn, ...(crude?.restsOn ?? [])],
    },
  }
}

/** A calibration made at another rate than the run's holds another share of what heating does, °C/min. */
const SAME_RATE_WITHIN = 0.5

/** Whether the calibration was made as this tube was heated: then what heating does is in it already. */
function howCalibrated({
  corrected,
  rateCPerMin,
}: Pick<RangeRow, 'corrected' | 'rateCPerMin'>): JudgeInput['calibration'] {
  if (!corrected) return 'none'
  const { heating } = corrected.calibration
  return heating && Math.abs(heating.rateCPerMin - rateCPerMin) <= SAME_RATE_WITHIN
    ? 'in place'
    : 'at another rate'
}

/** Whether a decision rests on a line that has been struck since. */
export function isStale(
  view: View,
  decision: { readonly body: { readonly restsOn: readonly EntryId[] } },
): boolean {
  return decision.body.restsOn.some((id) => view.struck.has(id))
}
