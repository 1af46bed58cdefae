import type { Page } from '@playwright/test'
import { framesWhile, withDemoPage } from './page'
import type { Row } from './table'

const HOUR_S = 3600
const HOURS = 10
const MEASURED_S = 60

/** Frames while a melt of three tubes is watched with an hour of readings behind it, and the heap over ten hours of them. */
export function measureWatch(): Promise<Row[]> {
  return withDemoPage(async (page, at) => {
    const pass = async (seconds: number) => {
      for (let left = seconds; left > 0; left -= HOUR_S)
        await fetch(`${at}/api/instruments/programmable-block/advance`, {
          method: 'POST',
          headers: { 'Content-Type': 'application/json' },
          body: JSON.stringify({ seconds: Math.min(HOUR_S, left) }),
        })
    }
    await beginWatching(page, at)
    await pass(HOUR_S)
    await page.waitForTimeout(3000)
    const frames = await framesWhile(page, async () => {
      for (let s = 0; s < MEASURED_S; s++) {
        await pass(1)
        await page.waitForTimeout(200)
      }
    })
    const idle = await framesWhile(page, () => page.waitForTimeout(6000))
    const before = await heapMB(page)
    for (let hour = 1; hour < HOURS; hour++) {
      await pass(HOUR_S)
      await page.waitForTimeout(2500)
    }
    const after = await heapMB(page)
    return [
      {
        what: 'watching three tubes, an hour of readings behind: frame, p95 (bare: the page at rest)',
        ours: `${frames.toFixed(1)} ms`,
        bare: `${idle.toFixed(1)} ms`,
        ratio: `× ${(frames / idle).toFixed(2)}`,
        aim: 'reported',
      },
      {
        what: `heap after 1 and ${HOURS} hours of readings`,
        ours: `${after.toFixed(1)} MB`,
        bare: `${before.toFixed(1)} MB`,
        ratio: `× ${(after / before).toFixed(2)}`,
        aim: 'flat but for the readings',
      },
    ]
  })
}

/** Frames while three tubes melt under the lens, a reading a second as they come, until all of them are clear. */
export function measureLens(): Promise<Row[]> {
  return withDemoPage(async (page, at) => {
    const pass = async (body: object) => {
      const answer = await fetch(`${at}/api/instruments/programmable-block/advance`, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify(body),
      })
      return (await answer.json()) as { reading?: { phase: string; tubes: { look: string }[] } }
    }
    await beginWatching(page, at)
    for (let s = 0; s < HOUR_S; s += 20) if ((await pass({ seconds: 20 })).reading?.phase === 'holding') break
    await page.getByRole('button', { name: 'Tubes are in' }).click()
    const idle = await framesWhile(page, () => page.waitForTimeout(6000))
    const isSeen = (looks: readonly { look: string }[] = []) => looks.some(({ look }) => look !== 'powder')
    for (let s = 0; s < HOUR_S; s += STEP_S)
      if (isSeen((await pass({ seconds: STEP_S })).reading?.tubes)) break
    const frames = await framesWhile(page, async () => {
      for (let reading = 0; reading < READINGS_MOST; reading++) {
        const { reading: last } = await pass({ seconds: STEP_S })
        // A reading comes once a second, as it does in a run.
        await page.waitForTimeout(1000)
        if (last?.tubes.every(({ look }) => look === 'clear')) break
      }
    })
    return [
      {
        what: 'three tubes melting under the lens: frame, p95 (bare: the page at rest)',
        ours: `${frames.toFixed(1)} ms`,
        bare: `${idle.toFixed(1)} ms`,
        ratio: `× ${(frames / idle).toFixed(2)}`,
        aim: '16.7 ms',
      },
    ]
  })
}
const STEP_S = 8
const READINGS_MOST = 200

async function beginWatching(page: Page, at: string): Promise<void> {
  await page.goto(at)
  await page.getByRole('link', { name: 'Benzil, from benzoin' }).click()
  await page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: 'Melt' }).click()
  await page.getByLabel('sample in slot 3').selectOption('Authentic benzil')
  await page.getByRole('button', { name: 'Plan this melt' }).click()
  await page.getByRole('button', { name: /^Start the simulated/ }).click()
  // It goes up at once.
  await page.waitForTimeout(1500)
}

function heapMB(page: Page): Promise<number> {
  return page.evaluate(() => {
    const { gc } = globalThis as unknown as { gc?: () => void }
    gc?.()
    const { memory } = performance as unknown as { memory?: { usedJSHeapSize: number } }
    return (memory?.usedJSHeapSize ?? NaN) / 1e6
  })
}
