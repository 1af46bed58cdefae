import type { Grain } from '@ivory-crystal/core/heating'
import Form from 'react-bootstrap/Form'

/** How finely a tube's sample was ground. */
export function GrainField({
  name,
  value,
  size,
  disabled = false,
  onChange,
}: {
  /** Whose grain, to the ear. */
  name: string
  value: Grain
  size?: 'sm'
  disabled?: boolean
  onChange: (grain: Grain) => void
}) {
  return (
    <Form.Select
      style={{ width: 140 }}
      {...(size ? { size } : {})}
      aria-label={name}
      value={value}
      disabled={disabled}
      onChange={(event) => {
        onChange(event.target.value as Grain)
      }}
    >
      <option value="fine">fine powder</option>
      <option value="coarse">coarse</option>
    </Form.Select>
  )
}
