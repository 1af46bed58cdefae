import css from './Turn.module.css'
import Button from 'react-bootstrap/Button'
import { useEffect, useRef, useState } from 'react'
import { readReading } from '@ivory-crystal/core/weighing'
import { isTyping } from '../sheets/KeysHelp'
import { InlineField, Refusal } from '../InlineField'

/** How far something turns, and in what steps. */
export interface Scale {
  readonly step: number
  /** A larger step: left and right, and the outer buttons. */
  readonly coarse: number
  readonly max: number
}

/** Something turned up and down, at the bench and in practice: its buttons, a typed setting, or the arrow keys. */
export function Turn({
  what,
  value,
  scale,
  keys = false,
  onTyping,
  onChange,
}: {
  what: string
  /** null before it was set. */
  value: number | null
  /** null where the scale of the instrument is not known: a setting can then be typed only. */
  scale: Scale | null
  /** Arrow keys turn it, wherever on the page they are pressed. */
  keys?: boolean
  /** What is being typed, before it is done; null while it is no setting. */
  onTyping?: (value: number | null) => void
  onChange: (value: number) => void
}) {
  const [typed, setTyped] = useState<string | null>(null)
  const [message, setSaid] = useState<string | null>(null)
  const by = (change: number) => {
    if (!scale) return
    const from = value ?? 0
    const stepped = Math.round((from + change) / scale.step) * scale.step
    // Steps of a tenth add up to no more digits than they have.
    const next = Math.min(scale.max, Math.max(0, Number(stepped.toFixed(6))))
    setTyped(null)
    setSaid(null)
    if (next !== value) onChange(next)
  }
  const settingOf = (text: string): number | string => {
    const read = readReading(text, 'The setting')
    if (!read.ok) return read.problem.sentence
    const { value: setting } = read.value
    return setting < 0 || (scale && setting > scale.max)
      ? `The ${what} goes from 0${scale ? ` to ${scale.max}` : ''}.`
      : setting
  }
  const take = () => {
    if (typed === null) return
    const setting = settingOf(typed)
    if (typeof setting === 'string') return setSaid(setting)
    setTyped(null)
    setSaid(null)
    onChange(setting)
  }
  useArrows(keys ? scale : null, by)
  const button = (change: number) => {
    const isUp = change > 0
    return (
      <Button
        key={change}
        variant="outline-primary"
        aria-label={`${what} ${isUp ? 'up' : 'down'} by ${Math.abs(change)}`}
        disabled={isUp ? (value ?? 0) >= (scale?.max ?? 0) : (value ?? 0) <= 0}
        onClick={() => {
          by(change)
        }}
      >
        {isUp ? '+' : '−'}
        {Math.abs(change)}
      </Button>
    )
  }
  return (
    <div>
      {scale && keys && (
        <div className="quiet">
          {what} <kbd className="key">↑</kbd> <kbd className="key">↓</kbd> by {scale.step},{' '}
          <kbd className="key">←</kbd> <kbd className="key">→</kbd> by {scale.coarse}
        </div>
      )}
      <div className={css.turn} role="group" aria-label={what}>
        {scale && [-scale.coarse, -scale.step].map(button)}
        <form
          className={css.setting}
          onBlur={take}
          onSubmit={(event) => {
            event.preventDefault()
            take()
          }}
        >
          <InlineField
            label={`setting of the ${what}`}
            hint="–"
            value={typed ?? value?.toString() ?? ''}
            invalid={message !== null}
            onChange={(text) => {
              setTyped(text)
              setSaid(null)
              const setting = settingOf(text)
              onTyping?.(typeof setting === 'string' ? null : setting)
            }}
          />
        </form>
        {scale && [scale.step, scale.coarse].map(button)}
      </div>
      <Refusal sentence={message} />
    </div>
  )
}

/** The arrow keys, heard anywhere while something is turned. */
function useArrows(scale: Scale | null, by: (change: number) => void): void {
  const latest = useRef(by)
  useEffect(() => {
    latest.current = by
  })
  const { step = 0, coarse = 0 } = scale ?? {}
  useEffect(() => {
    // Keys are heard by the window, which is outside React.
    if (step === 0) return
    const listener = (event: KeyboardEvent) => {
      if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey) return
      const change = { ArrowUp: step, ArrowDown: -step, ArrowRight: coarse, ArrowLeft: -coarse }[event.key]
      if (change === undefined) return
      event.preventDefault()
      latest.current(change)
    }
    window.addEventListener('keydown', listener)
    return () => {
      window.removeEventListener('keydown', listener)
    }
  }, [step, coarse])
}
