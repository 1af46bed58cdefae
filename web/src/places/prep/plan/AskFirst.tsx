import { listed } from '@ivory-crystal/core/words'
import { useId } from 'react'
import Form from 'react-bootstrap/Form'

/** What must not be used without the person in charge: who was asked is written into the plan. */
export function AskFirst({
  about,
  value,
  error,
  onChange,
}: {
  about: readonly string[]
  value: string
  error: string | null
  onChange: (value: string) => void
}) {
  const id = useId()
  if (about.length === 0) return null
  return (
    <div className="look mt-3">
      <Form.Label htmlFor={id}>
        <b>Not without the person in charge:</b> {listed(about)}. Ask before you use this plan, and bring the
        safety data sheet. Initials of who was asked:
      </Form.Label>
      <Form.Control
        id={id}
        className="w-auto"
        autoComplete="off"
        value={value}
        isInvalid={error !== null}
        onChange={(event) => {
          onChange(event.target.value)
        }}
      />
      {error && (
        <div className="invalid-feedback d-block" role="alert">
          {error}
        </div>
      )}
    </div>
  )
}
