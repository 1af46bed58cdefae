import { readFileSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'

const css = readFileSync(new URL('../theme.css', import.meta.url), 'utf8')

/** The colours of a theme, by token; on paper those that print sets, else those of the light theme. */
function tokensOf(block: RegExp): Readonly<Record<string, string>> {
  const [, body = ''] = block.exec(css) ?? []
  return Object.fromEntries(
    [...body.matchAll(/--([a-z0-9-]+): (#[0-9a-f]{3,6});/g)].map((m) => [m[1] ?? '', m[2] ?? '']),
  )
}
const light = tokensOf(/\[data-bs-theme='light'\] \{([^}]*)\}/)
const THEMES = {
  light,
  dim: tokensOf(/\[data-bs-theme='dark'\] \{([^}]*)\}/),
  paper: { ...light, ...tokensOf(/@media print \{[^{]*\{([^}]*)\}/) },
}

/** Relative luminance, WCAG 2.2. */
function luminance(hex: string): number {
  const full = hex.length === 4 ? [...hex.slice(1)].map((c) => c + c).join('') : hex.slice(1)
  const [r = 0, g = 0, b = 0] = [0, 2, 4].map((i) => {
    const c = parseInt(full.slice(i, i + 2), 16) / 255
    return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4
  })
  return 0.2126 * r + 0.7152 * g + 0.0722 * b
}
function contrast(one: string, other: string): number {
  const [low = 0, high = 0] = [luminance(one), luminance(other)].sort((p, q) => p - q)
  return (high + 0.05) / (low + 0.05)
}

/** What is written in which colour on what. */
const WRITTEN: readonly (readonly [ink: string, on: string])[] = [
  ...['ink', 'ink-2', 'teal', 'ember', 'ice'].flatMap((ink) =>
    ['ground', 'paper'].map((on) => [ink, on] as const),
  ),
  ...['teal', 'ember', 'ice'].flatMap((tone) =>
    ['ink', 'ink-2', tone].map((ink) => [ink, `${tone}-wash`] as const),
  ),
  ['ground', 'teal'],
  ['ground', 'ink'],
]

describe.each(Object.entries(THEMES))('in the %s theme', (_, tokens) => {
  test.each(WRITTEN)('%s can be read on %s', (ink, on) => {
    expect(contrast(tokens[ink] ?? '', tokens[on] ?? '')).toBeGreaterThanOrEqual(4.5)
  })
})

test('nothing is written in a colour that is not held to its ground', () => {
  const inks = [...css.matchAll(/^\s+color: var\(--([a-z0-9-]+)\);/gm)].map((m) => m[1] ?? '')
  const held = new Set(WRITTEN.map(([ink]) => ink))
  expect(inks.filter((ink) => !held.has(ink) && !ink.startsWith('bs-'))).toEqual([])
})

test('contrast is worked out as it is defined', () => {
  expect(contrast('#000', '#ffffff')).toBeCloseTo(21, 10)
  expect(contrast('#777777', '#fff')).toBeCloseTo(4.48, 2)
})
