import { areOlder, type RawEntry } from '@ivory-crystal/core/notebook'

/**
 * Fetches what reads lines of earlier versions, where there are some: a notebook of today does without.
 *
 * @throws where it cannot be fetched: the server has gone, and this device has not kept the app yet
 */
export async function readable(entries: readonly RawEntry[]): Promise<void> {
  if (!areOlder(entries)) return
  const { readOlderVersions } = await import('@ivory-crystal/core/notebook/older')
  readOlderVersions()
}
