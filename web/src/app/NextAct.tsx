import { useEffect } from 'react'
import { isTyping } from '../parts/sheets/KeysHelp'

/** What is done next, as a screen marks it, or its one filled button. */
const MARKED = '[data-act]:not(:disabled)'
const FILLED = '.btn-primary:not(:disabled)'

/**
 * The next act under one key, for a gloved hand: Space presses what the screen has as its next step or its filled
 * button, while nothing else is under the keys. Enter in a number goes to the next empty one of its form, and only then
 * hands the form in.
 */
export function NextAct() {
  useEffect(() => {
    // Keys are outside React.
    const listener = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || event.repeat) return
      if (event.key === ' ') pressNext(event)
      else if (event.key === 'Enter') toNextNumber(event)
    }
    window.addEventListener('keydown', listener)
    return () => {
      window.removeEventListener('keydown', listener)
    }
  }, [])
  return null
}

function pressNext(event: KeyboardEvent): void {
  const target = event.target as HTMLElement | null
  // A key on something chosen belongs to that.
  if (event.defaultPrevented || isTyping(event) || (target !== null && target !== document.body)) return
  const scope = document.querySelector('[role="dialog"]') ?? document.querySelector('main')
  const act = actIn(scope)
  if (!act) return
  event.preventDefault()
  act.click()
}

/** The act of a screen: what it marks, else its filled button where there is just one. */
function actIn(scope: Element | null): HTMLElement | null {
  if (!scope) return null
  // A warning that stops the work stops the key too: what it is about is pressed on purpose.
  if (scope.querySelector('[data-holds]')) return null
  const [marked] = shownIn(scope, MARKED)
  if (marked) return marked
  const filled = shownIn(scope, FILLED)
  return filled.length === 1 ? (filled[0] ?? null) : null
}
const shownIn = (scope: Element, which: string) =>
  [...scope.querySelectorAll<HTMLElement>(which)].filter((one) => one.checkVisibility())

function toNextNumber(event: KeyboardEvent): void {
  const field = event.target
  if (!(field instanceof HTMLInputElement) || !isNumber(field) || field.value.trim() === '' || !field.form)
    return
  const fields = [...field.form.elements].filter(
    (one): one is HTMLInputElement => one instanceof HTMLInputElement && isNumber(one),
  )
  const next = fields
    .slice(fields.indexOf(field) + 1)
    .find((one) => one.value === '' && !one.disabled && one.checkVisibility())
  if (!next) return
  event.preventDefault()
  next.focus()
}
/** A number that stands for itself: one beside a button of its own is not waited for. */
const isNumber = (field: HTMLInputElement) =>
  /^(decimal|numeric)$/.test(field.dataset['keys'] ?? field.inputMode) && field.placeholder === ''
