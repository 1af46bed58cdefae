import { Link, useRouteError } from 'react-router'
import { Title } from '../parts/Title'

/** For an address that leads nowhere, or a screen that failed. What was written stands in the outbox or the ledger. */
export function Lost() {
  const error = useRouteError() as Error | undefined
  return (
    <main className="desk">
      <Title title={error ? 'This screen failed' : 'Nothing here'} />
      <p className="mt-3">
        {error
          ? 'What you wrote is kept. Reload, or go back to Today.'
          : 'The address leads to no place in this notebook.'}
      </p>
      {error && <p className="quiet">{error.message}</p>}
      <Link to="/">Go to Today</Link>
    </main>
  )
}
