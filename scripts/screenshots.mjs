/** Takes one picture of each main view from the demo notebook into docs/screenshots (or the folder named). */
import { spawn } from 'node:child_process'
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium } from '@playwright/test'
import { CHROMIUM } from './browser.mjs'

const root = join(import.meta.dirname, '..')
const out = process.argv[2] ?? join(root, 'docs', 'screenshots')
const PORT = 4398
const data = mkdtempSync(join(tmpdir(), 'ivory-shots-'))
mkdirSync(out, { recursive: true })
const server = spawn(process.execPath, [join(root, 'server/dist/main.js'), '--demo'], {
  env: {
    ...process.env,
    PORT: String(PORT),
    IVORY_CRYSTAL_DATA: data,
    IVORY_CRYSTAL_TEST: 'advance by hand',
  },
  stdio: ['ignore', 'pipe', 'inherit'],
})
await new Promise((resolve) => {
  server.stdout.on('data', (text) => String(text).includes('http://') && resolve())
})

const at = `http://127.0.0.1:${PORT}`
const browser = await chromium.launch(CHROMIUM)
try {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  const shot = async (name, options = {}) => {
    await page.evaluate(() => document.fonts.ready)
    await page.waitForTimeout(400)
    await page.screenshot({ path: join(out, `${name}.png`), ...options })
  }
  await page.goto(at)
  await page.getByRole('heading', { name: 'Next at the bench' }).waitFor()
  await page.getByRole('heading', { name: /^Finished by/ }).waitFor()
  await page
    .getByRole('region', { name: 'If you run late' })
    .getByText(/by \d\d:\d\d/)
    .first()
    .waitFor()
  await page.waitForTimeout(3000)
  await shot('today')
  await page.getByRole('link', { name: 'Adipic acid, small batch' }).click()
  await page.getByRole('heading', { name: 'Take care' }).waitFor()
  const station = async (name) => {
    await page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name }).click()
    await page.waitForURL(`**/${name.toLowerCase()}`)
    await page.waitForTimeout(500)
  }
  const part = async (name) => {
    await page.getByRole('button', { name, exact: true }).click()
    await page.waitForTimeout(300)
  }
  await station('Dissolve')
  await shot('dissolve')
  await page.getByRole('link', { name: 'Preps' }).click()
  await page.getByRole('heading', { name: 'Begin a prep' }).waitFor()
  await page.getByRole('link', { name: 'Benzil, from benzoin' }).click()
  await station('Plan')
  await shot('plan')
  await station('Judge')
  await shot('judge', { fullPage: true })
  await station('Weigh')
  await part('Account')
  await shot('account')
  await station('Plan')
  await station('Page')
  await shot('page', { fullPage: true })
  await station('Melt')
  await shot('melt')
  await page.getByRole('button', { name: 'Plan this melt' }).click()
  await page.getByRole('button', { name: 'Start the simulated programmable block' }).click()
  const pass = (seconds) =>
    page.request.post(`${at}/api/instruments/programmable-block/advance`, { data: { seconds } })
  await page.waitForTimeout(1500)
  await pass(280)
  await page.getByRole('button', { name: 'Tubes are in' }).click()
  await page.waitForTimeout(800)
  await page.waitForTimeout(300)
  await pass(100)
  await page.keyboard.press('q')
  await page.getByRole('button', { name: 'shrinks' }).click()
  await pass(120)
  await page.waitForTimeout(300)
  await page.keyboard.press('a')
  await pass(760)
  await page.waitForTimeout(300)
  await page.keyboard.press('w')
  await shot('watch')
  await page.getByRole('link', { name: 'Instruments' }).click()
  await page.getByText('fit its flame').waitFor()
  await page.waitForTimeout(600)
  await shot('instruments')
  await page.getByRole('link', { name: 'Dial block' }).click()
  await part('dial')
  await page.getByText(/Plans use this/).waitFor()
  await page.waitForTimeout(1500)
  await shot('dial', { fullPage: true })
  await page.getByRole('link', { name: 'rack and runs' }).click()
  await page.getByText(/No order is shorter/).waitFor()
  await shot('rack')
  await page.getByRole('link', { name: 'Unknowns' }).click()
  await page.getByRole('link', { name: 'K-9', exact: true }).click()
  for (const name of ['Candidates', 'Mixtures']) {
    await station(name)
    await page.waitForTimeout(600)
    await shot(name.toLowerCase())
  }
  await station('Plate')
  await page.getByRole('link', { name: /^In hexane/ }).click()
  await page.getByRole('heading', { name: 'What the plate shows' }).waitFor()
  await shot('plate')
  await page.getByRole('link', { name: 'Unknowns' }).click()
  await page.getByRole('link', { name: 'Shelf' }).click()
  await page.getByLabel('Search the shelf').fill('94 to 97')
  await page.getByRole('region', { name: 'Compounds' }).getByText('benzil', { exact: true }).click()
  await page.getByRole('img', { name: 'Structure of benzil' }).waitFor()
  await shot('shelf')
  await page.goto(`${page.url().split('/shelf')[0]}/this-notebook`)
  await page.getByText('Photographs taken here').waitFor()
  await page.getByRole('table', { name: 'On the server' }).waitFor()
  // The folder of the day means nothing to a reader: the picture names the demo’s own.
  await page
    .locator('code')
    .first()
    .evaluate((folder) => {
      folder.textContent = '…/ivory-crystal/demo-data'
    })
  await shot('this-notebook')
  await page.goto(`${at}/practice`)
  await page.waitForURL('**/n/*/practice')
  await page.getByRole('heading', { name: /^Your eye, over/ }).waitFor()
  await shot('practice')
  // One tube of three drops, the others not yet: then it is worth a picture.
  await page.goto(`${page.url()}/three-at-once?seed=17`)
  await page.getByRole('button', { name: '16 ×' }).click()
  await page
    .getByRole('img', { name: /tube \d: (drops|slush)/ })
    .first()
    .waitFor({ timeout: 180_000 })
  const seen = await page
    .getByRole('img', { name: /tube \d: (drops|slush)/ })
    .first()
    .getAttribute('aria-label')
  await page.keyboard.press('qwe'[Number(/tube (\d)/.exec(seen)?.[1] ?? 1) - 1])
  await page.keyboard.press('asd'[Number(/tube (\d)/.exec(seen)?.[1] ?? 1) - 1])
  await shot('practice-exercise')
  await page.keyboard.press('s')
  await page.getByRole('button', { name: 'I have seen enough' }).click()
  await page.getByRole('heading', { name: 'Not yet' }).waitFor()
  await shot('practice-answer')
} finally {
  await browser.close()
  server.kill()
  rmSync(data, { recursive: true, force: true })
}
