import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'
import { bin, node, ROOT, step } from './run.mjs'

/** First screen: the entry, what it needs at once, and the place it opens with. */
const FIRST_SCREEN_MOST_KB = 160
export const FIRST_SCREEN_AIM_KB = 200

export async function build() {
  await step('Building the web app …', () =>
    bin('vite', 'build', '--config', 'web/vite.config.ts', '--logLevel', 'warn'),
  )
  checkFirstScreen()
  await step('Building the server …', () =>
    bin('vite', 'build', '--config', 'server/vite.config.ts', '--logLevel', 'warn'),
  )
  await step('Preparing the database template …', () => node('server/dist/main.js', '--prepare-template'))
}

/** Builds only when something is newer than what was built last. */
export async function buildIfNeeded() {
  const built = ['web/dist/index.html', 'server/dist/main.js', 'server/.template/PG_VERSION'].map((path) =>
    join(ROOT, path),
  )
  if (built.every((path) => existsSync(path))) {
    const oldest = Math.min(...built.slice(0, 2).map((path) => statSync(path).mtimeMs))
    const sources = [
      'core/src',
      'server/src',
      'server/drizzle',
      'web/src',
      'web/public',
      'package-lock.json',
    ].map((path) => join(ROOT, path))
    if (Math.max(...sources.map(newest)) < oldest) return
  }
  await build()
}

function newest(path) {
  const stat = statSync(path)
  if (!stat.isDirectory()) return stat.mtimeMs
  return Math.max(stat.mtimeMs, ...readdirSync(path).map((name) => newest(join(path, name))))
}

/** gzipped kB of JavaScript of the first screen; or what a place needs beyond it. */
export function firstScreenKB(root = ROOT, beyond = null) {
  const dist = join(root, 'web/dist')
  const manifest = JSON.parse(readFileSync(join(dist, '.vite/manifest.json'), 'utf8'))
  const files = new Set()
  const add = (key) => {
    const chunk = manifest[key]
    if (!chunk || files.has(chunk.file)) return
    files.add(chunk.file)
    for (const needed of chunk.imports ?? []) add(needed)
  }
  add('index.html')
  add('src/places/today/Today.tsx')
  const first = new Set(files)
  if (beyond) {
    for (const key of beyond) add(key)
    for (const file of first) files.delete(file)
  }
  return [...files].reduce((sum, file) => sum + gzipSync(readFileSync(join(dist, file))).length, 0) / 1000
}

function checkFirstScreen() {
  const kb = firstScreenKB()
  process.stdout.write(
    `   first screen: ${kb.toFixed(0)} kB of gzipped JavaScript (at most ${FIRST_SCREEN_MOST_KB})\n`,
  )
  if (kb > FIRST_SCREEN_MOST_KB)
    throw new Error(
      `The first screen takes ${kb.toFixed(0)} kB of gzipped JavaScript; ${FIRST_SCREEN_MOST_KB} are allowed.`,
    )
}
