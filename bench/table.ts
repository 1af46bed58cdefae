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

export function print(rows: readonly Row[]): void {
  const columns = ['what', 'ours', 'bare', 'ratio', 'aim'] as const
  const width = (column: (typeof columns)[number]) =>
    Math.max(column.length, ...rows.map((row) => row[column].length))
  const line = (cells: readonly string[]) =>
    `${cells.map((cell, i) => cell.padEnd(width(columns[i] ?? 'what'))).join('  ')}\n`
  process.stdout.write(
    `\nMedians, Node ${process.version}, ${process.platform} ${process.arch}\n\n${line(columns)}`,
  )
  for (const row of rows) process.stdout.write(line(columns.map((column) => row[column])))
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
