import { problem, type Result } from '../problems'
import type { Reading } from '../units'

/**
 * Reads a typed number and keeps it digit for digit.
 *
 * @param text as typed; surrounding space is dropped
 * @param what named in the sentence, e.g. "The loaded mass"
 * @returns the reading, or why it is none: empty, a decimal comma, something else than a number
 * @example readReading('1.80', 'The mass') // { ok: true, value: { text: '1.80', value: 1.8 } }
 */
export function readReading(text: string, what: string): Result<Reading> {
  const typed = text.trim().replace('−', '-')
  if (typed === '') return problem('not-a-reading', `${what} is still empty.`)
  if (/^[+-]?\d+,\d+$/.test(typed))
    return problem(
      'decimal-comma',
      `${what} was typed as ${typed}. Write the decimal with a point, so that it cannot be taken for thousands.`,
    )
  if (!/^[+-]?(\d+\.?\d*|\.\d+)$/.test(typed))
    return problem('not-a-reading', `${what} was typed as “${typed}”, which is not a plain number.`)
  return { ok: true, value: { text: typed, value: Number(typed) } }
}

/** Decimals the text shows: 2 for 1.80. */
export function decimalsOf(reading: Reading): number {
  return reading.text.split('.')[1]?.length ?? 0
}

/**
 * Whether the digits can have come from this balance: 1.80456 g cannot from one that reads to 0.001 g.
 *
 * @returns the reading itself, or the sentence
 */
export function readFromBalance(reading: Reading, readabilityG: number, what: string): Result<Reading> {
  const shown = Math.max(0, Math.round(-Math.log10(readabilityG)))
  if (decimalsOf(reading) > shown)
    return problem(
      'too-fine-for-balance',
      `${what} has ${decimalsOf(reading)} decimals, but this balance reads to ${readabilityG} g. Is this the right balance, or is there a digit too many?`,
    )
  return { ok: true, value: reading }
}
