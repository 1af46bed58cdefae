import type { NextStep, Verdict } from '../../judging/judgement'
import type { Compared, Score } from '../exercise'
import type { VerdictExercise } from './make'
import type { Cause } from './stories'

/** What the learner made of it. */
export interface VerdictAnswer {
  readonly verdict: Verdict
  readonly cause: Cause
  readonly next: NextStep
}

export function scoreVerdict(
  { judgement, cause, explanation }: VerdictExercise,
  answer: VerdictAnswer,
): Score {
  const first = judgement.actions[0]
  const compared: readonly Compared[] = [
    {
      what: 'verdict',
      you: answer.verdict,
      was: judgement.verdict,
      isRight: answer.verdict === judgement.verdict,
    },
    { what: 'cause', you: answer.cause, was: cause, isRight: answer.cause === cause },
    {
      what: 'next',
      you: answer.next,
      was: first?.code ?? 'sign',
      isRight: answer.next === (first?.code ?? 'sign'),
    },
  ]
  const right = compared.filter(({ isRight }) => isRight).length
  const missed = compared.find(({ isRight }) => !isRight)
  return {
    isGood: right === compared.length,
    share: right / compared.length,
    compared,
    sentence:
      missed === undefined
        ? explanation
        : missed.what === 'next'
          ? `${explanation} ${first?.sentence ?? ''}`.trim()
          : explanation,
  }
}
