/** Everything that must hold: types, lint, import rules, unused code, unit tests, browser tests. */
import { existsSync } from 'node:fs'
import { build } from './build-parts.mjs'
import { bin, install, main, node, run, say, step } from './run.mjs'

const SOURCES = ['core/src', 'server/src', 'web/src']
const CHROMIUM = process.env.CHROMIUM ?? '/usr/bin/chromium'

main(async () => {
  await install()
  await systemPackages()
  // Two at a time: what reads types beside what reads text.
  await step('Types, import rules, unused code, lint and format …', () =>
    Promise.all([
      bin('typescript', '-p', 'core/tsconfig.json')
        .then(() => bin('typescript', '-p', 'tsconfig.json'))
        .then(() => bin('dependency-cruiser', '--config', '.dependency-cruiser.cjs', ...SOURCES))
        .then(() => bin('knip')),
      bin('eslint', '.', '--max-warnings', '0').then(() =>
        bin('prettier', '--check', '.', '--log-level', 'warn'),
      ),
    ]),
  )
  await build()
  await step('Unit tests …', () =>
    node('--experimental-vm-modules', '--no-warnings', 'node_modules/jest/bin/jest.js'),
  )
  await step('Browser tests …', () => bin('@playwright/test', 'test'))
  await step('Torture, a quick round …', () => node('scripts/torture.mjs'))
  say('All of it holds.')
})

/** What the browser tests need of the system: a browser, and what opens a PDF as others would. */
async function systemPackages() {
  const missing = [
    ...(existsSync(CHROMIUM) ? [] : ['chromium']),
    ...(existsSync('/usr/bin/pdftotext') ? [] : ['poppler-utils']),
  ]
  if (missing.length === 0) return
  const names = missing.join(' and ')
  if (process.platform !== 'linux' || !existsSync('/usr/bin/apt-get') || process.getuid?.() !== 0)
    throw new Error(
      `The browser tests need ${names}. Install from your system's packages (on Debian: apt-get install ${missing.join(' ')}); another Chromium is named with CHROMIUM=/path/to/chromium.`,
    )
  await step(`Installing ${names} from Debian’s packages …`, async () => {
    await run('apt-get', ['update', '-qq'])
    await run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', ...missing], {
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    })
  })
}
