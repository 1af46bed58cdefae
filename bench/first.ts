import { readFileSync, statSync, existsSync } from 'node:fs'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'
import type { BrowserContext, Page } from '@playwright/test'
import { PROJECT } from '../server/src/paths'
import { withServer } from './page'
import { median, type Row } from './table'

const ROUNDS = 5
/** A busy telephone on a weak network, as the browser’s own protocol makes them. */
const SLOWER = 4
const NETWORK = {
  offline: false,
  latency: 150,
  downloadThroughput: 200_000,
  uploadThroughput: 90_000,
}
/** The clock that matters most, or what the hands are at: the first thing of the card “now”. */
const CARD = 'section[aria-label="Now"] h2'

interface Seen {
  /** From the address to the frame in which the card stands, ms. */
  readonly cardMs: number
  /** From the first press, made as soon as the card stands, to the frame that answers it, ms. */
  readonly pressMs: number
  /** Files of script asked for up to the card, and until nothing more of Today comes. */
  readonly toCard: readonly string[]
  readonly all: readonly string[]
  readonly css: readonly string[]
}

/** What the first screen loads and how long it takes, counted as a browser sees it. */
export function measureFirst(): Promise<Row[]> {
  return withServer(['--demo'], async (browser, at) => {
    const first: Seen[] = []
    const second: Seen[] = []
    for (let round = 0; round < ROUNDS; round++) {
      const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
      first.push(await visit(context, at))
      // The service worker has taken everything in by then.
      const page = await context.newPage()
      await page.goto(at)
      await page.evaluate(() => navigator.serviceWorker.ready)
      await page.waitForTimeout(4000)
      await page.close()
      second.push(await visit(context, at))
      await context.close()
    }
    // What is pressed opens another place: what Today itself takes is counted on a visit that presses nothing.
    const looked = await browser.newContext({ viewport: { width: 1280, height: 800 } })
    const one = await visit(looked, at, false)
    await looked.close()
    return [
      size('script up to the card “now”', one.toCard, 'at most 120 kB'),
      size('script of all of Today', one.all, 'at most 180 kB in 25 files'),
      size('style of Today', one.css, 'at most 16 kB'),
      time('first visit: card painted', first, ({ cardMs }) => cardMs, '3.0 s'),
      time('first visit: first press answered', first, ({ pressMs }) => pressMs, '0.8 s'),
      time('second visit: card painted', second, ({ cardMs }) => cardMs, '3.0 s'),
      time('second visit: first press answered', second, ({ pressMs }) => pressMs, '0.8 s'),
    ]
  })
}

async function visit(context: BrowserContext, at: string, isPressed = true): Promise<Seen> {
  const page = await context.newPage()
  const protocol = await context.newCDPSession(page)
  await protocol.send('Network.enable')
  await protocol.send('Network.emulateNetworkConditions', NETWORK)
  await protocol.send('Emulation.setCPUThrottlingRate', { rate: SLOWER })
  await page.addInitScript((card) => {
    new MutationObserver((_, observer) => {
      if (!document.querySelector(card)) return
      observer.disconnect()
      requestAnimationFrame(() => {
        requestAnimationFrame(() => {
          Object.assign(globalThis, { cardAt: performance.now() })
        })
      })
    }).observe(document, { childList: true, subtree: true })
  }, CARD)
  await page.goto(at, { waitUntil: 'commit' })
  await page.waitForFunction(() => 'cardAt' in globalThis)
  const pressMs = isPressed ? await firstPress(page) : NaN
  const cardMs = await page.evaluate(() => (globalThis as unknown as { cardAt: number }).cardAt)
  const asked = await page.evaluate(async () => {
    let before = -1
    const entries = () =>
      (performance.getEntriesByType('resource') as PerformanceResourceTiming[]).filter(({ name }) =>
        /\.(js|css)$/.test(name),
      )
    // What comes after a quiet second is for other places.
    while (entries().length !== before) {
      before = entries().length
      await new Promise((resolve) => setTimeout(resolve, 900))
    }
    return entries().map(({ name, startTime }) => ({ path: new URL(name).pathname, startTime }))
  })
  await page.close()
  const scripts = asked.filter(({ path }) => path.endsWith('.js') && !/worker|sw\.js/.test(path))
  return {
    cardMs,
    pressMs,
    toCard: scripts.filter(({ startTime }) => startTime < cardMs).map(({ path }) => path),
    all: scripts.map(({ path }) => path),
    css: asked.filter(({ path }) => path.endsWith('.css')).map(({ path }) => path),
  }
}

/** “Start the first” of the card: how long until the frame in which the work begun stands there, or its place opens. */
function firstPress(page: Page): Promise<number> {
  return page.evaluate(
    (card) =>
      new Promise<number>((resolve) => {
        const from = performance.now()
        const before = `${location.pathname} ${document.querySelector(card)?.textContent ?? ''}`
        const look = () => {
          if (`${location.pathname} ${document.querySelector(card)?.textContent ?? ''}` === before)
            requestAnimationFrame(look)
          else resolve(performance.now() - from)
        }
        document.querySelector<HTMLButtonElement>('section[aria-label="Now"] .btn-primary')?.click()
        requestAnimationFrame(look)
      }),
    CARD,
  )
}

function size(what: string, paths: readonly string[], aim: string): Row {
  if (process.env['IVORY_FILES']) for (const p of paths) process.stdout.write(`${gz(p)} ${p}\n`)
  const kB = paths.reduce((sum, path) => sum + gz(path), 0) / 1000
  return { what, ours: `${kB.toFixed(0)} kB in ${paths.length}`, bare: '', ratio: '', aim }
}

function gz(path: string): number {
  const file = join(PROJECT, 'web/dist', path)
  return existsSync(file) && statSync(file).isFile() ? gzipSync(readFileSync(file)).length : 0
}

function time(what: string, seen: readonly Seen[], of: (seen: Seen) => number, aim: string): Row {
  return { what, ours: `${(median(seen.map(of)) / 1000).toFixed(2)} s`, bare: '', ratio: '', aim }
}
