import type { ReactNode } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'

/** Whose verdict it is, and the button that signs it; what signing keeps stands below. */
export function SignedBy({
  name,
  isReady = true,
  children,
  onName,
}: {
  name: string
  /** False while there is nothing to sign yet. */
  isReady?: boolean
  children: ReactNode
  onName: (name: string) => void
}) {
  return (
    <>
      <Form.Label htmlFor="signed-by">signed by (bench code)</Form.Label>
      <div className="row-of flex-nowrap">
        <Form.Control
          id="signed-by"
          value={name}
          maxLength={80}
          onChange={(event) => {
            onName(event.target.value)
          }}
        />
        <Button type="submit" className="text-nowrap" disabled={!isReady || name.trim() === ''}>
          Sign this verdict
        </Button>
      </div>
      <p className="form-text mb-0">{children}</p>
    </>
  )
}
