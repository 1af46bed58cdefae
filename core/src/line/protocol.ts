import type { BlockCommand, BlockReading } from '../instruments/reading'
import { ImpossibleInput } from '../problems'

/** A reading as it comes over a line: what the instrument's own clock and thermometer say. */
export interface LineReading {
  readonly atS: number
  readonly text: string
  readonly value: number
  readonly light: readonly number[] | null
}

const NUMBER = /^[+-]?\d+(\.\d+)?$/

/**
 * One reading as a line: `reading <seconds> <°C> [light=a,b] [dial=d] [phase=…]`.
 *
 * @example lineOfReading({ sample: 12, atS: 12, probe: { text: '95.4', value: 95.4 }, phase: 'ramping', tubes: [] }) // 'reading 12 95.4 phase=ramping'
 */
export function lineOfReading(reading: BlockReading): string {
  const { atS, probe, light, dial, phase } = reading
  return [
    `reading ${atS} ${probe.text}`,
    ...(light ? [`light=${light.join(',')}`] : []),
    ...(dial === undefined ? [] : [`dial=${dial}`]),
    `phase=${phase}`,
  ].join(' ')
}

/**
 * A reading off a line.
 *
 * @throws ImpossibleInput with a sentence on anything else
 * @example readingOfLine('reading 12 95.4') // { atS: 12, text: '95.4', value: 95.4, light: null }
 */
export function readingOfLine(line: string): LineReading {
  const [word, seconds = '', degrees = '', ...rest] = line.trim().split(/\s+/)
  if (word !== 'reading' || !NUMBER.test(seconds) || !NUMBER.test(degrees))
    throw new ImpossibleInput(
      'not-a-reading',
      `“${line.trim().slice(0, 60)}” is not “reading <seconds> <°C>” with decimal points.`,
    )
  const value = Number(degrees)
  if (value < -100 || value > 1000)
    throw new ImpossibleInput(
      'not-a-reading',
      `A block at ${degrees} °C is impossible. Is it in another unit?`,
    )
  const light = rest
    .find((field) => field.startsWith('light='))
    ?.slice('light='.length)
    .split(',')
  if (light && !light.every((one) => NUMBER.test(one) && Number(one) >= 0 && Number(one) <= 1))
    throw new ImpossibleInput('not-a-reading', 'Light is given as numbers from 0 to 1, separated by commas.')
  return { atS: Number(seconds), text: degrees, value, light: light ? light.map(Number) : null }
}

/** One command as a line; the words of {@link commandOfLine}. */
export function lineOfCommand(command: BlockCommand): string {
  switch (command.kind) {
    case 'preheat':
      return `preheat ${command.toC}`
    case 'ramp':
      return `ramp ${command.toC} ${command.rateCPerMin}`
    case 'dial':
      return `dial ${command.setting}`
    case 'tubes in':
      return 'tubes-in'
    case 'stop':
      return 'stop'
  }
}

/**
 * A command off a line: `preheat <°C>`, `ramp <°C> <°C/min>`, `dial <setting>`, `tubes-in`, `stop`.
 *
 * @throws ImpossibleInput with a sentence on anything else
 * @example commandOfLine('ramp 104 1') // { kind: 'ramp', toC: 104, rateCPerMin: 1 }
 */
export function commandOfLine(line: string): BlockCommand {
  const [word = '', ...fields] = line.trim().split(/\s+/)
  const numbers = fields.map((field) => (NUMBER.test(field) ? Number(field) : NaN))
  const [first = NaN, second = NaN] = numbers
  const counts = numbers.every((number) => !Number.isNaN(number)) ? numbers.length : -1
  if (word === 'preheat' && counts === 1) return { kind: 'preheat', toC: first }
  if (word === 'ramp' && counts === 2) return { kind: 'ramp', toC: first, rateCPerMin: second }
  if (word === 'dial' && counts === 1) return { kind: 'dial', setting: first }
  if (word === 'tubes-in' && counts === 0) return { kind: 'tubes in' }
  if (word === 'stop' && counts === 0) return { kind: 'stop' }
  throw new ImpossibleInput(
    'unknown-command',
    `“${line.trim().slice(0, 60)}” is not a command. The commands are: preheat <°C>, ramp <°C> <°C/min>, dial <setting>, tubes-in, stop.`,
  )
}

const ANY_NUMBER = /([+-]?\d+(?:[.,]\d+)?)\s*(?:°|deg)?\s*([CFK])?\b/i

/**
 * The temperature in a line that anything may print: the last number with a unit, or the only number. Fahrenheit
 * and kelvin are converted to a tenth.
 *
 * @returns digits and °C, or null when the line holds no temperature
 * @example temperatureInLine('T1 = 203.7 F') // { text: '95.4', value: 95.4 }
 */
export function temperatureInLine(line: string): { readonly text: string; readonly value: number } | null {
  const found = [...line.matchAll(new RegExp(ANY_NUMBER, 'gi'))]
  const withUnit = found.filter(([, , unit]) => unit !== undefined)
  const match = withUnit[withUnit.length - 1] ?? (found.length === 1 ? found[0] : undefined)
  if (!match) return null
  const text = (match[1] ?? '').replace(',', '.')
  const value = Number(text)
  const unit = (match[2] ?? 'C').toUpperCase()
  if (unit === 'C') return { text: text.replace(/^\+/, ''), value }
  const celsius = unit === 'F' ? ((value - 32) * 5) / 9 : value - 273.15
  return { text: celsius.toFixed(1), value: Number(celsius.toFixed(1)) }
}
