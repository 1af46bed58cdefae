import Button from 'react-bootstrap/Button'

/** Starts something long, and stops it. */
export function RunOrStop({
  children,
  isRunning,
  onRun,
  onStop,
}: {
  children: string
  isRunning: boolean
  onRun: () => void
  onStop: () => void
}) {
  return isRunning ? (
    <Button variant="outline-primary" onClick={onStop}>
      Stop
    </Button>
  ) : (
    <Button onClick={onRun}>{children}</Button>
  )
}
