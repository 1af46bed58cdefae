import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { inLines, placeLabels, widthOf } from './placeLabels'

describe('a text in lines', () => {
  test('loses no word, and no line of several words is wider than there is room', () => {
    const word = fc.stringMatching(/^[a-z]{1,14}$/)
    fc.assert(
      fc.property(
        fc.array(word, { minLength: 1, maxLength: 20 }),
        fc.integer({ min: 20, max: 400 }),
        (words, wide) => {
          const lines = inLines(words.join(' '), wide, 12)
          expect(lines.join(' ')).toBe(words.join(' '))
          for (const line of lines)
            if (line.includes(' ')) expect(widthOf(line, 12)).toBeLessThanOrEqual(wide)
        },
      ),
    )
  })
  test('is one line where it fits', () => {
    expect(inLines('0.155 g less than predicted', 400, 12)).toEqual(['0.155 g less than predicted'])
  })
})

describe('labels', () => {
  test('that have room stand where they want to, in one row', () => {
    const [band, line] = placeLabels(
      [
        { text: 'literature 94 to 96', at: 700, align: 'middle' },
        { text: 'eutectic 78.4', at: 200, align: 'start' },
      ],
      170,
      1100,
      12.5,
    )
    expect([band?.row, line?.row]).toEqual([0, 0])
    expect(line?.x).toBe(200)
    expect((band?.x ?? 0) + widthOf('literature 94 to 96', 12.5) / 2).toBeCloseTo(700, 9)
  })
  test('never cross each other and never run past an end they fit between', () => {
    const label = fc.record({
      text: fc.string({ minLength: 1, maxLength: 30 }),
      at: fc.double({ min: -50, max: 700, noNaN: true }),
      align: fc.constantFrom('start' as const, 'middle' as const),
    })
    fc.assert(
      fc.property(fc.array(label, { maxLength: 8 }), (wanted) => {
        const placed = placeLabels(wanted, 0, 600, 12)
        for (const [i, one] of placed.entries()) {
          const end = one.x + widthOf(one.text, 12)
          expect(one.x).toBeGreaterThanOrEqual(0)
          expect(end).toBeLessThanOrEqual(600 + 1e-9)
          for (const other of placed.slice(i + 1))
            if (other.row === one.row)
              expect(other.x >= end || one.x >= other.x + widthOf(other.text, 12)).toBe(true)
        }
      }),
    )
  })
})
