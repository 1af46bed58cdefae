import css from './VirtualTable.module.css'
import classNames from 'classnames'
import { useRef, useState } from 'react'
import {
  type ColumnDef,
  flexRender,
  getCoreRowModel,
  getSortedRowModel,
  type SortingState,
  useReactTable,
} from '@tanstack/react-table'
import { useVirtualizer } from '@tanstack/react-virtual'

const ROW_PX = 58

/** A table that draws only the rows in sight, so that ten thousand are as quick as ten. */
export function VirtualTable<T>({
  rows,
  columns,
  name,
  keyOf,
  chosen,
  onChoose,
}: {
  rows: readonly T[]
  columns: ColumnDef<T>[]
  name: string
  keyOf: (row: T) => string
  chosen: string | null
  onChoose: (row: T) => void
}) {
  const [sorting, setSorting] = useState<SortingState>([])
  const frame = useRef<HTMLDivElement>(null)
  // eslint-disable-next-line react-hooks/incompatible-library -- its functions are read here and passed no further
  const table = useReactTable({
    data: rows as T[],
    columns,
    state: { sorting },
    onSortingChange: setSorting,
    getCoreRowModel: getCoreRowModel(),
    getSortedRowModel: getSortedRowModel(),
  })
  const model = table.getRowModel().rows
  const virtual = useVirtualizer({
    count: model.length,
    getScrollElement: () => frame.current,
    estimateSize: () => ROW_PX,
    overscan: 12,
  })
  const items = virtual.getVirtualItems()
  const before = items[0]?.start ?? 0
  const after = virtual.getTotalSize() - (items[items.length - 1]?.end ?? 0)
  return (
    <div ref={frame} className={classNames(css.tall, 'scroll')} role="region" tabIndex={0} aria-label={name}>
      <table className="lines" aria-rowcount={model.length}>
        <thead>
          {table.getHeaderGroups().map((group) => (
            <tr key={group.id}>
              {group.headers.map((header) => {
                const sorted = header.column.getIsSorted()
                return (
                  <th
                    key={header.id}
                    className={dress(header.column.columnDef)}
                    aria-sort={sorted === 'asc' ? 'ascending' : sorted === 'desc' ? 'descending' : undefined}
                  >
                    {header.column.getCanSort() ? (
                      <button
                        type="button"
                        className="opener"
                        onClick={header.column.getToggleSortingHandler()}
                      >
                        {flexRender(header.column.columnDef.header, header.getContext())}
                        {sorted === 'asc' ? ' ↑' : sorted === 'desc' ? ' ↓' : ''}
                      </button>
                    ) : (
                      flexRender(header.column.columnDef.header, header.getContext())
                    )}
                  </th>
                )
              })}
            </tr>
          ))}
        </thead>
        <tbody>
          {before > 0 && (
            <tr aria-hidden>
              <td colSpan={columns.length} style={{ height: before, padding: 0, border: 0 }} />
            </tr>
          )}
          {items.map((item) => {
            const row = model[item.index]
            if (!row) return null
            return (
              <tr
                key={keyOf(row.original)}
                ref={virtual.measureElement}
                data-index={item.index}
                aria-rowindex={item.index + 1}
                className={keyOf(row.original) === chosen ? 'chosen' : undefined}
                onClick={() => {
                  onChoose(row.original)
                }}
              >
                {row.getVisibleCells().map((cell) => (
                  <td key={cell.id} className={dress(cell.column.columnDef)}>
                    {flexRender(cell.column.columnDef.cell, cell.getContext())}
                  </td>
                ))}
              </tr>
            )
          })}
          {after > 0 && (
            <tr aria-hidden>
              <td colSpan={columns.length} style={{ height: after, padding: 0, border: 0 }} />
            </tr>
          )}
        </tbody>
      </table>
    </div>
  )
}

/** Numbers to the right; what a telephone has no room for is left to the row opened below. */
function dress(column: { readonly meta?: unknown }): string {
  const { numeric, wide } = (column.meta ?? {}) as { numeric?: boolean; wide?: boolean }
  return classNames({ num: numeric, [css.wide ?? '']: wide })
}
