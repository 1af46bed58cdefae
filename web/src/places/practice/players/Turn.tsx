import css from '../Practice.module.css'
import Button from 'react-bootstrap/Button'
import { useEffect, useRef } from 'react'
import { isTyping } from '../../../app/KeysHelp'

/** Something turned up and down: arrow keys, or its buttons. */
export function Turn({
  what,
  value,
  step,
  coarse,
  max,
  onChange,
}: {
  what: string
  value: number
  step: number
  /** With the shift key, or left and right. */
  coarse: number
  max: number
  onChange: (value: number) => void
}) {
  const by = (change: number) => {
    const next = Math.min(max, Math.max(0, Math.round((value + change) / step) * step))
    if (next !== value) onChange(next)
  }
  const latest = useRef(by)
  useEffect(() => {
    latest.current = by
  })
  useEffect(() => {
    // Arrow keys are heard anywhere while it is turned.
    const hear = (event: KeyboardEvent) => {
      if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey) return
      const change = { ArrowUp: step, ArrowDown: -step, ArrowRight: coarse, ArrowLeft: -coarse }[event.key]
      if (change === undefined) return
      event.preventDefault()
      latest.current(change)
    }
    window.addEventListener('keydown', hear)
    return () => {
      window.removeEventListener('keydown', hear)
    }
  }, [step, coarse])
  return (
    <div>
      <div className="quiet">
        {what} <kbd className="key">↑</kbd> <kbd className="key">↓</kbd> by {step},{' '}
        <kbd className="key">←</kbd> <kbd className="key">→</kbd> by {coarse}
      </div>
      <div className={css.turn} role="group" aria-label={what}>
        <Button
          variant="outline-primary"
          aria-label={`${what} down by ${step}`}
          disabled={value <= 0}
          onClick={() => {
            by(-step)
          }}
        >
          −
        </Button>
        <output aria-label={`${what} stands at`}>{value}</output>
        <Button
          variant="outline-primary"
          aria-label={`${what} up by ${step}`}
          disabled={value >= max}
          onClick={() => {
            by(step)
          }}
        >
          +
        </Button>
      </div>
    </div>
  )
}
