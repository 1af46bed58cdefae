import { type Remote, wrap } from 'comlink'

export type Remotely<T> = Pick<Remote<T>, keyof T>

/**
 * What is worked out beside the screen: in a worker where there is one, else in this page. Started once; asked again
 * where it could not be fetched.
 */
export function remotely<T extends { readonly isThere: () => boolean }>(
  make: () => Worker,
  inThisPage: () => Promise<T>,
): (() => Promise<Remotely<T>>) & { readonly end: () => void } {
  let worker: Worker | null = null
  let started: Promise<Remotely<T>> | null = null
  const here = async () =>
    (await inThisPage().catch(() => {
      throw new Error(
        'The program for this calculation has not been loaded yet, and the server cannot be reached.',
      )
    })) as unknown as Remotely<T>
  const idle = () => {
    worker = make()
    return worker
  }
  const ask = () => {
    started ??= (typeof Worker === 'undefined' ? here() : inAWorker<T>(idle).catch(here)).catch(
      (error: unknown) => {
        // Asked again when the server may be there.
        started = null
        throw error
      },
    )
    return started
  }
  return Object.assign(ask, {
    /** What does not answer is ended; the next question starts anew. */
    end() {
      worker?.terminate()
      worker = null
      started = null
    },
  })
}

/** A worker whose script cannot be fetched says so by an event, and answers nothing. */
async function inAWorker<T extends { readonly isThere: () => boolean }>(
  make: () => Worker,
): Promise<Remotely<T>> {
  const worker = make()
  const remote = wrap<T>(worker) as Remotely<T> & { readonly isThere: () => Promise<boolean> }
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
