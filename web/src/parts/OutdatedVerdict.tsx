import Button from 'react-bootstrap/Button'

/** A signed verdict one of whose lines was struck since: said at the top, with the way on. */
export function OutdatedVerdict({ onAgain }: { onAgain: () => void }) {
  return (
    <p className="look" role="alert">
      The signed verdict is out of date: an entry it is based on has been struck out. It stays in the record
      as written.{' '}
      <Button size="sm" onClick={onAgain}>
        Judge again
      </Button>
    </p>
  )
}
