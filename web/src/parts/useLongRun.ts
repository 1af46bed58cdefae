import { useEffect, useRef, useState } from 'react'
import type { Result } from '@ivory-crystal/core/problems'
import { failed } from '../workers/useComputed'

/** What a long computation is given: it says how far it is, 0 to 1, and is told whether to go on. */
export type Notify = (share: number) => boolean

/** Something long beside the screen, with a bar; it can be stopped, and stops when the page is left. */
export function useLongRun<T>() {
  const [share, setShare] = useState<number | null>(null)
  const [result, setResult] = useState<Result<T> | null>(null)
  const goOn = useRef(true)
  useEffect(() => {
    // The worker is outside React: it is told to stop when the page is left.
    goOn.current = true
    return () => {
      goOn.current = false
    }
  }, [])
  return {
    /** null while nothing runs. */
    share,
    /** null before the first run, and after one that was stopped. */
    result,
    start(run: (notify: Notify) => Promise<Result<T> | null>) {
      goOn.current = true
      setShare(0)
      setResult(null)
      void run((done) => {
        setShare(done)
        return goOn.current
      })
        .catch(failed)
        .then((answer) => {
          setShare(null)
          setResult(answer)
        })
    },
    stop() {
      goOn.current = false
    },
    clear() {
      setResult(null)
    },
  }
}
