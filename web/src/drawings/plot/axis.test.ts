import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { axisBetween, axisUpTo, evenAxis, roundStep } from './axis'
import { runs } from '../../../../core/golden/depth'

describe('axes', () => {
  test.each([
    [20, 10, 2],
    [12.6, 10, 2],
    [0.49, 10, 0.05],
    [1, 10, 0.1],
    [700, 12, 100],
  ])('a span of %d in at most %d parts takes steps of %d', (span, parts, step) => {
    expect(roundStep(span, parts)).toBeCloseTo(step, 12)
  })
  test('up to a value ends at the first round one at or above it', () => {
    expect(axisUpTo(12.6, 10)).toEqual({
      from: 0,
      to: 14,
      ticks: [0, 2, 4, 6, 8, 10, 12, 14].map((value) => ({ value, text: String(value) })),
    })
    expect(axisUpTo(0.3, 10).ticks.map(({ text }) => text)).toContain('0.05')
  })
  test.each([
    [2, 78, 8, { from: 0, to: 80, parts: 8 }],
    [0, 94, 9, { from: 0, to: 100, parts: 5 }],
    [20, 300, 9, { from: 0, to: 300, parts: 6 }],
    [-7, 3, 4, { from: -10, to: 5, parts: 3 }],
  ])('%d to %d in at most %d even parts', (from, to, most, axis) => {
    expect(evenAxis(from, to, most)).toEqual(axis)
  })
  test('an even axis holds its span, in steps a reader counts in', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -200, max: 400, noNaN: true }),
        fc.double({ min: 0.01, max: 500, noNaN: true }),
        fc.integer({ min: 2, max: 12 }),
        (from, span, most) => {
          const axis = evenAxis(from, from + span, most)
          expect(axis.parts).toBeLessThanOrEqual(most)
          expect(axis.from).toBeLessThanOrEqual(from + 1e-6 * span)
          expect(axis.to).toBeGreaterThanOrEqual(from + span - 1e-6 * span)
          const step = (axis.to - axis.from) / axis.parts
          const digit = Number((step / 10 ** Math.floor(Math.log10(step) + 1e-9)).toPrecision(3))
          expect([1, 2, 5, 10]).toContain(digit)
        },
      ),
      { numRuns: runs(200) },
    )
  })
  test('a label is its value, steps are even, and ticks stay inside', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -200, max: 400, noNaN: true }),
        fc.double({ min: 1e-3, max: 500, noNaN: true }),
        (from, span) => {
          const { ticks, to } = axisBetween(from, from + span, 12)
          expect(ticks.length).toBeLessThanOrEqual(13)
          for (const { value, text } of ticks) {
            expect(Number(text.replace('−', '-'))).toBe(value)
            expect(value).toBeGreaterThanOrEqual(from - 1e-6 * span)
            expect(value).toBeLessThanOrEqual(to + 1e-6 * span)
          }
        },
      ),
      { numRuns: runs(200) },
    )
  })
})
