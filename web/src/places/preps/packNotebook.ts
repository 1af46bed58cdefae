import { proxy } from 'comlink'
import { api } from '../../ledger/api'
import type { Tell } from '../../parts/useLongRun'
import { crating } from '../../workers/crating'

/**
 * The open notebook as a zip. What waits on this device for the server is not in it: it is of what is stored.
 *
 * @returns null when it was told to stop
 */
export async function packNotebook(notebook: string, nowMs: number, tell: Tell): Promise<Blob | null> {
  const text = await api.exported(notebook)
  const remote = await crating()
  const zip = await remote.pack(text, nowMs, proxy(tell))
  return zip ? new Blob([zip as Uint8Array<ArrayBuffer>], { type: 'application/zip' }) : null
}
