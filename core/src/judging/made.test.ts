import { expect, test } from '@jest/globals'
import { madeCase, type MadeTable, madeTable, playCase } from '../../golden/madeCases'

/** A seeded part of what `npm run judge-bench` counts over thousands of cases. */
const CASES = 400
let played: MadeTable | null = null
const table = () => (played ??= madeTable(CASES))

test('judged through the whole notebook, made situations are hardly ever told wrong, and the first advice leads nearer', () => {
  const { right, defensible, wrong, nearer, sideways, away } = table()
  expect([right + defensible + wrong, nearer + sideways + away]).toEqual([CASES, CASES])
  expect(right).toBeGreaterThan(CASES / 2)
  expect(wrong).toBeLessThanOrEqual(0.01 * CASES)
  expect(away).toBeLessThanOrEqual(0.02 * CASES)
})

test('law: whoever follows the first advice with a sample that is what it is has a verdict within three runs', () => {
  const { medianRuns, percentile95Runs, runs } = table()
  expect(medianRuns).toBe(1)
  expect(percentile95Runs).toBeLessThanOrEqual(3)
  expect(runs['1'] + runs['2'] + runs['3']).toBeGreaterThanOrEqual(0.99 * CASES)
})

test('a case is the same whenever it is played', () => {
  const sentenceNow = () => {
    const { first, reading, runs, steps } = playCase(madeCase(3))
    return { verdict: first.verdict, reading, runs, steps }
  }
  expect(sentenceNow()).toEqual(sentenceNow())
})
