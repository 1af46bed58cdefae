import { describe, expect, test } from '@jest/globals'
import { expectFalling, rules } from '../../../golden/learners'
import { isJobRight, scoreLens, smallJobs, type TubeTruth } from '../index'

describe('it starts early, with small jobs beside', () => {
  const truth: readonly TubeTruth[] = [{ shrankC: 60, sweatedC: null, firstC: 61, allC: 93 }]
  const done = (firstC: number, right: number) =>
    scoreLens({ marks: [{ firstC, allC: 93 }], truth, rateCPerMin: 2, jobs: { put: 5, right } }, rules)
  test('the jobs are the same from the same seed, each with its one answer', () => {
    expect(smallJobs(4, 6)).toEqual(smallJobs(4, 6))
    for (const job of smallJobs(4, 30)) {
      expect(isJobRight(job, ` ${job.answer} g`)).toBe(true)
      expect(isJobRight(job, job.answer.replace('.', ','))).toBe(false)
      const [whole, empty] = [...job.ask.matchAll(/\d+\.\d{3}/g)].map(([text]) => Number(text))
      if (empty !== undefined) expect((whole ?? 0) - empty).toBeCloseTo(Number(job.answer), 9)
    }
  })
  test('one job may be missed; the eye comes first', () => {
    expect(done(61, 5)).toMatchObject({ isGood: true, share: 1 })
    expect(done(61, 4).isGood).toBe(true)
    expect(done(61, 2)).toMatchObject({ isGood: false })
    expect(done(61, 2).sentence).toContain('3 of 5 small jobs')
    expectFalling([done(61, 5), done(61, 2), done(70, 5), done(70, 0)].map(({ share }) => share))
  })
})
