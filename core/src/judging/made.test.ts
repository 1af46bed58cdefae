import { expect, test } from '@jest/globals'
import { madeCase, madeTable, playCase } from '../../golden/madeCases'

/** A small seeded part of what `npm run judge-bench` counts over thousands of cases. */
const CASES = 24

test('judged blind, made situations are told right or defensibly, and the first advice leads to a verdict', () => {
  const table = madeTable(CASES)
  expect(table.right + table.defensible + table.wrong).toBe(CASES)
  expect(table.nearer + table.sideways + table.away).toBe(CASES)
  expect(table.worst.map(({ made, first }) => [made.seed, first.verdict])).toEqual([])
  expect(table.right).toBeGreaterThan(CASES / 2)
  // Half and more are done with the first tube, and nearly all with the third.
  expect(table.runs['1']).toBeGreaterThan(CASES / 2)
  expect(table.runs['4 or 5'] + table.runs.never).toBeLessThanOrEqual(CASES * 0.05)
}, 300_000)

test('a case is the same whenever it is played', () => {
  const told = () => {
    const { first, reading, runs } = playCase(madeCase(3))
    return { verdict: first.verdict, reading, runs }
  }
  expect(told()).toEqual(told())
}, 120_000)
