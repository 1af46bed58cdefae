type SubjectType =
  'prep' | 'sample' | 'melt' | 'instrument' | 'unknown' | 'plate' | 'period' | 'practice' | 'any'

/** From the body of version v to that of v + 1, by v. Old bodies are accepted for ever. */
export type Upcasts = Readonly<Record<number, (body: unknown) => unknown>>

/** Everything the core knows of one kind of entry. */
export interface KindDefinition<B> {
  readonly kind: string
  /** The version this build writes. */
  readonly version: number
  readonly about: SubjectType
  /** One sentence for the log. */
  readonly sentence: (body: B) => string
}

/** Keeps the literal kind while fixing the body's type. */
export function defineKind<B>() {
  return <const D extends KindDefinition<B>>(definition: D): D & KindDefinition<B> => definition
}
