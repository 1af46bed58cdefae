import { spawn } from 'node:child_process'
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { type Browser, chromium, type Page } from '@playwright/test'
import { CHROMIUM } from '../scripts/browser.mjs'
import { freePort } from '../scripts/free-port.mjs'
import { PROJECT } from '../server/src/paths'

type Work<T> = (page: Page, at: string) => Promise<T>
/** Opens the demo notebook of a real server in a real browser, its instruments standing still until told. */
export const withDemoPage = <T>(work: Work<T>) => withPage(['--demo'], work)
/** Opens an empty notebook in the same way. */
export const withOwnPage = <T>(work: Work<T>) => withPage([], work)

const withPage = <T>(options: readonly string[], work: Work<T>) =>
  withServer(options, async (browser, at) =>
    work(await browser.newPage({ viewport: { width: 1280, height: 800 } }), at),
  )

/** A real server on a folder of its own, and a browser. */
export async function withServer<T>(
  options: readonly string[],
  work: (browser: Browser, at: string) => Promise<T>,
): Promise<T> {
  const folder = await mkdtemp(join(tmpdir(), 'ivory-bench-'))
  const port = await freePort()
  const at = `http://127.0.0.1:${port}`
  const child = spawn(process.execPath, [join(PROJECT, 'server/dist/main.js'), ...options], {
    env: {
      ...process.env,
      PORT: String(port),
      IVORY_CRYSTAL_DATA: folder,
      IVORY_CRYSTAL_TEST: 'advance by hand',
    },
    stdio: ['ignore', 'pipe', 'ignore'],
  })
  await new Promise<void>((resolve) => {
    child.stdout.on('data', (text: Buffer) => {
      if (text.toString().includes('http://')) resolve()
    })
  })
  const browser = await chromium.launch({
    ...CHROMIUM,
    args: [...CHROMIUM.args, '--enable-precise-memory-info', '--js-flags=--expose-gc'],
  })
  try {
    return await work(browser, at)
  } finally {
    await browser.close()
    child.kill('SIGKILL')
    await rm(folder, { recursive: true, force: true })
  }
}

/** The 95th percentile of the time between frames, as the page itself saw it, ms. */
export async function framesWhile(page: Page, work: () => Promise<unknown>): Promise<number> {
  await page.evaluate(() => {
    const frames: number[] = []
    const state = { kept: frames, on: true }
    ;(globalThis as unknown as { frames: typeof state }).frames = state
    let last = performance.now()
    const next = (now: number) => {
      frames.push(now - last)
      last = now
      if (state.on) requestAnimationFrame(next)
    }
    requestAnimationFrame(next)
  })
  await work()
  const frames = await page.evaluate(() => {
    const { frames } = globalThis as unknown as { frames: { kept: number[]; on: boolean } }
    frames.on = false
    return frames.kept
  })
  const sorted = frames.sort((p, q) => p - q)
  return sorted[Math.floor(sorted.length * 0.95)] ?? NaN
}
