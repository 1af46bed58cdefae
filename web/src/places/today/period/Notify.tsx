import { useState } from 'react'
import Button from 'react-bootstrap/Button'

/** Offers to tell of clocks that are over outside this window too; the browser asks the person. */
export function Notify() {
  const [state, setState] = useState(() =>
    typeof Notification === 'undefined' ? 'denied' : Notification.permission,
  )
  if (state === 'granted') return <span className="quiet">The browser also tells you when a timer ends.</span>
  if (state === 'denied') return null
  return (
    <Button
      variant="outline-primary"
      onClick={() => {
        void Notification.requestPermission().then(setState)
      }}
    >
      Notify me
    </Button>
  )
}
