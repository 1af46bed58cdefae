import { useId } from 'react'
import Form from 'react-bootstrap/Form'

/** A labelled text field of the shelf's forms. */
export function Field({
  label,
  value,
  help,
  width,
  rows,
  invalid = false,
  onChange,
}: {
  label: string
  value: string
  help?: string
  width?: number | string
  rows?: number
  invalid?: boolean
  onChange: (value: string) => void
}) {
  const id = useId()
  return (
    <div style={{ width: width ?? '100%' }}>
      <Form.Label htmlFor={id}>{label}</Form.Label>
      <Form.Control
        id={id}
        {...(rows ? { as: 'textarea' as const, rows } : {})}
        value={value}
        autoComplete="off"
        isInvalid={invalid}
        aria-describedby={help ? `${id}-help` : undefined}
        onChange={(event) => {
          onChange(event.target.value)
        }}
      />
      {help && (
        <div className="form-text" id={`${id}-help`}>
          {help}
        </div>
      )}
    </div>
  )
}

export function Choice<T extends string>({
  label,
  value,
  options,
  width,
  invalid = false,
  onChange,
}: {
  label: string
  value: T
  options: readonly T[]
  width?: number
  invalid?: boolean
  onChange: (value: T) => void
}) {
  const id = useId()
  return (
    <div style={{ width: width ?? 'auto' }}>
      <Form.Label htmlFor={id}>{label}</Form.Label>
      <Form.Select
        id={id}
        value={value}
        isInvalid={invalid}
        onChange={(event) => {
          onChange(event.target.value as T)
        }}
      >
        {options.map((one) => (
          <option key={one}>{one}</option>
        ))}
      </Form.Select>
    </div>
  )
}
