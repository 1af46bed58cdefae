import Button from 'react-bootstrap/Button'
import { askedOnce, type PrepFacts } from '@ivory-crystal/core/notebook'
import { useNotebook, write } from '../ledger/notebook'

/** What was passed by or done without what it needs: one question at a time, each asked once. */
export function AskedOnce({ prep }: { prep: PrepFacts }) {
  const view = useNotebook((state) => state.view)
  const [asked] = askedOnce(view, prep)
  if (!asked) return null
  return (
    <div className="look mb-2" role="alert">
      {asked.question}{' '}
      {asked.answers.map(({ says, line }) => (
        <Button
          key={says}
          size="sm"
          variant="outline-primary"
          className="ms-1"
          onClick={() => {
            write(line)
          }}
        >
          {says}
        </Button>
      ))}
    </div>
  )
}
