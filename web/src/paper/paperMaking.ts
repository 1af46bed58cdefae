import { remotely } from '../workers/remote'
import type { Paper } from './printing'

/** What sets a sheet as a PDF, in a worker of its own; a megabyte, so never in the page. */
export const paperMaking = remotely<Paper>(
  () => new Worker(new URL('./pdf.worker.ts', import.meta.url), { type: 'module' }),
  () => Promise.reject(new Error('This browser cannot make pages: it has no workers.')),
)
