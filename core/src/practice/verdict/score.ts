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

export function scoreVerdict({ judgement, cause, told }: VerdictExercise, said: VerdictAnswer): Score {
  const first = judgement.actions[0]
  const compared: readonly Compared[] = [
    {
      what: 'verdict',
      you: said.verdict,
      was: judgement.verdict,
      isRight: said.verdict === judgement.verdict,
    },
    { what: 'cause', you: said.cause, was: cause, isRight: said.cause === cause },
    {
      what: 'next',
      you: said.next,
      was: first?.code ?? 'sign',
      isRight: said.next === (first?.code ?? 'sign'),
    },
  ]
  const right = compared.filter(({ isRight }) => isRight).length
  const missed = compared.find(({ isRight }) => !isRight)
  return {
    isGood: right === compared.length,
    share: right / compared.length,
    compared,
    sentence:
      missed === undefined ? told : missed.what === 'next' ? `${told} ${first?.sentence ?? ''}`.trim() : told,
  }
}
