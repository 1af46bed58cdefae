import { proxy } from 'comlink'
import { api } from '../../ledger/api'
import { readPhotograph } from '../../ledger/pictures'
import type { Notify } from '../../parts/useLongRun'
import type { Beside, Picture } from '../../workers/crate'
import { crating } from '../../workers/crating'

/** A notebook packed, and how many of its photographs could not be fetched. */
export interface PackedNotebook {
  readonly zip: Blob
  readonly missing: number
}

/**
 * The open notebook as a zip, with its photographs and the pages handed over. What waits on this device for the server
 * is not in it: it is of what is stored.
 *
 * @returns null when it was told to stop
 */
export async function packNotebook(
  notebook: string,
  pages: Beside['pages'],
  nowMs: number,
  notify: Notify,
): Promise<PackedNotebook | null> {
  const text = await api.exported(notebook)
  const remote = await crating()
  const pictures: Picture[] = []
  let missing = 0
  for (const sha256 of await remote.picturesIn(text)) {
    const jpeg = await readPhotograph(sha256).catch(() => null)
    if (jpeg) pictures.push({ sha256, jpeg: new Uint8Array(jpeg) })
    else missing += 1
  }
  const zip = await remote.pack(text, { pictures, pages, schema: null }, nowMs, proxy(notify))
  if (!zip) return null
  return { zip: new Blob([zip as Uint8Array<ArrayBuffer>], { type: 'application/zip' }), missing }
}
