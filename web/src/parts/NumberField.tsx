import { useId } from 'react'
import Form from 'react-bootstrap/Form'

/** A typed number with its unit in the label. It stays text: the digits are the reading. */
export function NumberField({
  label,
  value,
  error,
  help,
  onChange,
  className = 'narrow',
}: {
  label: string
  value: string
  /** What is wrong with it, said under it. */
  error: string | null
  help?: string
  onChange: (value: string) => void
  className?: string
}) {
  const id = useId()
  const sentence = error ? `${id}-error` : help ? `${id}-help` : undefined
  return (
    <div className={className}>
      <Form.Label htmlFor={id}>{label}</Form.Label>
      <Form.Control
        id={id}
        inputMode="decimal"
        autoComplete="off"
        isInvalid={error !== null}
        aria-describedby={sentence}
        value={value}
        onChange={(event) => {
          onChange(event.target.value)
        }}
      />
      {error && (
        <div className="invalid-feedback" id={`${id}-error`} role="alert">
          {error}
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
