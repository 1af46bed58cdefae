import { describe, expect, test } from '@jest/globals'
import { minutesInWords, listed, significant } from './words'

describe('a number to its significant digits', () => {
  test.each([
    [211.4, 2, '210'],
    [99.96, 3, '100'],
    [9.996, 3, '10.0'],
    [1.2499, 2, '1.2'],
    [4, 2, '4.0'],
    [0.000123, 2, '0.00012'],
    [0.0000001, 1, '0.0000001'],
    [1_234_567, 3, '1230000'],
    [-0.0654, 2, '-0.065'],
    [0, 2, '0'],
  ])('%p to %p is %p', (value, digits, text) => {
    expect(significant(value, digits)).toBe(text)
  })
  test('is never written with a power of ten', () => {
    for (let exponent = -12; exponent <= 12; exponent++)
      for (const digits of [1, 2, 3])
        expect(significant(3.456 * 10 ** exponent, digits)).toMatch(/^\d+(\.\d+)?$/)
  })
})

test('names are listed as in a sentence', () => {
  expect([[], ['ice'], ['ice', 'salt'], ['ice', 'salt', 'water']].map(listed)).toEqual([
    '',
    'ice',
    'ice and salt',
    'ice, salt and water',
  ])
})

test.each([
  [0, '0 min'],
  [3.4, '3 min'],
  [90, '90 min'],
  [91, '1 h 31 min'],
  [120, '2 h'],
  [150, '2 h 30 min'],
])('%s minutes are read as %s', (minutes, words) => {
  expect(minutesInWords(minutes)).toBe(words)
})
