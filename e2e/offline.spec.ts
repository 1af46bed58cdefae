import type { Page } from '@playwright/test'
import { begin, countDrops, dissolving, expect, openPrepNamed, station, test, tickNext } from './bench'
import { ONE, pdfOf } from './pdf'

test.use({ apart: true })

/** Until the whole app is kept on this device. */
async function appCached(page: Page): Promise<void> {
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null)
  await page.getByRole('link', { name: /all saved/ }).click()
  await expect(page.getByText('saved: it opens without the server')).toBeVisible()
}

/** A picture as a camera gives it: on its side, with the place it was taken at. */
async function cameraPicture(page: Page): Promise<Buffer> {
  const base64 = await page.evaluate(() => {
    const canvas = document.createElement('canvas')
    canvas.width = 2400
    canvas.height = 1200
    const pen = canvas.getContext('2d')
    if (!pen) return ''
    pen.fillStyle = '#c9a520'
    pen.fillRect(0, 0, 1200, 1200)
    return canvas.toDataURL('image/jpeg').split(',')[1] ?? ''
  })
  const jpeg = Buffer.from(base64, 'base64')
  // Orientation 6: turned by a quarter. GPS follows as text that must not be kept.
  const tiff = Buffer.from(
    '4d4d002a000000080001011200030000000100060000000000004750532035322e312c2031302e35',
    'hex',
  )
  const body = Buffer.concat([Buffer.from('Exif\0\0'), tiff])
  const head = Buffer.from([0xff, 0xe1, 0, body.length + 2])
  return Buffer.concat([jpeg.subarray(0, 2), head, body, jpeg.subarray(2)])
}

test('with the server gone: a whole dissolving, a reload, a photograph and a PDF; then it all arrives, once', async ({
  page,
  own,
}) => {
  await begin(page, own, 'adipic acid', '0.1204')
  await page.getByLabel('volume to use, mL').fill('0.50')
  await page.getByRole('button', { name: 'Use this plan' }).click()
  await expect(page.getByRole('link', { name: 'Go on to dissolve' })).toBeVisible()
  await expect(page.getByText('all saved')).toBeVisible()
  const address = page.url().replace(/\/plan$/, '/dissolve')
  await appCached(page)
  const acknowledged = (await own.entries()).length
  await own.kill()

  await page.goto(address)
  await expect(page.getByText('You are working on the copy on this device')).toBeVisible()
  await tickNext(page)
  await tickNext(page)
  await countDrops(page, '25')
  const { portions, did } = dissolving(page)
  await portions.getByRole('button', { name: '+ 2 drops' }).click()
  await did.getByRole('button', { name: 'less solid' }).click()
  await portions.getByRole('button', { name: '+ 5 drops' }).click()
  await did.getByRole('button', { name: 'all dissolved' }).click()
  await expect(page.getByText('All dissolved.')).toBeVisible()

  // The picture is turned upright, and nothing of its file is kept but what is to be seen.
  await page.getByLabel('A photograph').setInputFiles({
    name: 'camera.jpg',
    mimeType: 'image/jpeg',
    buffer: await cameraPicture(page),
  })
  const taken = page.getByRole('form', { name: 'The photograph just taken' })
  await taken.getByLabel('What does it show').fill('clear, at the boil')
  await taken.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByRole('img', { name: 'clear, at the boil' })).toBeVisible()

  await page.reload()
  await expect(page.getByRole('img', { name: 'clear, at the boil' })).toBeVisible()
  await expect(page.getByText('All dissolved.')).toBeVisible()
  await expect(page.getByText(/offline: \d+ entries saved on this device/)).toBeVisible()
  await station(page, 'Page')
  const pdf = await pdfOf(page, ONE)
  expect(pdf.text).toContain('0.1204 g')
  // A place that was never opened opens all the same.
  await page.getByRole('link', { name: 'Practice' }).click()
  await expect(page.getByRole('heading', { name: 'Practice', exact: true })).toBeVisible()

  await own.start()
  await expect(page.getByText('all saved')).toBeVisible()
  const after = await own.entries()
  expect(after.length).toBeGreaterThan(acknowledged + 7)
  expect(new Set(after.map(({ entry }) => entry.id)).size).toBe(after.length)
  const line = after.find(({ entry }) => entry.kind === 'photographed')?.entry
  const { sha256, widthPx, heightPx } = line?.body as { sha256: string; widthPx: number; heightPx: number }
  expect([widthPx, heightPx]).toEqual([800, 1600])
  const picture = await page.request.get(`${own.origin}/api/photographs/${sha256}`)
  expect(picture.status()).toBe(200)
  expect((await picture.body()).includes('GPS 52.1')).toBe(false)
})

test('another ledger at the same address is told, and gets nothing; its own back, all is sent', async ({
  page,
  demo,
}) => {
  await page.goto(demo.url)
  await openPrepNamed(page, 'Benzil, from benzoin')
  await station(page, 'Weigh')
  await expect(page.getByText('all saved')).toBeVisible()
  // The station’s own script is here before the server goes.
  await expect(page.getByLabel('What do you see?')).toBeVisible()
  const first = await demo.moveTo()
  await expect(page.getByRole('alert', { name: 'Another ledger' })).toBeVisible()
  await page.getByLabel('What do you see?').fill('written meanwhile')
  await page.getByRole('button', { name: 'Write it down' }).click()
  await expect(page.getByText('written meanwhile')).toBeVisible()
  await expect(page.getByText('offline: 1 entry saved on this device')).toBeVisible()
  await demo.moveTo(first)
  await expect(page.getByText('all saved')).toBeVisible()
  await expect(page.getByRole('alert', { name: 'Another ledger' })).toBeHidden()
  const texts = (await demo.entries()).map(({ entry }) => entry.body['text'])
  expect(texts.filter((text) => text === 'written meanwhile')).toHaveLength(1)
})

test('This notebook says what is kept where; a backup goes out, and in again with a look', async ({
  page,
  demo,
  own,
}) => {
  await page.goto(`${demo.url}/this-notebook`)
  const lines = (await demo.entries()).length
  await expect(page.getByRole('table', { name: 'On the server' })).toContainText(
    `Entries of this notebook${lines}`,
  )
  await expect(page.getByRole('table', { name: 'On this device' })).toContainText(
    'Not yet sent to the servernothing',
  )
  const saved = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save a backup' }).click()
  const zip = await (await saved).path()
  await page.goto(`${own.url}/this-notebook`)
  await page.getByLabel('Backup file').setInputFiles({
    name: 'notes.zip',
    mimeType: 'application/zip',
    buffer: Buffer.from('no zip'),
  })
  await expect(
    page.getByText('This file cannot be unpacked. It is not a zip file, or it is damaged.'),
  ).toBeVisible()
  await page.getByLabel('Backup file').setInputFiles(zip)
  const look = page.getByRole('region', { name: 'What the backup holds' })
  await expect(look).toContainText(`${lines} of ${lines} entries new; 1 of 1 photographs new`)
  await look.getByRole('button', { name: 'Bring it back' }).click()
  await expect(page.getByText('Restored:')).toBeVisible()
  await page.getByRole('button', { name: /^Open “/ }).click()
  const preps = page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: 'Preps' })
  await expect(preps).toHaveAttribute('href', `/n/${demo.notebook}/preps`)
  await preps.click()
  await expect(page.getByRole('link', { name: 'Benzil, from benzoin' })).toBeVisible()
})
