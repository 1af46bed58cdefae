import { describe, expect, test } from '@jest/globals'
import { type Term, TERMS } from './terms'

const LABEL_MOST_WORDS = 4
const SENTENCE_MOST_WORDS = 28
const words = (text: string) => text.split(/\s+/).filter((word) => /\p{L}/u.test(word))
const entries = Object.entries(TERMS) as [string, Term][]

describe.each(entries)('%s', (_, { term, label, meaning, where }) => {
  test('is explained in whole sentences that are read once', () => {
    expect(meaning).toMatch(/^[A-Z].*\.$/)
    for (const sentence of meaning.split(/(?<=[.:]) /)) {
      expect(words(sentence).length).toBeLessThanOrEqual(SENTENCE_MOST_WORDS)
      expect(sentence).not.toMatch(/ {2}/)
    }
    expect(meaning.split(/(?<=\.) /).length).toBeLessThanOrEqual(3)
  })
  test('is not explained by itself', () => {
    const own = new RegExp(`\\b${term.replaceAll(/[()]/g, '.')}\\b`, 'i')
    expect(meaning).not.toMatch(own)
  })
  test('has a short label and a place', () => {
    expect(words(label.replace(/,.*/, '')).length).toBeLessThanOrEqual(LABEL_MOST_WORDS)
    expect(where.length).toBeGreaterThan(0)
  })
})

test('no two terms are one', () => {
  const all = entries.flatMap(([, { term, also = [] }]) => [term, ...also])
  expect(new Set(all).size).toBe(all.length)
})
