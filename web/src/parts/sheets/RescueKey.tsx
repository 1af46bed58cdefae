import css from './Rescue.module.css'
import { useRescueSheet } from './rescueSheet'
import { WITHOUT_CARDS } from '@ivory-crystal/core/procedures'
import { useKey } from '../useKey'
import { LateSheet } from './LateSheet'

const fetchSheet = async () => (await import('./Rescue')).Rescue

/** In the rail, on every screen: the cards for when someone is hurt, something burns, or the work goes wrong. */
export function RescueKey() {
  const { open, set } = useRescueSheet()
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
        <span>emergency and rescue</span>
      </button>
      <LateSheet fetch={fetchSheet} open={open} setOpen={set} without={WITHOUT_CARDS} />
    </>
  )
}
