import { readFile } from 'node:fs/promises'
import { expect, test } from './bench'

test('a notebook goes out as a zip and comes in on another server, the very same', async ({
  page,
  demo,
  own,
}) => {
  await page.goto(`${demo.url}/preps`)
  const saved = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Export as a zip' }).click()
  const zip = await saved
  expect(zip.suggestedFilename()).toMatch(/\.zip$/)
  expect((await readFile(await zip.path())).subarray(0, 2).toString()).toBe('PK')
  await expect(page.getByText(/^Packed: \d+ kB/)).toBeVisible()

  await page.goto(`${own.url}/preps`)
  await page.getByLabel('Notebook file').setInputFiles(await zip.path())
  const look = page.getByRole('region', { name: 'What the file holds' })
  const written = await demo.entries()
  await expect(look).toContainText(
    `which is not here yet: ${written.length} entries, of which 0 are here already`,
  )
  await look.getByRole('button', { name: `Take ${written.length} entries in` }).click()
  await page.getByRole('button', { name: 'Open it' }).click()
  await expect(page.getByRole('link', { name: 'Benzil, from benzoin' })).toBeVisible()
  const came = (await (
    await page.request.get(`${own.origin}/api/notebooks/${demo.notebook}/entries`)
  ).json()) as { entries: { entry: unknown }[] }
  expect(came.entries.map(({ entry }) => entry)).toEqual(written.map(({ entry }) => entry))

  // A second time nothing in it is new.
  await page.goto(`${own.origin}/n/${demo.notebook}/preps`)
  await page.getByLabel('Notebook file').setInputFiles(await zip.path())
  await expect(look.getByRole('button', { name: 'Nothing in it is new' })).toBeDisabled()
})
