import type { Shelf } from '@ivory-crystal/core/wire'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'

/** The poorer solvent of a pair, asked for only when it is wanted. */
export function SecondSolvent({
  shelf,
  chosen,
  error,
  onChoose,
}: {
  shelf: Shelf
  chosen: string
  error: string | null
  onChoose: (id: string) => void
}) {
  const [open, setOpen] = useState(chosen !== '')
  if (!open)
    return (
      <Button
        variant="link"
        size="sm"
        onClick={() => {
          setOpen(true)
        }}
      >
        With a second solvent
      </Button>
    )
  return (
    <div className="mt-2">
      <Form.Label htmlFor="second">second solvent, the poorer one</Form.Label>
      <Form.Select
        id="second"
        value={chosen}
        isInvalid={error !== null}
        onChange={(event) => {
          onChoose(event.target.value)
        }}
      >
        <option value="">none</option>
        {shelf.solvents.map((one) => (
          <option key={one.id} value={one.id}>
            {one.name}
          </option>
        ))}
      </Form.Select>
      {error && (
        <div className="invalid-feedback" role="alert">
          {error}
        </div>
      )}
    </div>
  )
}
