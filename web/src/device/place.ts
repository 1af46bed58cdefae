import { type ComponentType, createElement, lazy } from 'react'

/** The ways to every place that is loaded on its own. */
const ways: (() => Promise<unknown>)[] = []
/** Waits before a place that could not be fetched is asked for again, ms. */
const AGAIN_AFTER_MS = [500, 2000]

/** A screen could not be fetched: the server does not answer. */
export class NotFetched extends Error {
  constructor() {
    super('This screen has not been opened before, and the server that has it cannot be reached.')
  }
}

/** What failed once fails for ever: whoever tries again gets another. */
const renewals: (() => void)[] = []
export function tryPlacesAgain(): void {
  for (const renew of renewals.splice(0)) renew()
}

/** A place as a chunk of its own, fetched when it is first opened or when there is time. */
export function place<Name extends string>(
  load: () => Promise<Record<Name, ComponentType>>,
  name: Name,
): ComponentType {
  ways.push(load)
  const made = (): ComponentType =>
    lazy(async () => {
      try {
        const part: ComponentType = (await persistently(load))[name]
        return { default: part }
      } catch (error) {
        renewals.push(() => {
          held.part = made()
        })
        throw error
      }
    })
  const held = { part: made() }
  return function Place() {
    return createElement(held.part)
  }
}

/** A browser keeps the failure of a fetched module; by then it may be there. */
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
