import { Component, type ReactNode } from 'react'
import { Title } from '../parts/Title'

/** Stands in for a screen that failed. What was written stands in the outbox or the ledger. */
export class Failed extends Component<{ children: ReactNode }, { error: Error | null }> {
  override state: { error: Error | null } = { error: null }
  static getDerivedStateFromError(error: Error): { error: Error } {
    return { error }
  }
  override render(): ReactNode {
    const { error } = this.state
    if (!error) return this.props.children
    return (
      <main className="desk">
        <Title title="This screen failed" />
        <p className="mt-3">What you wrote is saved. Try again, reload, or go back to Today.</p>
        <p className="quiet">{error.message}</p>
        <p className="row-of">
          <button
            type="button"
            className="btn btn-primary"
            onClick={() => {
              this.setState({ error: null })
            }}
          >
            Try again
          </button>
          <a href="/">Go to Today</a>
        </p>
      </main>
    )
  }
}
