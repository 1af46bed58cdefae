import Papa from 'papaparse'

/** What a spreadsheet would take for a formula, and no number: it is made harmless. */
export const FORMULA = /^(?![+-]?\d+\.?\d*(?:[eE][+-]?\d+)?$)[=+\-@\t\r].*$/s

/** A table as CSV: UTF-8 with its mark, commas, the line end a spreadsheet knows. */
export function csvOf(table: readonly (readonly string[])[]): string {
  return `\uFEFF${Papa.unparse(table as string[][], { newline: '\r\n', escapeFormulae: FORMULA })}\r\n`
}
