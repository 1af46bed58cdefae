import { useId } from 'react'
import Form from 'react-bootstrap/Form'
import type { FieldError, UseFormRegisterReturn } from 'react-hook-form'

/** A typed number with its unit in the label. It stays text: the digits are the reading. */
export function NumberField({
  label,
  error,
  help,
  field,
  className = 'narrow',
}: {
  label: string
  error?: FieldError | undefined
  help?: string
  field: UseFormRegisterReturn
  className?: string
}) {
  const id = useId()
  const said = error ? `${id}-error` : help ? `${id}-help` : undefined
  return (
    <div className={className}>
      <Form.Label htmlFor={id}>{label}</Form.Label>
      <Form.Control
        id={id}
        inputMode="decimal"
        autoComplete="off"
        isInvalid={error !== undefined}
        aria-describedby={said}
        {...field}
      />
      {error && (
        <div className="invalid-feedback" id={`${id}-error`} role="alert">
          {error.message}
        </div>
      )}
      {!error && help && (
        <div className="form-text" id={`${id}-help`}>
          {help}
        </div>
      )}
    </div>
  )
}
