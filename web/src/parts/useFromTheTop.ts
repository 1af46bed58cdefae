import { useEffect, useRef } from 'react'
import { NavigationType, useLocation, useNavigationType } from 'react-router'

/** A place that is gone to is begun at its top; one that is gone back to stays where the browser puts it. */
export function useFromTheTop(): void {
  const { pathname, hash } = useLocation()
  const how = useNavigationType()
  useOnChange(pathname, how !== NavigationType.Pop && hash === '')
}

/** What takes the place of what was done at the same address is begun at its top too. */
export function useTopOf(stage: string): void {
  useOnChange(stage, true)
}

function useOnChange(key: string, isWanted: boolean): void {
  const before = useRef(key)
  useEffect(() => {
    // How far the window is scrolled is outside React.
    if (before.current === key) return
    before.current = key
    if (isWanted && window.scrollY > 0) window.scrollTo({ top: 0, behavior: 'instant' })
  }, [key, isWanted])
}
