import { describe, expect, test } from '@jest/globals'
import { rules, tubes } from '../../../golden/learners'
import { scoreVerdict, verdictExercise } from '../index'

describe('what does it say', () => {
  test('each story is judged so that the story can be found, and the answer stands among the choices', () => {
    const seen = new Map<string, Set<string>>()
    for (let seed = 1; seed <= 40; seed++) {
      const exercise = verdictExercise(tubes, seed, 3, rules)
      const { judgement, cause, next } = exercise
      expect(next).toContain(judgement.actions[0]?.code ?? 'sign')
      expect(new Set(next).size).toBe(next.length)
      seen.set(cause, (seen.get(cause) ?? new Set()).add(judgement.verdict))
      const right = { verdict: judgement.verdict, cause, next: judgement.actions[0]?.code ?? 'sign' }
      expect(scoreVerdict(exercise, right)).toMatchObject({ isGood: true, share: 1 })
      const wrong = {
        ...right,
        cause: cause === 'the thermometer' ? ('solvent left in it' as const) : ('the thermometer' as const),
      }
      expect(scoreVerdict(exercise, wrong)).toMatchObject({ isGood: false, sentence: exercise.explanation })
    }
    expect(seen.size).toBe(8)
    expect([...(seen.get('something else is in it') ?? [])]).toEqual(['impure'])
    expect([...(seen.get('it is another compound') ?? [])]).toEqual(['not this compound'])
    expect([...(seen.get('nothing: it is as it should be') ?? [])]).toEqual(['consistent with pure'])
    for (const cause of ['it was heated too fast', 'the thermometer', 'solvent left in it'])
      expect([...(seen.get(cause) ?? [])]).toEqual(['cannot tell'])
  })
})
