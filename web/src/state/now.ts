import { useEffect, useState } from 'react'
import { clock } from './clock'

/** The time, told again each so many milliseconds. */
export function useNow(everyMs = 1000): number {
  const [now, setNow] = useState(() => clock.now())
  useEffect(() => {
    // A clock outside React: ticking is the effect.
    const timer = setInterval(() => {
      setNow(clock.now())
    }, everyMs)
    return () => {
      clearInterval(timer)
    }
  }, [everyMs])
  return now
}
