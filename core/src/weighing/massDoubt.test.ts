import { describe, expect, test } from '@jest/globals'
import { massDoubt } from './massDoubt'

const crude = { massG: 2.47, words: '2.470 g of crude', isMost: true }
const planned = { massG: 1.5, words: '1.500 g', isMost: false }

describe('a mass ten times off', () => {
  test('is asked about before it is kept', () => {
    expect(massDoubt('303.463', 'the product', crude)).toBe(
      '303.463 g of product from 2.470 g of crude. Is there a digit too many, or is the point in the wrong place?',
    )
    expect(massDoubt('15', 'the product', planned)).toContain('a digit too many')
    expect(massDoubt('0.15', 'the product', planned)).toContain('a digit too few')
  })
  test('a poor yield, a wet product and a mass beside nothing are not', () => {
    expect(massDoubt('0.02', 'the product', crude)).toBeNull()
    expect(massDoubt('3.1', 'the product', crude)).toBeNull()
    expect(massDoubt('1.9', 'the product', planned)).toBeNull()
    expect(massDoubt('300', 'the product', null)).toBeNull()
  })
})
