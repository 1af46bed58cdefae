import { type ReactNode, useEffect, useRef } from 'react'
import Button from 'react-bootstrap/Button'
import { InlineField, Refusal } from '../InlineField'
import type { TypedForm } from '../useTyped'

/** A thermometer read by eye: what is asked for, and the field its reading is typed into. */
export function ThermometerForm({
  form,
  asks,
  isAsked,
  mark,
  children,
}: {
  form: TypedForm<{ text: string }>
  asks: string
  /** It is to be read now. */
  isAsked: boolean
  /** The mark that waits for its reading; null for none. Each brings the cursor to the field once. */
  mark: string | null
  children?: ReactNode
}) {
  const field = useRef<HTMLDivElement>(null)
  const { text } = form.typed
  useEffect(() => {
    // The number follows the press: the cursor goes to the field.
    if (mark !== null) field.current?.querySelector('input')?.focus()
  }, [mark])
  return (
    <form className="mb-2" aria-label="Read the thermometer" onSubmit={form.onSubmit}>
      <div className="row-of align-items-center" ref={field}>
        <span className={isAsked ? 'trouble' : 'quiet'} role="status">
          {asks}
        </span>
        <InlineField label="read off the thermometer, °C" hint="°C" {...form.of('text')} />
        <Button type="submit" size="sm">
          {text === '' ? 'Record' : `Record ${text} °C`}
        </Button>
      </div>
      <Refusal sentence={form.message} />
      {children}
    </form>
  )
}

/** What is asked of a mark that was pressed. */
export function askedFor(of: string, pressedAgo: string): string {
  return `${of}, pressed ${pressedAgo} ago: what does it read?`
}
