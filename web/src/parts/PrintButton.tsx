import Button from 'react-bootstrap/Button'

/** Prints what is on the screen. */
export function PrintButton({ children }: { children: string }) {
  return (
    <Button
      variant="outline-primary"
      onClick={() => {
        window.print()
      }}
    >
      {children}
    </Button>
  )
}
