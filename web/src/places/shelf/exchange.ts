import Papa from 'papaparse'
import { FORMULA } from '../../format/csv'
import type { Compound, SolubilityRow, Solvent } from '@ivory-crystal/core/substances'
import type { Shelf, ShelfReport } from '@ivory-crystal/core/wire'
import { api, type ShelfSort } from '../../ledger/api'
import { cellsOf, COLUMNS, type ExchangeSort, rowOf } from './columns'

export interface ReadFile {
  readonly rows: readonly Record<string, unknown>[]
  /** What was passed over and why, before any row was looked at. */
  readonly remarks: readonly string[]
}

/** Rows a request carries; a large file goes in several, and the bar moves between them. */
const ROWS_AT_ONCE = 250

function itemsOf(shelf: Shelf, sort: ExchangeSort): readonly (Compound | Solvent | SolubilityRow)[] {
  return { compound: shelf.compounds, solvent: shelf.solvents, solubility: shelf.solubilities }[sort]
}

/**
 * Reads a file as rows of the shelf: JSON (an array, or what was exported here) or CSV with a header line.
 *
 * @throws Error with a sentence when the file is neither
 */
export function readFile(sort: ExchangeSort, name: string, text: string): ReadFile {
  const isJson = /\.json$/i.test(name) || /^\s*[[{]/.test(text)
  return isJson ? readJson(sort, text) : readCsv(sort, text)
}

function readJson(sort: ExchangeSort, text: string): ReadFile {
  let parsed: unknown
  try {
    parsed = JSON.parse(text)
  } catch {
    throw new Error('This file is not complete JSON. Was it cut off?')
  }
  const rows = Array.isArray(parsed) ? parsed : (parsed as { rows?: unknown } | null)?.rows
  if (!Array.isArray(rows))
    throw new Error('This JSON holds no rows. It should be a list of rows or a file exported here.')
  const of = Array.isArray(parsed) ? undefined : (parsed as { sort?: string }).sort
  if (of !== undefined && of !== sort)
    throw new Error(`This file holds ${of} rows, and ${sort} rows were asked for.`)
  return { rows: rows as Record<string, unknown>[], remarks: [] }
}

function readCsv(sort: ExchangeSort, text: string): ReadFile {
  const { data, meta, errors } = Papa.parse<Record<string, string>>(text, {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (header) => header.trim(),
    transform: (cell) => cell.replace(ESCAPED, ''),
  })
  const known = Object.keys(COLUMNS[sort])
  const fields = meta.fields ?? []
  if (!fields.some((field) => known.includes(field)))
    throw new Error(
      `The first line names no column of the shelf. The columns are ${known.slice(0, 6).join(', ')} and so on. Export a file to see all.`,
    )
  const unknown = fields.filter((field) => field !== '' && !known.includes(field))
  const remarks = [
    ...(unknown.length > 0
      ? [`Ignored the columns ${unknown.join(', ')}: the shelf has no such columns.`]
      : []),
    ...errors.slice(0, 5).map((error) => `Line ${(error.row ?? 0) + 2}: ${error.message}.`),
  ]
  return { rows: data.map((record) => rowOf(sort, record)), remarks }
}

/** The mark before such a cell, which a spreadsheet does not show. */
const ESCAPED = /^'(?=[=+\-@\t\r])/

/** Everything of one sort as a file. */
export function fileOf(shelf: Shelf, sort: ExchangeSort, format: 'csv' | 'json'): Blob {
  const items = itemsOf(shelf, sort)
  const text =
    format === 'json'
      ? JSON.stringify({ format: 'ivory-crystal shelf', sort, rows: items }, null, 1)
      : Papa.unparse(
          items.map((row) => cellsOf(sort, row)),
          { columns: Object.keys(COLUMNS[sort]), escapeFormulae: FORMULA },
        )
  return new Blob([text], { type: format === 'json' ? 'application/json' : 'text/csv' })
}

/**
 * Sends rows in parts and adds the reports up.
 *
 * @param onPart told after each part, as a share of all
 * @throws what the request throws; what went before stands
 */
export async function sendRows(
  sort: ShelfSort,
  rows: readonly unknown[],
  dryRun: boolean,
  onPart: (share: number) => void,
): Promise<ShelfReport> {
  let sum: ShelfReport = { added: 0, changed: 0, same: 0, refused: [] }
  for (let from = 0; from < rows.length; from += ROWS_AT_ONCE) {
    const part = await api.putOnShelf(sort, rows.slice(from, from + ROWS_AT_ONCE), dryRun)
    const start = from
    sum = {
      added: sum.added + part.added,
      changed: sum.changed + part.changed,
      same: sum.same + part.same,
      refused: [...sum.refused, ...part.refused.map((one) => ({ ...one, row: one.row + start }))],
    }
    onPart(Math.min(1, (from + ROWS_AT_ONCE) / rows.length))
  }
  return sum
}
