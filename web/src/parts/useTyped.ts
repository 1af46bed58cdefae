import { bodyRefusal, type Line } from '@ivory-crystal/core/notebook'
import { type FormEvent, useRef } from 'react'
import {
  type DefaultValues,
  type FieldErrors,
  type Path,
  type PathValue,
  type ResolverResult,
  useForm,
  useWatch,
} from 'react-hook-form'
import type { Result } from '@ivory-crystal/core/problems'
import { write } from '../ledger/notebook'

type FieldOf<T> = keyof T & string

/** What one control of a form needs. */
interface Held<V> {
  readonly value: V
  readonly invalid: boolean
  /** What is wrong with it. */
  readonly error: string | null
  readonly onChange: (value: V) => void
}
export interface TypedForm<T> {
  /** All that is typed, as it stands. */
  readonly typed: T
  readonly of: <K extends FieldOf<T>>(name: K) => Held<T[K]>
  readonly set: (change: Partial<T>) => void
  /** What is wrong with it, since it was last handed in; null while nothing is. */
  readonly message: string | null
  readonly say: (sentence: string) => void
  readonly busy: boolean
  readonly onSubmit: (event: FormEvent) => void
  /** Hands it in without a form's own event. */
  readonly submit: () => void
  /** Empties it, but for what stays and what was typed since it was handed in. */
  readonly reset: (stays?: readonly FieldOf<T>[]) => void
}

/** Where a problem that is no single field’s is kept among the errors. */
const ALL = 'all of it'

/**
 * One way to hold a form. What is typed stays as it was typed; handed in, it is made into something, checked, and
 * kept. At the first thing wrong nothing is kept and nothing typed is lost.
 */
export function useTyped<T extends object, M>({
  start,
  make,
  check,
  keep,
}: {
  start: T
  make: (typed: T) => Result<M, FieldOf<T>>
  /** A last look before it is kept: a sentence when it cannot be. */
  check?: (made: M) => Promise<string | null>
  /** Keeps it; may tell in a sentence why it could not. */
  keep: (made: M) => unknown
}): TypedForm<T> {
  const form = useForm<T, unknown, { made: M }>({
    defaultValues: start as DefaultValues<T>,
    shouldFocusError: false,
    reValidateMode: 'onSubmit',
    async resolver(values): Promise<ResolverResult<T, { made: M }>> {
      const made = make(values)
      const refused = made.ok ? ((await check?.(made.value)) ?? null) : made.problem.sentence
      if (made.ok && refused === null) return { values: { made: made.value }, errors: {} }
      const field = (made.ok ? undefined : made.problem.field) ?? ALL
      return { values: {}, errors: { [field]: { type: 'typed', message: refused } } as FieldErrors<T> }
    },
  })
  const { control, clearErrors, handleSubmit, setError, setValue, formState } = form
  const typed = useWatch({ control }) as T
  const errors = formState.errors as Readonly<Record<string, { readonly message?: string } | undefined>>
  const words = Object.values(errors).find((error) => error)?.message ?? null
  const say = (sentence: string) => {
    setError(ALL as Path<T>, { message: sentence })
  }
  const set = (change: Partial<T>) => {
    for (const [name, value] of Object.entries(change))
      setValue(name as Path<T>, value as PathValue<T, Path<T>>)
    clearErrors()
  }
  /** What was handed in last: a check takes a moment, and the next line may be typed meanwhile. */
  const handedIn = useRef<T | null>(null)
  const submit = () => {
    if (formState.isSubmitting) return
    handedIn.current = structuredClone(form.getValues())
    void handleSubmit(async ({ made }) => {
      const refused: unknown = await keep(made)
      if (typeof refused === 'string') say(refused)
    })()
  }
  return {
    typed,
    of: (name) => ({
      value: typed[name],
      invalid: errors[name] !== undefined,
      error: errors[name]?.message ?? null,
      onChange(value) {
        set({ [name]: value } as unknown as Partial<T>)
      },
    }),
    set,
    message: words,
    say,
    busy: formState.isSubmitting,
    onSubmit(event) {
      event.preventDefault()
      submit()
    },
    submit,
    reset: (stays = []) => {
      const handed = handedIn.current
      const isSince = (name: string, value: unknown) =>
        handed !== null && JSON.stringify(value) !== JSON.stringify(handed[name as FieldOf<T>])
      const unsaved = Object.entries(form.getValues()).filter(
        ([name, value]) => stays.includes(name as FieldOf<T>) || isSince(name, value),
      )
      form.reset(
        { ...(formState.defaultValues as T), ...Object.fromEntries(unsaved) },
        { keepDefaultValues: true },
      )
    },
  }
}

/** The screen does not wait for the network: a schema that has not come by then is not waited for, ms. */
const SCHEMA_WITHIN_MS = 250

/**
 * Whether lines may be written, each by its kind’s own schema. Where that cannot be had, or not at once, the server’s
 * word has to do.
 */
export function checkLines(lines: readonly Line[], withinMs = SCHEMA_WITHIN_MS): Promise<string | null> {
  return Promise.race([
    firstRefusal(lines).catch(() => null),
    new Promise<null>((resolve) => {
      setTimeout(() => {
        resolve(null)
      }, withinMs)
    }),
  ])
}

async function firstRefusal(lines: readonly Line[]): Promise<string | null> {
  for (const { kind, body } of lines) {
    const refused = await bodyRefusal(kind, body)
    if (refused !== null) return refused
  }
  return null
}

/** A form that writes lines into the notebook, and is empty again once it has. */
export function useLines<T extends object>({
  start,
  make,
  stays = [],
  written,
}: {
  start: T
  make: (typed: T) => Result<readonly Line[], FieldOf<T>>
  /** What is not emptied: most tubes are packed alike. */
  stays?: readonly FieldOf<T>[] | 'everything'
  written?: () => void
}): TypedForm<T> {
  const form = useTyped<T, readonly Line[]>({
    start,
    make,
    check: (lines) => checkLines(lines),
    keep(lines) {
      write(...lines)
      if (stays !== 'everything') form.reset(stays)
      written?.()
    },
  })
  return form
}
