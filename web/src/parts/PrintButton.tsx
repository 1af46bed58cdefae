import Button from 'react-bootstrap/Button'

/** Prints what is on the screen. */
export function PrintButton({
  children,
  variant = 'outline-primary',
}: {
  children: string
  variant?: 'primary' | 'outline-primary'
}) {
  return (
    <Button
      className="text-nowrap"
      variant={variant}
      onClick={() => {
        window.print()
      }}
    >
      {children}
    </Button>
  )
}
