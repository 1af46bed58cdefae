import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { PROJECT } from '../server/src/paths'

export interface Row {
  readonly what: string
  readonly ours: string
  readonly bare: string
  readonly ratio: string
  readonly aim: string
}

export function median(values: readonly number[]): number {
  const sorted = [...values].sort((p, q) => p - q)
  const middle = sorted.length >> 1
  return sorted.length % 2
    ? (sorted[middle] ?? NaN)
    : ((sorted[middle - 1] ?? NaN) + (sorted[middle] ?? NaN)) / 2
}

export function ms(values: readonly number[]): string {
  return `${median(values).toFixed(median(values) < 10 ? 2 : 0)} ms`
}

export function ratio(ours: readonly number[], bare: readonly number[]): string {
  return `× ${(median(ours) / median(bare)).toFixed(2)}`
}

/** Figures of the run before, by what was measured; kept beside the measures. */
const LAST = join(PROJECT, 'bench', 'last.json')
const lastFigures = (): Readonly<Record<string, string>> =>
  existsSync(LAST) ? (JSON.parse(readFileSync(LAST, 'utf8')) as Record<string, string>) : {}

/** Prints the rows beside their last figures, and keeps these for the next time. */
export function print(rows: readonly Row[]): void {
  const last = lastFigures()
  const columns = ['what', 'ours', 'last', 'bare', 'ratio', 'aim'] as const
  const shown = rows.map((row) => ({ ...row, last: last[row.what] ?? '' }))
  const width = (column: (typeof columns)[number]) =>
    Math.max(column.length, ...shown.map((row) => row[column].length))
  const line = (cells: readonly string[]) =>
    `${cells.map((cell, i) => cell.padEnd(width(columns[i] ?? 'what'))).join('  ')}\n`
  process.stdout.write(
    `\nMedians, Node ${process.version}, ${process.platform} ${process.arch}\n\n${line(columns)}`,
  )
  for (const row of shown) process.stdout.write(line(columns.map((column) => row[column])))
  const merged = { ...last, ...Object.fromEntries(rows.map(({ what, ours }) => [what, ours])) }
  writeFileSync(LAST, `${JSON.stringify(merged, null, 1)}\n`)
}

const ROUNDS = 15

/** Times of fifteen rounds after one to warm up, ms. */
export function rounds(work: () => unknown): number[] {
  work()
  return Array.from({ length: ROUNDS }, () => {
    const from = performance.now()
    work()
    return performance.now() - from
  })
}
