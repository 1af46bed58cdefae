import { ok, refuse } from '@ivory-crystal/core/problems'
import type { Compound, Solvent } from '@ivory-crystal/core/substances'
import type { ReactNode } from 'react'
import Button from 'react-bootstrap/Button'
import { Choice, Field } from '../../parts/Field'
import { FieldError } from '../../parts/InlineField'
import { shortNameOf } from '../../parts/shortName'
import { useShelving } from '../../parts/useShelving'
import { cellsOf, COLUMNS, rowOf } from './columns'

export type Cells = Readonly<Record<string, string>>

/** A row of the shelf typed or changed, by the columns of its sort; a change is a new version. */
export function RowForm({
  sort,
  before,
  empty,
  fields,
  follow = () => ({}),
  under,
  children,
  onDone,
}: {
  sort: 'compound' | 'solvent'
  before: Compound | Solvent | null
  /** What a new row begins with. */
  empty: Cells
  /** The columns that are typed, those of a line together. */
  fields: (cells: Cells) => readonly (readonly string[])[]
  /** What else changes when a value is typed. */
  follow?: (name: string, value: string, cells: Cells) => Cells
  /** What stands under the line of a column. */
  under?: (name: string, cells: Cells) => ReactNode
  /** What stands under the title. */
  children?: ReactNode
  /** Told the id that was saved, or null when nothing was. */
  onDone: (id: string | null) => void
}) {
  const form = useShelving<{ cells: Cells }>({
    sort,
    start: { cells: before ? cellsOf(sort, before) : empty },
    make({ cells }) {
      if ((cells['name'] ?? '').trim() === '') return refuse('Enter its name.')
      if ((cells['source'] ?? '').trim() === '')
        return refuse('Enter the source of the values, such as a handbook.')
      const id = before?.id ?? shortNameOf(cells['name'] ?? '')
      return ok({ rows: [{ ...rowOf(sort, cells), id }] })
    },
    saved({ rows: [row] }) {
      onDone(row?.['id'] as string)
    },
  })
  const { cells } = form.typed
  const title = before ? `Change ${before.name}` : `A new ${sort}`
  const control = (name: string) => {
    const { label = name, help, options } = COLUMNS[sort][name] ?? {}
    const value = cells[name] ?? ''
    const values = {
      label,
      value,
      onChange: (changed: string) => {
        form.set({ cells: { ...cells, [name]: changed, ...follow(name, changed, cells) } })
      },
    }
    // A value that is not among those offered was brought by a file: it stays until another is chosen.
    if (options)
      return (
        <Choice key={name} {...values} options={options.includes(value) ? options : [...options, value]} />
      )
    return <Field key={name} {...values} {...(help ? { help } : {})} />
  }
  return (
    <form className="stack" aria-label={title} onSubmit={form.onSubmit}>
      <h2>{title}</h2>
      {children}
      {fields(cells).map((names) => (
        <div key={names.join(' ')} className="stack">
          {names.length === 1 ? (
            names.map(control)
          ) : (
            <div className="row-of flex-nowrap align-items-start">{names.map(control)}</div>
          )}
          {names.map((name) => under?.(name, cells))}
        </div>
      ))}
      <FieldError sentence={form.message} className="trouble mb-0" />
      <div className="row-of">
        <Button type="submit" disabled={form.busy}>
          {before ? 'Save as a new version' : 'Add to the shelf'}
        </Button>
        <Button
          variant="outline-primary"
          onClick={() => {
            onDone(null)
          }}
        >
          Leave it
        </Button>
      </div>
    </form>
  )
}
