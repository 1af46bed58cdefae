import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { bisect } from './bisect'
import { median } from './median'

describe('halving', () => {
  test('finds where a condition turns, to the last digit', () => {
    expect(bisect((x) => x * x > 2, 0, 2)).toBeCloseTo(Math.SQRT2, 15)
  })
  test('stops at the width asked for', () => {
    let asked = 0
    const found = bisect((x) => (asked++, x > 0.3), 0, 1, 0.01)
    expect(asked).toBe(7)
    expect(Math.abs(found - 0.3)).toBeLessThan(0.01)
  })
  test('ends on any bracket, however far apart its ends', () => {
    fc.assert(
      fc.property(fc.double({ min: -1e300, max: 1e300, noNaN: true }), (turn) => {
        const found = bisect((x) => x > turn, -1e301, 1e301)
        expect(Math.abs(found - turn)).toBeLessThanOrEqual(Math.abs(turn) * 1e-15 + Number.MIN_VALUE)
      }),
    )
  })
})

test('the median is the middle value, or between the two middle ones', () => {
  expect([median([1, 2, 9]), median([1, 2, 4, 9]), median([])]).toEqual([2, 3, NaN])
})
