import { expect } from '@jest/globals'
import { DEFAULT_HOUSE_RULES } from '../src/conventions/schools'
import { forTubes, type Level } from '../src/practice/index'
import { REFERENCE_COMPOUNDS } from '../src/reference/reference'
import { referenceCompound } from './reference'

/** What exercises are tried with: a shelf, house rules, levels and seeds. */
export const shelf = REFERENCE_COMPOUNDS.map(({ id }) => referenceCompound(id))
export const tubes = forTubes(shelf)
export const rules = DEFAULT_HOUSE_RULES
export const LEVELS: readonly Level[] = [1, 2, 3]
export const SEEDS = [1, 2, 3, 4, 5, 6]

/** The shares of learners, best first: strictly falling. */
export function expectFalling(shares: readonly number[]): void {
  for (let i = 1; i < shares.length; i++) expect(shares[i]).toBeLessThan(shares[i - 1] ?? Infinity)
}
