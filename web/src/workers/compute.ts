import { type Remote, wrap } from 'comlink'
import type { Heavy } from './heavy'

let remote: Remote<Heavy> | null = null

/** The heavy computations, in a worker where there is one, else in this page. */
export async function compute(): Promise<Pick<Remote<Heavy>, keyof Heavy>> {
  if (typeof Worker === 'undefined') {
    const { heavy } = await import('./heavy')
    return heavy as unknown as Remote<Heavy>
  }
  remote ??= wrap<Heavy>(new Worker(new URL('./heavy.worker.ts', import.meta.url), { type: 'module' }))
  return remote
}
