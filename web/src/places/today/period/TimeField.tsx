import { useId } from 'react'
import Form from 'react-bootstrap/Form'

/** A time of day by the clock on the wall, as it is shown everywhere else: 13:30. */
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
    <div style={{ width: 84 }}>
      <Form.Label htmlFor={id}>{label}</Form.Label>
      <Form.Control
        id={id}
        size="sm"
        inputMode="numeric"
        autoComplete="off"
        placeholder="13:30"
        maxLength={5}
        value={value}
        isInvalid={isInvalid}
        onChange={(event) => {
          onChange(event.target.value)
        }}
      />
    </div>
  )
}
