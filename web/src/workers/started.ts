import { compute } from './compute'
import { practising } from './practising'

/** Fetched and running before they are asked for, they answer with the server gone. */
export async function startWorkers(): Promise<void> {
  for (const start of [compute, practising]) await start().catch(() => undefined)
}
