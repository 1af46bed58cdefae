import css from './Term.module.css'
import classNames from 'classnames'
import { type ReactNode, useId, useRef, useState } from 'react'
import Overlay from 'react-bootstrap/Overlay'
import { TERMS, type TermId } from '@ivory-crystal/core/terms'

/** A term with its meaning, opened by pointing, by a press or with the keyboard; Escape closes it. */
export function Term({ of, children }: { of: TermId; children?: ReactNode }) {
  const { term, meaning } = TERMS[of]
  const button = useRef<HTMLSpanElement>(null)
  const id = useId()
  /** Pointing opens it while it points; a press keeps it open until the next. */
  const [open, setOpen] = useState<'no' | 'pointed' | 'pressed'>('no')
  const toggle = () => {
    setOpen((now) => (now === 'pressed' ? 'no' : 'pressed'))
  }
  return (
    <>
      {/* No button: what is a button is left off paper and out of tables. */}
      <span
        ref={button}
        role="button"
        tabIndex={0}
        className={css.term}
        aria-expanded={open !== 'no'}
        aria-describedby={open === 'no' ? undefined : id}
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
      <Overlay target={button} show={open !== 'no'} placement="auto" transition={false}>
        {({ ref, style }) => (
          <span
            ref={ref}
            id={id}
            role="tooltip"
            style={style}
            className={classNames(css.meaning, 'no-print')}
          >
            <b>{term}</b>: {meaning}
          </span>
        )}
      </Overlay>
    </>
  )
}
