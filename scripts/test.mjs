/**
 * Everything that must hold: types, lint, import rules, unused code, unit tests, browser tests. With `--deep` every
 * property is tried four times as often, and the torture is part of it.
 */
import { existsSync } from 'node:fs'
import { build, checkFirstScreen } from './build-parts.mjs'
import { binFile, install, main, node, run, runBeside, say, step } from './run.mjs'

const SOURCES = ['core/src', 'server/src', 'web/src']
const CHROMIUM = process.env.CHROMIUM ?? '/usr/bin/chromium'
const isDeep = process.argv.includes('--deep')
const env = { ...process.env, ...(isDeep ? { IVORY_CRYSTAL_DEEP: '1' } : {}) }

/** What goes on beside other things, whose lines are told apart by a word before them. */
const beside = (whose, name, ...args) => runBeside(whose, process.execPath, [binFile(name), ...args], { env })

main(async () => {
  await install()
  await systemPackages()
  await build()
  checkFirstScreen()
  // The browser tests wait much and compute little: what computes much goes on beside them.
  await step('Static checks and unit tests, and the browser tests beside them …', async () => {
    await all([browser(), checks().then(units)])
  })
  if (isDeep) {
    await step('Torture, a quick round …', () => node('scripts/torture.mjs'))
  }
  say(isDeep ? 'All of it holds, deep.' : 'All of it holds.')
})

const browser = () => beside('browser', '@playwright/test', 'test')

async function checks() {
  await beside('types', 'typescript', '-b')
  await beside('imports', 'dependency-cruiser', '--config', '.dependency-cruiser.cjs', ...SOURCES)
  await beside('unused', 'knip')
  await beside(
    'lint',
    'eslint',
    '.',
    '--max-warnings',
    '0',
    '--cache',
    '--cache-location',
    'node_modules/.cache/eslint/',
  )
  await beside('format', 'prettier', '--check', '.', '--log-level', 'warn')
}

const units = () =>
  runBeside(
    'unit',
    process.execPath,
    ['--experimental-vm-modules', '--no-warnings', 'node_modules/jest/bin/jest.js'],
    { env },
  )

/** All that was begun is waited for, and the first that failed is told. */
async function all(whats) {
  const ended = await Promise.allSettled(whats)
  const failed = ended.find(({ status }) => status === 'rejected')
  if (failed) throw failed.reason
}

/** What the tests need of the system: a browser, and what opens a PDF as others would. */
async function systemPackages() {
  const missing = [
    ...(existsSync(CHROMIUM) ? [] : ['chromium']),
    ...(existsSync('/usr/bin/pdftotext') ? [] : ['poppler-utils']),
  ]
  if (missing.length === 0) return
  const names = missing.join(' and ')
  if (process.platform !== 'linux' || !existsSync('/usr/bin/apt-get') || process.getuid?.() !== 0)
    throw new Error(
      `The tests need ${names}. Install from your system's packages (on Debian: apt-get install ${missing.join(' ')}); another Chromium is named with CHROMIUM=/path/to/chromium.`,
    )
  await step(`Installing ${names} from Debian’s packages …`, async () => {
    await run('apt-get', ['update', '-qq'])
    await run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', ...missing], {
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    })
  })
}
