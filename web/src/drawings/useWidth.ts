import { type RefCallback, useCallback, useState, useSyncExternalStore } from 'react'
import { flushSync } from 'react-dom'

let printing = false
const listeners = new Set<() => void>()
if (typeof window !== 'undefined') {
  const turn = (now: boolean) => () => {
    printing = now
    // The sheet is taken as soon as the event is over: what is drawn must be there by then.
    flushSync(() => {
      for (const listener of listeners) listener()
    })
  }
  window.addEventListener('beforeprint', turn(true))
  window.addEventListener('afterprint', turn(false))
}
function listen(receive: () => void): () => void {
  listeners.add(receive)
  return () => {
    listeners.delete(receive)
  }
}

/**
 * Width of an element in px, followed as it changes, so that drawings keep their type size.
 *
 * @param initial before the layout is known
 * @param onPaper the width to draw at on paper, where the sheet scales it to its own, so that it is whole there
 */
export function useWidth(initial: number, onPaper?: number): [RefCallback<HTMLDivElement>, number] {
  const [width, setWidth] = useState(initial)
  const isPrinting = useSyncExternalStore(
    listen,
    () => printing,
    () => false,
  )
  // Whichever element it stands on, whenever that comes: one drawn later is followed too.
  const ref = useCallback((element: HTMLDivElement | null) => {
    if (!element) return
    const observer = new ResizeObserver(([entry]) => {
      if (entry && !printing) setWidth(Math.round(entry.contentRect.width))
    })
    observer.observe(element)
    return () => {
      observer.disconnect()
    }
  }, [])
  return [ref, isPrinting && onPaper !== undefined ? onPaper : width]
}
