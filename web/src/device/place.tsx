import { type ComponentType, useEffect, useState } from 'react'

/** The ways to every place that is loaded on its own. */
const ways: (() => Promise<unknown>)[] = []
/** Waits before a place that could not be fetched is asked for again, ms. */
const AGAIN_AFTER_MS = [500, 2000]

/** A screen could not be fetched: the server does not answer. */
export class NotFetched extends Error {
  constructor() {
    super('This screen was not opened on this device before, and the server cannot be reached.')
  }
}

/** A component that comes on its own. */
type Late<Props> = ComponentType<Props> & { readonly fetch: () => Promise<void> }

/** A place as a chunk of its own, fetched when it is first opened or when there is time. */
export function place<Name extends string>(
  load: () => Promise<Record<Name, ComponentType>>,
  name: Name,
): Late<object> {
  return late(
    async () => (await load())[name],
    Opening,
    ({ error }) => {
      throw error
    },
  )
}

/** A part of a place that comes when it is first shown, or when there is time; its room is empty until then, and says so where it cannot be had. */
export function part<Props extends object>(
  load: () => Promise<ComponentType<Props>>,
  meanwhile: ComponentType<Props> = Nothing,
): Late<Props> {
  return late(load, meanwhile, NotHere)
}

/**
 * What is there is shown at once, and what comes as soon as it is there: React’s own way holds back for 0.3 s whatever
 * it has once shown something else for.
 */
function late<Props extends object>(
  load: () => Promise<ComponentType<Props>>,
  Meanwhile: ComponentType<Props>,
  Without: ComponentType<{ error: Error }>,
): Late<Props> {
  let ready: ComponentType<Props> | null = null
  const once = async () => (ready ??= await load())
  ways.push(once)
  function Place(props: Props) {
    const [Shown, setShown] = useState(() => ready)
    const [failure, setFailure] = useState<Error | null>(null)
    useEffect(() => {
      if (Shown) return
      let wanted = true
      persistently(once).then(
        (loaded) => {
          if (wanted) setShown(() => loaded)
        },
        (error: unknown) => {
          if (wanted) setFailure(error as Error)
        },
      )
      return () => {
        wanted = false
      }
    }, [Shown])
    if (failure) return <Without error={failure} />
    return Shown ? <Shown {...props} /> : <Meanwhile {...props} />
  }
  return Object.assign(Place, {
    fetch: async () => {
      await once()
    },
  })
}

function Opening() {
  return <p aria-busy="true">Opening …</p>
}
/** A part that cannot be had takes nothing else of the screen with it. */
function NotHere({ error }: { error: Error }) {
  return (
    <p className="look" role="alert">
      {error.message}
    </p>
  )
}
function Nothing() {
  return <span aria-busy="true" />
}

/** A browser keeps the failure of a fetched module; by then it could be there. */
export async function persistently<T>(load: () => Promise<T>, waits = AGAIN_AFTER_MS): Promise<T> {
  for (const wait of waits) {
    try {
      return await load()
    } catch {
      await new Promise((resolve) => setTimeout(resolve, wait))
    }
  }
  return load().catch(() => {
    throw new NotFetched()
  })
}

/** Fetches every place, one after the other; one that cannot be had now is fetched when it is opened. */
export async function fetchPlaces(): Promise<void> {
  for (const load of ways) await load().catch(() => undefined)
}
