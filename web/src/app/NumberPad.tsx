import css from './NumberPad.module.css'
import { useEffect, useState } from 'react'

/** Narrower than this a telephone brings number keys of its own, px. */
const TABLET_PX = 700
const KEYS = ['7', '8', '9', '4', '5', '6', '1', '2', '3', '.', '0', '−'] as const

/**
 * Number keys as large as those of the mark pad, on a tablet: they come up with a number field and leave with it, and the
 * tablet’s own keyboard, which hides half of the screen, stays down.
 */
export function NumberPad() {
  const [field, setField] = useState<HTMLInputElement | null>(null)
  useEffect(() => {
    // Where the fingers are is outside React.
    const isTablet = () => matchMedia('(pointer: coarse)').matches && innerWidth >= TABLET_PX
    const isNumber = (target: EventTarget | null): target is HTMLInputElement =>
      target instanceof HTMLInputElement &&
      /^(decimal|numeric)$/.test(target.dataset['keys'] ?? target.inputMode)
    /** Before the focus comes: after it the tablet’s keyboard is up. */
    const touched = ({ target }: Event) => {
      if (!isNumber(target) || !isTablet()) return
      target.dataset['keys'] ??= target.inputMode
      target.inputMode = 'none'
    }
    const came = ({ target }: Event) => {
      if (isNumber(target) && isTablet()) setField(target)
    }
    const left = ({ relatedTarget }: FocusEvent) => {
      if (!isNumber(relatedTarget)) setField(null)
    }
    document.addEventListener('pointerdown', touched, true)
    document.addEventListener('focusin', came)
    document.addEventListener('focusout', left)
    return () => {
      document.removeEventListener('pointerdown', touched, true)
      document.removeEventListener('focusin', came)
      document.removeEventListener('focusout', left)
    }
  }, [])
  useEffect(() => {
    // Above the pad, wherever on the page it stands.
    field?.scrollIntoView({ block: 'center' })
  }, [field])
  if (!field) return null
  return (
    <div
      className={css.pad}
      role="group"
      aria-label="Number keys"
      // The field keeps the focus.
      onPointerDown={(event) => {
        event.preventDefault()
      }}
    >
      <div className={css.digits}>
        {KEYS.map((key) => (
          <button
            key={key}
            type="button"
            tabIndex={-1}
            onClick={() => {
              typeInto(field, (text) => text + (key === '−' ? '-' : key))
            }}
          >
            {key}
          </button>
        ))}
      </div>
      <div className={css.acts}>
        <button
          type="button"
          tabIndex={-1}
          aria-label="Delete the last digit"
          onClick={() => {
            typeInto(field, (text) => text.slice(0, -1))
          }}
        >
          ⌫
        </button>
        <button
          type="button"
          tabIndex={-1}
          onClick={() => {
            typeInto(field, () => '')
          }}
        >
          clear
        </button>
        <button
          type="button"
          tabIndex={-1}
          className={css.enter}
          onClick={() => {
            enter(field)
          }}
        >
          Enter
        </button>
      </div>
    </div>
  )
}

/** As if it were typed: the form hears of it. */
function typeInto(field: HTMLInputElement, change: (text: string) => string): void {
  const { set } = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value') ?? {}
  set?.call(field, change(field.value))
  field.dispatchEvent(new Event('input', { bubbles: true }))
}

/** What the key does: on to the next empty number, or the form is handed in. */
function enter(field: HTMLInputElement): void {
  const key = new KeyboardEvent('keydown', { key: 'Enter', bubbles: true, cancelable: true })
  if (field.dispatchEvent(key)) field.form?.requestSubmit()
}
