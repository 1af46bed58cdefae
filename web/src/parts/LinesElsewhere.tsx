import Button from 'react-bootstrap/Button'
import { useNotebook } from '../ledger/notebook'
import { download } from '../device/download'

/** Lines of another ledger that was served at this address, and that never got there. */
export function LinesElsewhere() {
  const lines = useNotebook((state) => state.waitingElsewhere)
  if (lines.length === 0) return null
  return (
    <p className="look mt-2">
      {lines.length === 1
        ? '1 entry of another ledger is not yet sent'
        : `${lines.length} entries of other ledgers are not yet sent`}{' '}
      on this device: a server with another data folder was at this address before. They will be sent when it
      is back.{' '}
      <Button
        size="sm"
        variant="outline-primary"
        onClick={() => {
          download('lines-of-another-ledger.json', JSON.stringify(lines, null, 2), 'application/json')
        }}
      >
        Save a copy
      </Button>
    </p>
  )
}
