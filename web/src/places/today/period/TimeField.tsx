import { useId } from 'react'
import Form from 'react-bootstrap/Form'

/** A time of day, by the clock on the wall. */
export function TimeField({
  label,
  value,
  isInvalid = false,
  onChange,
}: {
  label: string
  value: string
  isInvalid?: boolean
  onChange: (value: string) => void
}) {
  const id = useId()
  return (
    <div style={{ width: 118 }}>
      <Form.Label htmlFor={id}>{label}</Form.Label>
      <Form.Control
        id={id}
        type="time"
        size="sm"
        value={value}
        isInvalid={isInvalid}
        onChange={(event) => {
          onChange(event.target.value)
        }}
      />
    </div>
  )
}
