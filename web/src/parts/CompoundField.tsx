import { type ReactNode, useId, useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { type Compound, compoundCalled } from '@ivory-crystal/core/substances'
import type { Shelf } from '@ivory-crystal/core/wire'
import { useNotebook } from '../ledger/notebook'
import { CompoundAdd } from './CompoundAdd'
import { NamesNear } from './NamesNear'

/** A compound of the shelf by its name, another name, registry number or formula; null while what is typed is none. */
export function compoundNamed(shelf: Pick<Shelf, 'compounds'> | null, typed: string): Compound | null {
  return shelf ? compoundCalled(shelf.compounds, typed) : null
}

/**
 * Names a compound of the shelf, with the shelf's names offered while typing, like ones where none fits, and where it
 * may, a place to put a new one on the shelf.
 */
export function CompoundField({
  label,
  value,
  help,
  invalid = false,
  isAddable = false,
  onChange,
}: {
  label: string
  value: string
  help?: ReactNode
  /** The help then says what is wrong. */
  invalid?: boolean | 'alert'
  /** A compound that the shelf does not have may be put there here. */
  isAddable?: boolean
  onChange: (value: string) => void
}) {
  const id = useId()
  const shelf = useNotebook((state) => state.shelf)
  const [isTyping, setTyping] = useState(false)
  const [adding, setAdding] = useState<string | null>(null)
  const compound = compoundNamed(shelf, value)
  const wanted = value.trim().toLowerCase()
  const isOffered =
    isTyping && (shelf?.compounds ?? []).some(({ name }) => name.toLowerCase().includes(wanted))
  const isUnknown = wanted.length > 1 && shelf !== null && !compound && !isOffered
  const isOtherName = compound !== null && compound.name.toLowerCase() !== wanted
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
        onFocus={() => {
          setTyping(true)
        }}
        onBlur={() => {
          setTyping(false)
        }}
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
      {isOtherName && <div className="form-text">taken as {compound.name}</div>}
      {isUnknown && <NamesNear typed={value} onTake={onChange} />}
      {isUnknown && isAddable && adding === null && (
        <Button
          size="sm"
          variant="link"
          className="p-0"
          onClick={() => {
            setAdding(value)
          }}
        >
          Put “{value.trim()}” on the shelf
        </Button>
      )}
      {isUnknown && isAddable && adding !== null && (
        <CompoundAdd
          name={value}
          onAdded={() => {
            setAdding(null)
          }}
        />
      )}
    </div>
  )
}
