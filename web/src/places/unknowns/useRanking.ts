import { caseForRanking, type CaseForRanking, type UnknownFacts } from '@ivory-crystal/core/notebook'
import type { Result } from '@ivory-crystal/core/problems'
import { compute } from '../../workers/compute'
import type { Ranking } from '../../workers/heavy'
import { useComputed } from '../../workers/useComputed'

/** The case in numbers, and what the worker makes of it; null while it is worked out. */
export function useRanking(unknown: UnknownFacts): {
  readonly evidence: Result<CaseForRanking>
  readonly ranking: Result<Ranking> | null
} {
  const evidence = caseForRanking(unknown)
  const key = JSON.stringify(evidence.ok ? evidence.value.input : evidence.problem)
  const ranking = useComputed<Ranking>(key, async () =>
    evidence.ok ? (await compute()).rank(evidence.value.input) : { ok: false, problem: evidence.problem },
  )
  return { evidence, ranking }
}
