import { useId } from 'react'
import Form from 'react-bootstrap/Form'

/** A small typed number in a line of controls: named above it, or to the ear only, with its unit as a hint. */
export function InlineField({
  label,
  value,
  width = 84,
  hint,
  invalid = false,
  whole = false,
  onChange,
}: {
  label: string
  value: string
  width?: number
  /** Shown in the field while it is empty; the label is then not shown above it. */
  hint?: string
  invalid?: boolean
  /** A whole number is asked for. */
  whole?: boolean
  onChange: (value: string) => void
}) {
  const id = useId()
  return (
    <div style={{ width }}>
      {hint === undefined && <Form.Label htmlFor={id}>{label}</Form.Label>}
      <Form.Control
        id={id}
        size="sm"
        inputMode={whole ? 'numeric' : 'decimal'}
        autoComplete="off"
        value={value}
        isInvalid={invalid}
        {...(hint === undefined ? {} : { 'aria-label': label, placeholder: hint })}
        onChange={(event) => {
          onChange(event.target.value)
        }}
      />
    </div>
  )
}

/** What was wrong with something typed, announced. */
export function Refusal({ sentence }: { sentence: string | null }) {
  if (sentence === null) return null
  return (
    <span className="invalid-feedback" role="alert">
      {sentence}
    </span>
  )
}

/** The same, as a paragraph of its own. */
export function FieldError({
  sentence,
  className = 'look',
}: {
  sentence: string | null
  className?: string
}) {
  if (sentence === null) return null
  return (
    <p className={className} role="alert">
      {sentence}
    </p>
  )
}
