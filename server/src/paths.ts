import { existsSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

/** The project's own folder, whether run from source or from the built server. */
export const PROJECT = findProject(dirname(fileURLToPath(import.meta.url)))
export const MIGRATIONS = join(PROJECT, 'server', 'drizzle')
export const TEMPLATE = join(PROJECT, 'server', '.template')
export const WEB = join(PROJECT, 'web', 'dist')
export const GOLDEN = join(PROJECT, 'core', 'golden')

function findProject(from: string): string {
  if (existsSync(join(from, 'server', 'drizzle'))) return from
  const up = dirname(from)
  if (up === from) throw new Error('The server cannot find its own project folder.')
  return findProject(up)
}
