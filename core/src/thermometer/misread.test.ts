import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { type HeatingKnown, misreadSentence, outOfLine, type ReadAt } from './misread'
import { runs } from '../../golden/depth'

const KNOWN: HeatingKnown = { startC: 79, stopC: 105, slowCPerMin: 1 }
/** Readings a minute apart. */
const minutely = (...values: readonly number[]): readonly ReadAt[] =>
  values.map((valueC, i) => ({ atS: 60 * i, valueC }))
const oddOf = (...values: readonly number[]) =>
  outOfLine(minutely(...values), KNOWN).map(({ index }) => values[index])

describe('a reading by eye that lies where the heating cannot have been', () => {
  test.each([
    ['ten high in the slow part', [84, 85.1, 86, 97, 88.1], [97]],
    ['ten low in the slow part', [86, 87.1, 78, 89], [78]],
    ['ten high while it heats fast', [42, 46, 50, 64, 58.2], [64]],
    ['the last one, before anything follows', [84, 85.1, 86, 97], [97]],
    ['°F', [84, 85, 86, 188.6, 88], [188.6]],
    ['beyond any stop, with nothing known of the rate', [20, 191], [191]],
    ['digits exchanged', [84, 85, 86, 78, 88], [78]],
  ])('%s', (_, read, odd) => {
    expect(oddOf(...read)).toEqual(odd)
  })
  test.each([
    ['a flame turned down at the start', [40, 55, 69, 74, 75, 76]],
    ['a flame turned up from a standstill, two readings in a row', [30, 31, 32, 47, 61, 70]],
    ['a block that cools', [110, 104, 99, 94, 90]],
    ['5 °C/min through the range, which is said of the rate', [80, 85, 90, 95]],
    ['one reading alone', [150]],
    ['none', []],
  ])('not: %s', (_, read) => {
    expect(oddOf(...read)).toEqual([])
  })
  test('a learned instrument tells where it should have moved', () => {
    const moved = (fromS: number, toS: number) => (toS - fromS) / 6
    const read = minutely(30, 40, 61, 60)
    expect(outOfLine(read, KNOWN, moved).map(({ index }) => index)).toEqual([2])
    expect(outOfLine(minutely(30, 40, 50, 60), KNOWN, moved)).toEqual([])
  })
  test('a reading far too low is the odd one, and not the one before it that was right', () => {
    const read = [20.5, 19.9, 20.6, 11.2, 21, 21.1].map((valueC, i) => ({
      atS: [20, 40, 119, 180, 200, 220][i] ?? 0,
      valueC,
    }))
    const known = { ...KNOWN, startC: 200, stopC: 400 }
    expect(outOfLine(read, known).map(({ index }) => index)).toEqual([3])
  })
  test('law: read honestly while it heats steadily nothing is asked; one reading ten off is, and it alone', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.3, max: 9, noNaN: true }),
        fc.array(fc.tuple(fc.integer({ min: 20, max: 90 }), fc.integer({ min: -5, max: 5 })), {
          minLength: 4,
          maxLength: 12,
        }),
        fc.nat(),
        fc.constantFrom(-10, 10, 12, -15),
        (rate, steps, where, off) => {
          let atS = 0
          const read = steps.map(([seconds, tenth]) => {
            atS += seconds
            return { atS, valueC: 20 + (rate * atS) / 60 + tenth / 10 }
          })
          const known = { ...KNOWN, startC: 200, stopC: 400 }
          expect(outOfLine(read, known)).toEqual([])
          // With two before it a rate is known, and with one after it which of the two was wrong.
          const at = 2 + (where % (read.length - 2))
          const slipped = read.map((one, i) => (i === at ? { ...one, valueC: one.valueC + off } : one))
          const odd = outOfLine(slipped, known)
          // From readings within a minute no rate is known yet: then it could be that nothing is asked until the next.
          const spanS = (until: number) => read[until]!.atS - read[0]!.atS
          const isKnown = spanS(at - 1) >= 60 && (at < read.length - 1 || spanS(at - 2) >= 60)
          if (isKnown && rate <= 5 && steps[at]![0] <= 75) expect(odd.map(({ index }) => index)).toEqual([at])
          expect(odd.every(({ index }) => index === at)).toBe(true)
        },
      ),
      { numRuns: runs(4000) },
    )
  })
  test('asks how far off it is, and by name where it was °F', () => {
    const expected = { temperatureC: 88, lowC: 83, highC: 93 }
    expect(misreadSentence(190, expected)).toBe(
      '102 °C above the expected temperature (88.0 °C). 190 °F would be 87.8 °C. Is the scale in °F?',
    )
    expect(misreadSentence(78, expected)).toBe(
      '10 °C below the expected temperature (88.0 °C). Check the scale.',
    )
  })
})
