import css from './Rescue.module.css'
import { type ComponentType, useEffect, useState } from 'react'
import { useRescueSheet } from './rescueSheet'
import { useKey } from './useKey'

/** In the rail, on every screen: the cards for when someone is hurt, something burns, or the work goes wrong. */
export function RescueKey() {
  const { open, set } = useRescueSheet()
  const [Sheet, setSheet] = useState<ComponentType<{ onHide: () => void }> | null>(null)
  useEffect(() => {
    // The cards come after the first screen and before they are asked for: a server that is gone later takes nothing away.
    if (Sheet) return
    import('./Rescue').then(
      ({ Rescue }) => {
        setSheet(() => Rescue)
      },
      // Asked for again with the next press of the key.
      () => {
        set(false)
      },
    )
  }, [Sheet, open, set])
  useKey('r', () => {
    set(true)
  })
  return (
    <>
      <button
        type="button"
        className={css.key}
        onClick={() => {
          set(true)
        }}
      >
        <kbd className="key">R</kbd>
        <span>hurt, fire, trouble</span>
      </button>
      {open && Sheet && (
        <Sheet
          onHide={() => {
            set(false)
          }}
        />
      )}
    </>
  )
}
