import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { determinations } from './determinations'

describe('several determinations', () => {
  test('mean, median, spread, standard deviation', () => {
    const { mean, median, spread, sd, outliers } = determinations([94.8, 95.0, 95.2], 0.5)
    expect(mean).toBeCloseTo(95, 9)
    expect(median).toBe(95)
    expect(spread).toBeCloseTo(0.4, 9)
    expect(sd).toBeCloseTo(0.2, 9)
    expect(outliers).toEqual([])
  })
  test('one that does not belong is pointed out and stays in the mean', () => {
    const { outliers, mean } = determinations([94.8, 97.2, 95.0, 94.9], 0.5)
    // Q = (97.2 − 95.0)/(97.2 − 94.8) = 0.917 over 0.829
    expect(outliers).toEqual([1])
    expect(mean).toBeCloseTo(95.475, 9)
  })
  test('at the lower end too, and not where the gap is within the resolution', () => {
    expect(determinations([91, 94.9, 95, 95.1], 0.5).outliers).toEqual([0])
    expect(determinations([95, 95, 95, 95.4], 0.5).outliers).toEqual([])
    expect(determinations([94, 95.3], 0.5).outliers).toEqual([])
  })
  test('more than ten are held against their median', () => {
    const values = [94.6, 94.7, 94.8, 94.9, 95, 95, 95.1, 95.2, 95.3, 95.4, 99]
    expect(determinations(values, 0.5).outliers).toEqual([10])
  })
  test('the mean lies between the ends, and order does not matter', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 20, max: 300, noNaN: true }), { minLength: 1, maxLength: 15 }),
        (values) => {
          const found = determinations(values, 0.5)
          expect(found.mean).toBeGreaterThanOrEqual(Math.min(...values) - 1e-9)
          expect(found.mean).toBeLessThanOrEqual(Math.max(...values) + 1e-9)
          const back = determinations([...values].reverse(), 0.5)
          expect(back.outliers.map((i) => values.length - 1 - i).sort((p, q) => p - q)).toEqual(
            found.outliers,
          )
        },
      ),
    )
  })
  test('none, or one that is no number, is refused', () => {
    expect(() => determinations([], 0.5)).toThrow('at least one determination')
    expect(() => determinations([95, NaN], 0.5)).toThrow('not a number')
  })
})
