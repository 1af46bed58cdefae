import { Link } from 'react-router'
import { Title } from '../parts/Title'

/** For an address that leads nowhere. */
export function Lost() {
  return (
    <main className="desk">
      <Title title="Nothing here" />
      <p className="mt-3">This address is not in the notebook.</p>
      <Link to="/">Go to Today</Link>
    </main>
  )
}
