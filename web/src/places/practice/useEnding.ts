import { useEffect, useRef } from 'react'

/**
 * An exercise ends once: when it says it is over, or when the learner has had enough.
 *
 * @returns what ends it now
 */
export function useEnding(isOver: boolean, finish: () => Promise<void>): () => void {
  const isDone = useRef(false)
  const latest = useRef(finish)
  useEffect(() => {
    latest.current = finish
  })
  const end = () => {
    if (isDone.current) return
    isDone.current = true
    void latest.current()
  }
  useEffect(() => {
    // The instrument says when it is through; what follows is outside React.
    if (!isOver || isDone.current) return
    isDone.current = true
    void latest.current()
  }, [isOver])
  return end
}
