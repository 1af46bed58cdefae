import { type ReactNode, useId } from 'react'
import Form from 'react-bootstrap/Form'
import type { Compound, Shelf } from '@ivory-crystal/core'
import { useNotebook } from '../ledger/notebook'

/** A compound of the shelf by its name or another name of it; null while what is typed is none. */
export function compoundNamed(shelf: Pick<Shelf, 'compounds'> | null, typed: string): Compound | null {
  const wanted = typed.trim().toLowerCase()
  if (wanted === '') return null
  return (
    shelf?.compounds.find(
      ({ name, synonyms }) =>
        name.toLowerCase() === wanted || synonyms.some((word) => word.toLowerCase() === wanted),
    ) ?? null
  )
}

/** Names a compound of the shelf, with the shelf's names offered while typing. */
export function CompoundField({
  label,
  value,
  help,
  invalid = false,
  onChange,
}: {
  label: string
  value: string
  help?: ReactNode
  /** The help then says what is wrong. */
  invalid?: boolean | 'alert'
  onChange: (value: string) => void
}) {
  const id = useId()
  const shelf = useNotebook((state) => state.shelf)
  return (
    <div>
      <Form.Label htmlFor={id}>{label}</Form.Label>
      <Form.Control
        id={id}
        list={`${id}-names`}
        autoComplete="off"
        value={value}
        isInvalid={invalid !== false}
        aria-describedby={help === undefined ? undefined : `${id}-help`}
        onChange={(event) => {
          onChange(event.target.value)
        }}
      />
      <datalist id={`${id}-names`}>
        {shelf?.compounds.map((one) => (
          <option key={one.id} value={one.name} />
        ))}
      </datalist>
      {help !== undefined && (
        <div
          id={`${id}-help`}
          className={invalid === false ? 'form-text' : 'invalid-feedback'}
          role={invalid === 'alert' ? 'alert' : undefined}
        >
          {help}
        </div>
      )}
    </div>
  )
}
