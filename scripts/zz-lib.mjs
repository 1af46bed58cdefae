import { spawn } from 'node:child_process'
import { mkdtempSync, mkdirSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium } from '@playwright/test'
import { CHROMIUM } from './browser.mjs'
export async function up(port = 4411, demo = true, more = {}) {
  const data = mkdtempSync(join(tmpdir(), 'zz-'))
  const server = spawn(
    process.execPath,
    [join(import.meta.dirname, '..', 'server/dist/main.js'), ...(demo ? ['--demo'] : [])],
    {
      env: {
        ...process.env,
        PORT: String(port),
        IVORY_CRYSTAL_DATA: data,
        IVORY_CRYSTAL_TEST: 'advance by hand',
        ...more,
      },
      stdio: ['ignore', 'pipe', 'inherit'],
    },
  )
  await new Promise((r) => server.stdout.on('data', (t) => String(t).includes('http://') && r()))
  const browser = await chromium.launch(CHROMIUM)
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, acceptDownloads: true })
  mkdirSync('/dev/shm/shots', { recursive: true })
  const shot = async (name, o = {}) => {
    await page.waitForTimeout(400)
    await page.screenshot({ path: `/dev/shm/shots/${name}.png`, ...o })
  }
  return {
    server,
    browser,
    page,
    shot,
    at: `http://127.0.0.1:${port}`,
    async down() {
      await browser.close()
      server.kill()
    },
  }
}
