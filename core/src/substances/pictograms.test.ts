import { expect, test } from '@jest/globals'
import { pictogramsOf, signalWordOf } from './pictograms'
import { REFERENCE_COMPOUNDS, REFERENCE_SOLVENTS } from '../reference/reference'

test('each hazard class has its pictogram, and the graver one stands for the milder', () => {
  expect(pictogramsOf(['H301', 'H302', 'H410'])).toEqual(['toxic', 'harms life in water'])
  expect(pictogramsOf(['H302', 'H315'])).toEqual(['harmful'])
  expect(pictogramsOf(['H314', 'H315', 'H319'])).toEqual(['corrosive'])
  expect(pictogramsOf(['H318', 'H317'])).toEqual(['corrosive', 'harmful'])
  expect(pictogramsOf(['H334', 'H317'])).toEqual(['health hazard'])
  expect(pictogramsOf(['H225', 'H361d'])).toEqual(['flammable', 'health hazard'])
  expect(pictogramsOf(['H412', 'EUH019'])).toEqual([])
})
test('every code of the shelf but the slight water hazards has one, and then a signal word', () => {
  for (const { id, hazards } of [...REFERENCE_COMPOUNDS, ...REFERENCE_SOLVENTS]) {
    const shown = pictogramsOf(hazards)
    const silent = hazards.every((code) => /^(H41[23]|H30[35]|H362|EUH)/.test(code))
    expect([id, shown.length === 0, signalWordOf(hazards) === null]).toEqual([id, silent, silent])
  }
})
test('danger goes before warning, and a word on file before both', () => {
  expect(signalWordOf(['H302', 'H318'])).toBe('Danger')
  expect(signalWordOf(['H302'])).toBe('Warning')
  expect(signalWordOf(['H302'], 'Danger')).toBe('Danger')
  expect(signalWordOf([])).toBeNull()
})
