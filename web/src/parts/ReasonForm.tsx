import { useId } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'

import { useTyped } from './useTyped'
import { ok, refuse } from '@ivory-crystal/core/problems'

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
  const form = useTyped({
    start: { reason: '' },
    make: ({ reason }) =>
      reason.trim() === '' ? refuse('Give the reason in a few words.', 'reason') : ok(reason.trim()),
    keep: onReason,
  })
  const { reason } = form.typed
  return (
    <form className="row-of align-items-end mt-1" onSubmit={form.onSubmit}>
      <div className="flex-grow-1">
        <Form.Label htmlFor={id}>{label}</Form.Label>
        <Form.Control
          id={id}
          size="sm"
          maxLength={500}
          autoComplete="off"
          value={reason}
          onChange={(event) => {
            form.set({ reason: event.target.value })
          }}
        />
      </div>
      <Button type="submit" size="sm" variant="outline-primary" disabled={reason.trim() === ''}>
        {button}
      </Button>
    </form>
  )
}
