import { expect, test } from '@jest/globals'
import { pathOf } from './path'

test('a path begins at its first point and goes through the others, to a tenth of a pixel', () => {
  const path = pathOf(
    [
      { c: 20, s: 1.234 },
      { c: 30, s: 2 },
      { c: 40, s: 3.96 },
    ],
    ({ c }) => c / 10,
    ({ s }) => s,
  )
  expect(path).toBe('M2.0 1.2L3.0 2.0L4.0 4.0')
  expect(pathOf([], Number, Number)).toBe('')
})
