import type { Crate } from './crate'
import { remotely } from './remote'

/** What packs and unpacks a notebook, in a worker of its own. */
export const crating = remotely<Crate>(
  () => new Worker(new URL('./crate.worker.ts', import.meta.url), { type: 'module' }),
  async () => (await import('./crate')).crate,
)
