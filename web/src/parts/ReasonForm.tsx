import { useId, useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'

/** A reason in a few words, without which nothing is done. */
export function ReasonForm({
  label,
  button,
  onReason,
}: {
  label: string
  button: string
  onReason: (reason: string) => void
}) {
  const id = useId()
  const [reason, setReason] = useState('')
  return (
    <form
      className="row-of align-items-end mt-1"
      onSubmit={(event) => {
        event.preventDefault()
        if (reason.trim() !== '') onReason(reason.trim())
      }}
    >
      <div className="flex-grow-1">
        <Form.Label htmlFor={id}>{label}</Form.Label>
        <Form.Control
          id={id}
          size="sm"
          maxLength={500}
          autoComplete="off"
          value={reason}
          onChange={(event) => {
            setReason(event.target.value)
          }}
        />
      </div>
      <Button type="submit" size="sm" variant="outline-primary" disabled={reason.trim() === ''}>
        {button}
      </Button>
    </form>
  )
}
