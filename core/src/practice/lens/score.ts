import type { Conventions } from '../../conventions/conventions'
import type { Score } from '../exercise'
import { scoreMarks, type MarksScore } from './marks'
import type { TubeTruth } from './truth'

/** Tubes marked and jobs done, as one score. */
interface LensDone {
  readonly marks: Parameters<typeof scoreMarks>[0]
  readonly truth: readonly TubeTruth[]
  readonly rateCPerMin: number
  /** Small jobs put, and how many were answered right; none in most exercises. */
  readonly jobs?: { readonly put: number; readonly right: number }
}

/** Of so many jobs and more one may be wrong or missed. */
const SPARED_FROM = 3

/** What the jobs weigh beside the marks. */
const JOBS_WEIGH = 0.25

const c = (value: number | null) => (value === null ? 'not marked' : `${value.toFixed(1)} °C`)

/**
 * An exercise at the lens: the marks against the tubes, and the jobs that went beside them.
 *
 * @param rules the house’s reading error, °C
 */
export function scoreLens(
  { marks, truth, rateCPerMin, jobs }: LensDone,
  rules: Pick<Conventions, 'readingErrorC'>,
): Score & { readonly marks: MarksScore } {
  const scored = scoreMarks(marks, truth, rules, rateCPerMin)
  const many = scored.tubes.length > 1
  const worst = [...scored.tubes].sort((p, q) => worth(p) - worth(q))[0]
  const jobsGood = !jobs || jobs.right >= jobs.put - (jobs.put >= SPARED_FROM ? 1 : 0)
  const jobsShare = !jobs || jobs.put === 0 ? 1 : jobs.right / jobs.put
  const weight = jobs ? JOBS_WEIGH : 0
  const compared = scored.tubes.flatMap(({ first, all }, i) => {
    const tube = many ? `tube ${i + 1}, ` : ''
    return [
      { what: `${tube}first liquid`, you: c(first.youC), was: c(first.wasC), isRight: first.isWithin },
      { what: `${tube}all liquid`, you: c(all.youC), was: c(all.wasC), isRight: all.isWithin },
    ]
  })
  const message = worst
    ? `${many && !scored.isGood ? `Tube ${scored.tubes.indexOf(worst) + 1}: ` : ''}${worst.sentence}`
    : 'No tube melted completely, so there is no score.'
  return {
    marks: scored,
    isGood: scored.isGood && jobsGood,
    share: (1 - weight) * scored.share + weight * jobsShare,
    sentence:
      scored.isGood && jobs && !jobsGood
        ? `The marks are right, but ${jobs.put - jobs.right} of ${jobs.put} small jobs were wrong. There is time for one between two looks.`
        : message,
    compared: jobs
      ? [
          ...compared,
          { what: 'small jobs right', you: `${jobs.right}`, was: `${jobs.put}`, isRight: jobsGood },
        ]
      : compared,
  }
}

/** A tube missed is worse than one far off, and that than one near. */
function worth({ first, all }: MarksScore['tubes'][number]): number {
  return [first, all].reduce((sum, { errorC }) => sum - Math.min(20, Math.abs(errorC ?? 20)), 0)
}
