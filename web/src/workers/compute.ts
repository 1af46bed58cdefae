import { type Remote, wrap } from 'comlink'
import type { Heavy } from './heavy'

type Heavier = Pick<Remote<Heavy>, keyof Heavy>

let started: Promise<Heavier> | null = null

/**
 * The heavy computations, in a worker where there is one, else in this page.
 *
 * @throws where neither can be fetched: the server has gone before the worker was ever started
 */
export function compute(): Promise<Heavier> {
  started ??= (typeof Worker === 'undefined' ? inThisPage() : inAWorker().catch(inThisPage)).catch(
    (error: unknown) => {
      // Asked again when the server may be there.
      started = null
      throw error
    },
  )
  return started
}

/** Fetched and running before it is asked for, it answers with the server gone. */
export async function startWorker(): Promise<void> {
  await compute().catch(() => undefined)
}

async function inThisPage(): Promise<Heavier> {
  const { heavy } = await import('./heavy').catch(() => {
    throw new Error(
      'What works this out has not been fetched yet, and the server that has it cannot be reached.',
    )
  })
  return heavy as unknown as Heavier
}

/** A worker whose script cannot be fetched says so by an event, and answers nothing. */
async function inAWorker(): Promise<Heavier> {
  const worker = new Worker(new URL('./heavy.worker.ts', import.meta.url), { type: 'module' })
  const remote = wrap<Heavy>(worker)
  await Promise.race([
    remote.isThere(),
    new Promise((_, reject) => {
      worker.addEventListener('error', () => {
        reject(new Error('The worker did not start.'))
      })
    }),
  ])
  return remote
}
