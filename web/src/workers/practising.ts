import type { Practice } from './practice'
import { remotely } from './remote'

/** The simulated instruments of the exercises, in a worker of their own: no server is asked. */
export const practising = remotely<Practice>(
  () => new Worker(new URL('./practice.worker.ts', import.meta.url), { type: 'module' }),
  async () => (await import('./practice')).practice,
)
