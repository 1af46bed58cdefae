import { useEffect, useRef } from 'react'
import type { Moment } from '@ivory-crystal/core/notebook'
import { isTyping } from './sheets/KeysHelp'
import { padKey } from '../drawings/MarkPad'

/**
 * The pad’s keys, heard anywhere on the page while tubes are watched: a letter typed into a field of numbers is none of
 * it, and the moment must not be lost to the cursor standing there.
 *
 * @param others keys besides the pad’s, in small letters
 */
export function usePadKeys(
  press: (slot: number, moment: Moment) => void,
  strikeLast: () => void,
  others: Readonly<Record<string, () => void>> = NO_OTHERS,
): void {
  const act = useRef({ press, strikeLast, others })
  useEffect(() => {
    act.current = { press, strikeLast, others }
  })
  useEffect(() => {
    // Keys are heard by the window, which is outside React.
    const listener = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || event.repeat) return
      const key = padKey(event.key)
      if (isTyping(event) && !(key && takesNumbers(event))) return
      const other = act.current.others[event.key.toLowerCase()]
      if (key) act.current.press(key.slot, key.moment)
      else if (event.key === 'Backspace') act.current.strikeLast()
      else if (other) other()
      else return
      event.preventDefault()
    }
    window.addEventListener('keydown', listener)
    return () => {
      window.removeEventListener('keydown', listener)
    }
  }, [])
}
const NO_OTHERS = {}

function takesNumbers({ target }: KeyboardEvent): boolean {
  return target instanceof HTMLInputElement && target.inputMode === 'decimal'
}
