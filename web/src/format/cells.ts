import Papa from 'papaparse'

/**
 * Rows of cells as people write them: separated by semicolons, tabs, blanks or commas, whichever the text uses;
 * a comma is a decimal comma where something else separates.
 */
export function cellsIn(text: string): readonly (readonly string[])[] {
  const lines = text.trim()
  const delimiter = lines.includes(';')
    ? ';'
    : lines.includes('\t')
      ? '\t'
      : isBlankSeparated(lines)
        ? ' '
        : ','
  const tidy = delimiter === ' ' ? lines.replace(/[ ]+/g, ' ').replace(/^ | $/gm, '') : lines
  return Papa.parse<string[]>(tidy, { delimiter, skipEmptyLines: true }).data
}

function isBlankSeparated(lines: string): boolean {
  const rows = lines.split(/\r?\n/).filter((line) => line.trim() !== '')
  return rows.some((row) => /^\s*\S+ +\S+\s*$/.test(row) && !/^[^ ]*, /.test(row))
}

const NUMBER = /^\s*[+-]?\d+([.,]\d+)?\s*$/
export const isNumber = (cell: string | undefined) => NUMBER.test(cell ?? '')
export const numberIn = (cell: string) => Number(cell.trim().replace(',', '.'))
