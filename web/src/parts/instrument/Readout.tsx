import type { ReactNode } from 'react'

/** What an instrument shows, in its own digits: its name, whether it is simulated, and the temperature. */
export function Readout({
  name,
  simulated,
  text,
  children,
}: {
  name: string
  simulated: boolean
  /** As the display has it; null before it was heard. */
  text: string | null
  /** Under it. */
  children?: ReactNode
}) {
  return (
    <div>
      <InstrumentName name={name} simulated={simulated} />
      <div className="block-c" data-testid="block-temperature">
        {text ?? '–'}
        <small>°C</small>
      </div>
      {children}
    </div>
  )
}

/** What it is, and that it is simulated where it is. */
export function InstrumentName({ name, simulated }: { name: string; simulated: boolean }) {
  return (
    <span className="quiet">
      {name} {simulated && <span className="simulated ms-1">simulated</span>}
    </span>
  )
}
