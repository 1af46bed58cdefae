import { useEffect } from 'react'

/** Keeps the screen awake while something is watched, where the browser can. */
export function useAwake(wanted: boolean): void {
  useEffect(() => {
    // The lock is the browser's, and is lost whenever the page is hidden.
    if (!wanted || !('wakeLock' in navigator)) return
    let lock: WakeLockSentinel | null = null
    let over = false
    const ask = () => {
      if (document.visibilityState !== 'visible') return
      navigator.wakeLock.request('screen').then(
        (given) => {
          if (over) void given.release()
          else lock = given
        },
        () => undefined,
      )
    }
    ask()
    document.addEventListener('visibilitychange', ask)
    return () => {
      over = true
      document.removeEventListener('visibilitychange', ask)
      void lock?.release()
    }
  }, [wanted])
}
