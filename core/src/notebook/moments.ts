import type Joi from 'joi'

/** Where moments stand in a body: here, under some of its keys, or in what it lists. */
type Moments = 'here' | { readonly keys: Readonly<Record<string, Moments>>; readonly items: Moments | null }

/**
 * Where moments stand in what a schema lets in, as its moments say of themselves.
 *
 * @returns null when nothing in it is a moment
 */
export function momentsIn(schema: Joi.Schema): Moments | null {
  return within(schema.describe())
}

/** What Joi says of a schema, as far as moments go. */
interface Described {
  readonly metas?: readonly { readonly moment?: boolean }[]
  readonly keys?: Readonly<Record<string, Described>>
  readonly items?: readonly Described[]
  readonly matches?: readonly Choice[]
}
type Choice = Readonly<Partial<Record<'schema' | 'then' | 'otherwise', Described>>>

function within(schema: Described): Moments | null {
  if (schema.metas?.some(({ moment }) => moment)) return 'here'
  const keys = Object.entries(schema.keys ?? {}).flatMap(([key, one]) => {
    const found = within(one)
    return found ? [[key, found] as const] : []
  })
  const choices = (schema.matches ?? []).flatMap((choice) =>
    [choice.schema, choice.then, choice.otherwise].flatMap((one) => (one ? [within(one)] : [])),
  )
  const items = (schema.items ?? []).map(within).reduce(both, null)
  const own: Moments | null = keys.length > 0 || items ? { keys: Object.fromEntries(keys), items } : null
  return choices.reduce(both, own)
}

/** Where the one or the other is a moment. */
function both(one: Moments | null, other: Moments | null): Moments | null {
  if (!one || !other || one === 'here' || other === 'here') return one ?? other
  const keys = new Set([...Object.keys(one.keys), ...Object.keys(other.keys)])
  return {
    keys: Object.fromEntries(
      [...keys].map((key) => [key, both(one.keys[key] ?? null, other.keys[key] ?? null) as Moments]),
    ),
    items: both(one.items, other.items),
  }
}

/** The same body, its moments later by so many ms. */
export function moveMoments(body: unknown, moments: Moments | null, byMs: number): unknown {
  if (moments === null) return body
  if (moments === 'here') return typeof body === 'number' ? body + byMs : body
  if (Array.isArray(body)) return body.map((one) => moveMoments(one, moments.items, byMs))
  if (body === null || typeof body !== 'object') return body
  return Object.fromEntries(
    Object.entries(body).map(([key, one]) => [key, moveMoments(one, moments.keys[key] ?? null, byMs)]),
  )
}
