import type { Heavy } from './heavy'
import { remotely } from './remote'

/** The planner of a period, in a worker of its own: one that does not answer is ended, and nothing else with it. */
export const planner = remotely<Pick<Heavy, 'isThere' | 'lookAgain' | 'planPeriod' | 'whenLate'>>(
  () => new Worker(new URL('./heavy.worker.ts', import.meta.url), { type: 'module' }),
  async () => (await import('./heavy')).heavy,
)

/**
 * The heavy computations, in a worker where there is one, else in this page.
 *
 * @throws where neither can be fetched: the server has gone before the worker was ever started
 */
export const compute = remotely<Heavy>(
  () => new Worker(new URL('./heavy.worker.ts', import.meta.url), { type: 'module' }),
  async () => (await import('./heavy')).heavy,
)
