import { cell, expect, rampDemo, station, temperature, test, openPrepNamed } from './bench'

test.use({ apart: true })

test('killed in mid-melt, the server starts again: nothing acknowledged is gone, the run goes on, marks arrive once', async ({
  page,
  demo,
}) => {
  await rampDemo(page, demo)
  const before = await demo.pass(90)
  await expect(temperature(page)).toContainText(before.probe.text)
  await page.keyboard.press('q')
  await expect(page.getByText('all saved')).toBeVisible()
  const acknowledged = await demo.entries()

  await demo.kill()
  await expect(page.getByText(/offline/)).toBeVisible()
  await page.keyboard.press('a')
  await expect(cell(page, 'first liquid', 1)).toContainText(before.probe.text)
  await expect(page.getByText('offline: 1 entry saved on this device')).toBeVisible()

  await demo.start()
  await expect(page.getByText('all saved')).toBeVisible()
  const after = await demo.entries()
  const ids = after.map((line) => line.entry.id)
  expect(ids.slice(0, acknowledged.length)).toEqual(acknowledged.map((line) => line.entry.id))
  expect(new Set(ids).size).toBe(ids.length)
  const firstLiquid = after.filter(
    (line) => line.entry.body['moment'] === 'first liquid' && line.entry.body['lastSample'] === before.sample,
  )
  expect(firstLiquid).toHaveLength(1)

  const next = await demo.pass(1)
  expect(next.sample).toBe(before.sample + 1)
  expect(next.phase).toBe('ramping')
  expect(Math.abs(next.probe.value - before.probe.value)).toBeLessThan(0.3)
  await expect(temperature(page)).toContainText(next.probe.text)
})

test('marks made offline stand at once, survive a closed page, and arrive once', async ({
  page,
  context,
  demo,
}) => {
  await rampDemo(page, demo)
  const reading = await demo.pass(120)
  await expect(temperature(page)).toContainText(reading.probe.text)
  await context.setOffline(true)
  await page.keyboard.press('q')
  await page.keyboard.press('w')
  await expect(cell(page, 'early sign', 2)).toContainText(reading.probe.text)
  const address = page.url()
  await expect(page.getByText(/saved on this device|not yet sent/)).toBeVisible()
  const marks = async () =>
    (await demo.entries()).filter(
      (line) =>
        line.entry.body['moment'] === 'early sign' && line.entry.body['lastSample'] === reading.sample,
    )
  expect(await marks()).toHaveLength(0)
  await page.close()
  await context.setOffline(false)
  const again = await context.newPage()
  await again.goto(address)
  await expect(again.getByText('all saved')).toBeVisible()
  await expect(cell(again, 'early sign', 1)).toContainText(reading.probe.text)
  expect(await marks()).toHaveLength(2)
})

test('a struck reading stays visible, and what rested on it says so', async ({ page, demo }) => {
  await page.goto(demo.url)
  await openPrepNamed(page, 'Benzil, from benzoin')
  await station(page, 'Weigh')
  await page.getByRole('button', { name: 'strike out this reading' }).nth(1).click()
  await station(page, 'Plan')
  // The station before stands until the chunk of this one is there.
  await expect(page.getByRole('heading', { name: 'First, the mass of the crude' })).toBeVisible()
  await page.getByLabel('net mass of the crude, g').fill('1.304')
  await page.getByRole('button', { name: 'Record 1.304 g' }).click()
  await expect(page.getByRole('alert')).toContainText('The weighing of this plan was struck out')
  await station(page, 'Weigh')
  await expect(page.getByRole('alert').first()).toContainText('106.7 % is more than went in')
  await station(page, 'Page')
  await expect(page.getByText('Weighed 1.804 g, tared.')).toHaveClass(/struck/)
})

test('a whole notebook goes out as a file and comes into an empty ledger', async ({ page, demo, own }) => {
  await page.goto(demo.url)
  await page.getByRole('link', { name: 'Preps' }).click()
  const download = page.waitForEvent('download')
  await page.getByRole('link', { name: 'Export its entries' }).click()
  const path = await (await download).path()
  await page.goto(own.url)
  await page.getByRole('link', { name: 'Preps' }).click()
  await page.getByLabel('Notebook file').setInputFiles(path)
  await page.getByRole('button', { name: /^Take \d+ (entry|entries) in$/ }).click()
  await expect(
    page.getByText(
      new RegExp(`${(await demo.entries()).length} entries saved, 0 were here already, 0 refused`),
    ),
  ).toBeVisible()
  await page.getByRole('button', { name: 'Open it' }).click()
  await expect(page.getByRole('link', { name: 'Adipic acid, small batch' })).toBeVisible()
  await openPrepNamed(page, 'Benzil, from benzoin')
  await expect(page.getByTestId('recovery')).toHaveText('77.13 ± 0.04 %')
  await page.getByRole('link', { name: 'Preps' }).click()
  await page
    .getByLabel('Notebook file')
    .setInputFiles({ name: 'notes.json', mimeType: 'application/json', buffer: Buffer.from('not json') })
  await expect(page.getByText('notes.json is neither a zip nor a JSON file')).toBeVisible()
})
