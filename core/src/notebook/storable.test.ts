import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { unstorable } from './storable'
import { runs } from '../../golden/depth'

const nested = (depth: number) => JSON.parse('['.repeat(depth) + ']'.repeat(depth)) as unknown

describe('what can be kept', () => {
  test.each([
    ['text of any script, emoji and line breaks', { text: 'Köln\n𝟙 💎 結晶' }],
    ['a number with every digit', { value: -0.1, large: 1e308, zero: -0 }],
    ['nothing at all', null],
    ['a list forty deep', nested(40)],
  ])('%s', (_, value) => {
    expect(unstorable(value)).toBeNull()
  })

  test.each([
    ['NUL in a text', { text: 'a\0b' }, /NUL/],
    ['NUL in a key', { 'a\0': 1 }, /NUL/],
    ['the first half of a character', ['\ud83d'], /half a character/],
    ['the second half of a character', ['\udc8e x'], /half a character/],
    ['halves in the wrong order', ['\udc8e\ud83d'], /half a character/],
    ['a number that JSON reads as infinity', JSON.parse('{"a":1e400}'), /too large/],
    ['a list forty-one deep', nested(41), /nested/],
    ['a list five thousand deep', nested(5_000), /nested/],
    ['a key that is no ordinary key', JSON.parse('{"__proto__":1}'), /key/],
    ['too many values', Array.from({ length: 200_001 }, () => 0), /at most/],
  ])('%s is refused', (_, value, why) => {
    expect(unstorable(value)).toMatch(why)
  })

  test('whatever is let in comes back from its bytes the same', () => {
    fc.assert(
      fc.property(fc.jsonValue(), (value) => {
        fc.pre(unstorable(value) === null)
        const back: unknown = JSON.parse(Buffer.from(JSON.stringify(value), 'utf8').toString('utf8'))
        expect(JSON.stringify(back)).toBe(JSON.stringify(value))
      }),
      { numRuns: runs(300) },
    )
  })
})
