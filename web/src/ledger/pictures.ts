import { api, Refused } from './api'
import { openPhotographs, type Photographs } from './photographs'

let opened: Promise<Photographs | null> | null = null
/** null where this device may keep nothing. */
export function photographsHere(): Promise<Photographs | null> {
  opened ??= openPhotographs().catch(() => null)
  return opened
}

/** Sends the pictures that wait. One the server will not take stays on this device, and holds nothing else back. */
export async function sendPhotographs(): Promise<void> {
  if (typeof indexedDB === 'undefined') return
  const here = await photographsHere()
  await here?.send(async (sha256, jpeg) => {
    await api.sendPhotograph(sha256, jpeg).catch((error: unknown) => {
      const isFinal = error instanceof Refused && error.status < 500 && error.status !== 429
      if (!isFinal) throw error
    })
  })
}

/**
 * Keeps a picture on this device, before any line speaks of it.
 *
 * @throws Error with a sentence where it cannot be kept and the server cannot take it at once
 */
export async function keepPhotograph(sha256: string, jpeg: ArrayBuffer): Promise<void> {
  const here = await photographsHere()
  const isKept = await here?.put(sha256, jpeg).then(
    () => true,
    () => false,
  )
  // Where nothing can be kept here it goes to the server at once, or not at all: a line never speaks of nothing.
  if (!isKept) await api.sendPhotograph(sha256, jpeg)
}

/** A picture from this device, else from the server; null where neither has it. */
export async function readPhotograph(sha256: string): Promise<ArrayBuffer | null> {
  const here = await photographsHere()
  const bytes = await here?.read(sha256).catch(() => null)
  if (bytes) return bytes
  const came = await api.photograph(sha256)
  // What a cache or the way here made of it is held against its name.
  return came && (await isUnder(sha256, came)) ? came : null
}

async function isUnder(name: string, bytes: ArrayBuffer): Promise<boolean> {
  const [{ sha256 }, { bytesToHex }] = await Promise.all([
    import('@noble/hashes/sha2.js'),
    import('@noble/hashes/utils.js'),
  ])
  return bytesToHex(sha256(new Uint8Array(bytes))) === name
}
