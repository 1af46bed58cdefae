import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'
import { bin, node, ROOT, step } from './run.mjs'

/** What the first screen may take, gzipped. */
const MOST = { cardKB: 120, allKB: 180, cssKB: 16, files: 25 }

export async function build() {
  await step('Building the web app …', () =>
    bin('vite', 'build', '--config', 'web/vite.config.ts', '--logLevel', 'warn'),
  )
  tellFirstScreen()
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
      'web/index.html',
      'web/vite.config.ts',
      'server/vite.config.ts',
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

/** What of the first screen comes when: gzipped kB of script and style, and how many files of them. */
export function firstScreen(root = ROOT) {
  const { sizeOf, neededBy, styleOf } = built(root)
  const card = neededBy([TODAY])
  const all = neededBy([TODAY, ...REST])
  return {
    cardKB: sizeOf(card),
    allKB: sizeOf(all),
    cssKB: sizeOf(styleOf(all)),
    files: all.size + styleOf(all).size,
  }
}

/** gzipped kB of script that places need beyond the first screen. */
export function beyondFirstScreenKB(root, places) {
  const { sizeOf, neededBy } = built(root)
  const first = neededBy([TODAY, ...REST])
  return sizeOf([...neededBy(places)].filter((file) => !first.has(file)))
}

const TODAY = 'src/places/today/Today.tsx'
const REST = ['src/places/today/Rest.tsx', 'src/app/Beside.tsx', 'src/app/Clocks.tsx']

function built(root) {
  const dist = join(root, 'web/dist')
  const manifest = JSON.parse(readFileSync(join(dist, '.vite/manifest.json'), 'utf8'))
  const page = readFileSync(join(dist, 'index.html'), 'utf8')
  const ofPage = Object.values(manifest).filter(({ file }) => page.includes(`"/${file}"`))
  const chunks = (keys) => {
    const found = new Set(ofPage)
    const add = (key) => {
      const chunk = manifest[key]
      if (!chunk) throw new Error(`Nothing was built of ${key}.`)
      if (found.has(chunk) && !ofPage.includes(chunk)) return
      found.add(chunk)
      if (ofPage.includes(chunk)) return
      for (const needed of chunk.imports ?? []) add(needed)
    }
    for (const key of keys) add(key)
    return [...found]
  }
  const styles = new Map()
  const neededBy = (keys) => {
    const found = chunks(keys)
    const files = new Set(found.map(({ file }) => file).filter((file) => file.endsWith('.js')))
    styles.set(files, new Set(found.flatMap(({ css = [] }) => css)))
    return files
  }
  return {
    neededBy,
    styleOf: (files) => styles.get(files),
    sizeOf: (files) =>
      [...files].reduce((sum, file) => sum + gzipSync(readFileSync(join(dist, file))).length, 0) / 1000,
  }
}

function tellFirstScreen() {
  const { cardKB, allKB, cssKB, files } = firstScreen()
  process.stdout.write(
    `   first screen: ${cardKB.toFixed(1)} kB of gzipped script until it stands, ${allKB.toFixed(1)} kB in all, ${cssKB.toFixed(1)} kB of style, ${files} files\n`,
  )
}

/** A first screen that has grown too large stops the tests, and nobody who only wants to start the app. */
export function checkFirstScreen() {
  const { cardKB, allKB, cssKB, files } = firstScreen()
  for (const [what, is, most] of [
    ['script until it stands, kB', cardKB, MOST.cardKB],
    ['script in all, kB', allKB, MOST.allKB],
    ['style, kB', cssKB, MOST.cssKB],
    ['files', files, MOST.files],
  ])
    if (is > most) throw new Error(`First screen, ${what}: ${is.toFixed(1)}; at most ${most}.`)
}
