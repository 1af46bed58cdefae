import { existsSync, statfsSync } from 'node:fs'

const MEMORY = '/dev/shm'
/** What two tests at a time need at most, with room to spare, bytes. */
const NEEDED = 3e9

/**
 * Tests make a thousand data folders: where the system keeps a folder in memory, and it is large enough, they go there
 * and no disk is waited for.
 */
export function keepTemporaryFilesInMemory() {
  if (process.env.TMPDIR || !existsSync(MEMORY)) return
  const { bavail, bsize } = statfsSync(MEMORY)
  if (bavail * bsize >= NEEDED) process.env.TMPDIR = MEMORY
}
