import { useState } from 'react'
import Button from 'react-bootstrap/Button'

/** Something that is asked about once before it is done. */
export function Confirm({ offer, question, onYes }: { offer: string; question: string; onYes: () => void }) {
  const [asked, setAsked] = useState(false)
  if (!asked)
    return (
      <Button
        variant="link"
        onClick={() => {
          setAsked(true)
        }}
      >
        {offer}
      </Button>
    )
  return (
    <span className="look m-0" role="alert">
      {question}{' '}
      <Button
        size="sm"
        variant="outline-primary"
        onClick={() => {
          setAsked(false)
          onYes()
        }}
      >
        Yes
      </Button>{' '}
      <Button
        size="sm"
        variant="link"
        onClick={() => {
          setAsked(false)
        }}
      >
        No
      </Button>
    </span>
  )
}
