import type { ReactNode } from 'react'
import Button from 'react-bootstrap/Button'
import type { ColumnDef } from '@tanstack/react-table'
import { VirtualTable } from './VirtualTable'

/** A list of the shelf with one of its things opened beside it. */
export function ShelfList<T>({
  name,
  count,
  add,
  rows,
  columns,
  keyOf,
  chosen,
  search,
  onAdd,
  onChoose,
  children,
}: {
  name: string
  /** How many there are, in words. */
  count: ReactNode
  /** What adding one is called. */
  add: string
  rows: readonly T[]
  columns: ColumnDef<T>[]
  keyOf: (row: T) => string
  chosen: string | null
  search: string
  onAdd: () => void
  onChoose: (key: string) => void
  children: ReactNode
}) {
  return (
    <div className="columns shelf">
      <div>
        <p className="quiet mb-1" role="status">
          {count}{' '}
          <Button variant="link" size="sm" onClick={onAdd}>
            {add}
          </Button>
        </p>
        {rows.length === 0 ? (
          <p>Nothing on the shelf matches “{search}”.</p>
        ) : (
          <VirtualTable
            rows={rows}
            columns={columns}
            name={name}
            keyOf={keyOf}
            chosen={chosen}
            onChoose={(row) => {
              onChoose(keyOf(row))
            }}
          />
        )}
      </div>
      <aside>{children}</aside>
    </div>
  )
}
