import css from './Term.module.css'
import classNames from 'classnames'
import { type ReactNode, type RefObject, useEffect, useId, useLayoutEffect, useRef, useState } from 'react'
import { createPortal } from 'react-dom'
import { TERMS, type TermId } from '@ivory-crystal/core/terms'

/** A term with its meaning, opened by pointing, by a press or with the keyboard; Escape closes it. */
export function Term({ of, children }: { of: TermId; children?: ReactNode }) {
  const { term, meaning } = TERMS[of]
  const word = useRef<HTMLSpanElement>(null)
  const id = useId()
  /** Pointing opens it while it points; a press keeps it open until the next. */
  const [open, setOpen] = useState<'no' | 'pointed' | 'pressed'>('no')
  const isOpen = open !== 'no'
  const toggle = () => {
    setOpen((now) => (now === 'pressed' ? 'no' : 'pressed'))
  }
  useEffect(() => {
    // What scrolls moves the word away from its meaning, and scrolling is outside React.
    if (!isOpen) return
    const close = () => {
      setOpen('no')
    }
    window.addEventListener('scroll', close, true)
    return () => {
      window.removeEventListener('scroll', close, true)
    }
  }, [isOpen])
  return (
    <>
      {/* No button element: those are left off paper and out of tables. */}
      <span
        ref={word}
        role="button"
        tabIndex={0}
        className={css.term}
        aria-expanded={isOpen}
        aria-describedby={isOpen ? id : undefined}
        onMouseEnter={() => {
          setOpen((now) => (now === 'no' ? 'pointed' : now))
        }}
        onMouseLeave={() => {
          setOpen((now) => (now === 'pointed' ? 'no' : now))
        }}
        onClick={toggle}
        onBlur={() => {
          setOpen('no')
        }}
        onKeyDown={(event) => {
          if (event.key === 'Escape') setOpen('no')
          if (event.key !== 'Enter' && event.key !== ' ') return
          event.preventDefault()
          toggle()
        }}
      >
        {children ?? term}
      </span>
      {isOpen &&
        createPortal(
          <Meaning id={id} under={word}>
            <b>{term}</b>: {meaning}
          </Meaning>,
          document.body,
        )}
    </>
  )
}

const ROOM_PX = 8

/** Below the word, or above it where there is no room, and never beyond the window. */
function Meaning({
  id,
  under,
  children,
}: {
  id: string
  under: RefObject<HTMLElement | null>
  children: ReactNode
}) {
  const box = useRef<HTMLSpanElement>(null)
  useLayoutEffect(() => {
    const word = under.current?.getBoundingClientRect()
    if (!box.current || !word) return
    const { width, height } = box.current.getBoundingClientRect()
    const left = Math.max(ROOM_PX, Math.min(word.left, window.innerWidth - width - ROOM_PX))
    const below = word.bottom + ROOM_PX
    const top = below + height > window.innerHeight ? word.top - height - ROOM_PX : below
    box.current.style.left = `${left}px`
    box.current.style.top = `${top}px`
  })
  return (
    <span ref={box} id={id} role="tooltip" className={classNames(css.meaning, 'no-print')}>
      {children}
    </span>
  )
}
