import type { ColumnDef } from '@tanstack/react-table'
import type { ReactNode } from 'react'
import { fixed } from '../../format/format'
import { COLUMNS, type ExchangeSort } from './columns'

/** The first column of a list: it opens its row. */
export function opener<T>(header: string, nameOf: (row: T) => string): ColumnDef<T> {
  return {
    header,
    id: 'name',
    accessorFn: nameOf,
    cell: ({ row: { original } }) => (
      <button type="button" className="opener">
        {nameOf(original)}
      </button>
    ),
  }
}

/** Columns of a table by their names: header and digits from the sort's own columns; others by `cell`. */
export function columnsOf<T extends object>(
  sort: ExchangeSort,
  names: readonly (keyof T & string)[],
  cells: Readonly<Partial<Record<string, (row: T) => ReactNode>>> = {},
  wide: readonly (keyof T & string)[] = [],
): ColumnDef<T>[] {
  return names.map((name) => {
    const { label = name, digits } = COLUMNS[sort][name] ?? {}
    const shown =
      cells[name] ?? (digits === undefined ? null : (row: T) => known(row[name] as number | null, digits))
    return {
      header: label,
      id: name,
      accessorFn: (row) => row[name] ?? undefined,
      meta: { numeric: digits !== undefined, wide: wide.includes(name) },
      ...(shown ? { cell: ({ row: { original } }) => shown(original) } : {}),
    }
  })
}

const known = (value: number | null, digits: number) => (value === null ? 'not known' : fixed(value, digits))
