import Button from 'react-bootstrap/Button'
import { useRescueSheet } from './rescueSheet'

/** Opens the cards for where the work is; the key R does the same. */
export function RescueButton() {
  const set = useRescueSheet((state) => state.set)
  return (
    <div className="mt-3">
      <Button
        className="text-nowrap"
        variant="outline-primary"
        onClick={() => {
          set(true)
        }}
      >
        Something went wrong <kbd className="key ms-1">R</kbd>
      </Button>
    </div>
  )
}
