import { readFileSync } from 'node:fs'
import { expect, test } from './bench'

test.use({ apart: true })

test('the shelf takes a file in with a look first, a change as a new version, a house procedure', async ({
  page,
  own,
}) => {
  await page.goto(`${own.url}/shelf`)
  await page.getByLabel('Search the shelf').fill('94 to 97')
  await expect(page.getByText(/melting between 94 and 97 °C/)).toBeVisible()
  await page.getByRole('region', { name: 'Compounds' }).getByText('benzil', { exact: true }).click()
  await expect(page.getByRole('img', { name: 'Structure of benzil' })).toBeVisible()

  // A value of the lab's own: a new version, with its source; the old one stays on record.
  await page.getByRole('button', { name: 'Change these values' }).click()
  const form = page.getByRole('form', { name: 'Change benzil' })
  await form.getByLabel('melts from, °C').fill('97')
  await form.getByLabel('source of these values').fill('our handbook, 3rd edition')
  await form.getByRole('button', { name: 'Save as a new version' }).click()
  await expect(page.getByRole('alert')).toContainText('meltHighC')
  await form.getByLabel('melts from, °C').fill('94.5')
  await form.getByRole('button', { name: 'Save as a new version' }).click()
  await expect(page.getByText('94.5 to 96.0 °C')).toBeVisible()
  await page.getByRole('button', { name: 'Earlier versions' }).click()
  await expect(page.getByText(/version 2, this bench, .*our handbook, 3rd edition/)).toBeVisible()

  // A CSV with good rows, a bad structure and a range upside down.
  const rows = [
    'name,smiles,meltLowC,meltHighC,colour,mood,source',
    'bench solid one,CCCCCCCCCCCCCCCC(=O)O,62,63,white,calm,bench 7',
    'bench solid two,C1CC(,50,51,white,calm,bench 7',
    'bench solid three,CCCCCCCCCCCCCCCCCC(=O)O,70,69,white,calm,bench 7',
  ].join('\n')
  await page.getByLabel('Search the shelf').fill('')
  await page
    .getByLabel('File of compound rows')
    .setInputFiles({ name: 'ours.csv', mimeType: 'text/csv', buffer: Buffer.from(rows) })
  const dialog = page.getByRole('dialog')
  await expect(
    dialog.getByText('1 new, 0 would change, as new versions, 0 as they are, 2 refused.'),
  ).toBeVisible()
  await expect(dialog.getByText('Ignored the columns mood')).toBeVisible()
  await expect(dialog.getByRole('row', { name: /^2 .*cannot be read as a structure/ })).toBeVisible()
  await dialog.getByRole('button', { name: 'Put 1 on the shelf' }).click()
  await expect(dialog.getByRole('heading', { name: 'On the shelf', exact: true })).toBeVisible()
  await dialog.getByRole('button', { name: 'Close' }).last().click()
  await page.getByLabel('Search the shelf').fill('bench solid')
  await expect(page.getByText('1 of 207')).toBeVisible()
  const waiting = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Export CSV' }).click()
  const csv = readFileSync(await (await waiting).path(), 'utf8')
  expect(csv.split('\n')[0]).toContain('meltLowC,meltHighC')
  expect(csv).toContain('bench solid one')
  expect(csv.trim().split('\n')).toHaveLength(208)

  // Points typed with the curve beside them; a unit mixed up is seen.
  await page.getByRole('button', { name: 'solubilities', exact: true }).click()
  await page.getByRole('button', { name: 'Add points' }).click()
  await page.getByLabel('compound', { exact: true }).fill('benzil')
  await page.getByLabel('solvent', { exact: true }).selectOption('ethanol-95')
  const points = page.getByRole('form', { name: 'Solubility points' })
  for (const [i, [c, s]] of [
    ['20', '1.9'],
    ['50', '87'],
    ['78', '46'],
  ].entries()) {
    if (i > 0) await points.getByRole('button', { name: 'Add a point' }).click()
    await points
      .getByLabel(/temperature, °C$/)
      .nth(i)
      .fill(c as string)
    await points
      .getByLabel(/g per 100 mL$/)
      .nth(i)
      .fill(s as string)
  }
  await expect(points.getByText('Then it is 8.7 g per 100 mL')).toBeVisible()
  await points
    .getByLabel(/g per 100 mL$/)
    .nth(1)
    .fill('8.7')
  await points.getByLabel('source of these points').fill('measured at bench 7 (sample data)')
  await points.getByRole('button', { name: 'Save these points' }).click()
  await expect(page.getByRole('heading', { name: 'benzil in ethanol 95%' })).toBeVisible()

  // A shipped procedure is copied, edited, refused for a brace nobody knows, saved, and used in a plan.
  await page.getByRole('button', { name: 'procedures', exact: true }).click()
  await page.getByRole('button', { name: 'Small flask and suction funnel' }).click()
  await page.getByRole('button', { name: 'Copy as house procedure' }).click()
  await page.getByLabel('name', { exact: true }).fill('Saltmarsh funnel')
  await page
    .getByLabel('what is done in step 3', { exact: true })
    .fill('Put {crude} of crude and {moonshine} together.')
  await page.getByRole('button', { name: 'Save this house procedure' }).click()
  await expect(page.getByRole('alert')).toContainText('{moonshine} is no amount the app knows')
  await page
    .getByLabel('what is done in step 3', { exact: true })
    .fill('Put {crude} of crude into {vessel}, our way.')
  await page.getByRole('button', { name: 'Save this house procedure' }).click()
  await expect(page.getByRole('heading', { name: 'Saltmarsh funnel' })).toBeVisible()
  await page.goto(`${own.url}/preps`)
  await page.getByLabel('compound to purify').fill('benzil')
  await page.getByRole('button', { name: 'Begin this prep' }).click()
  await page.getByLabel('net mass of the crude, g').fill('1.000')
  await page.getByRole('button', { name: 'Record 1.000 g' }).click()
  await page.getByRole('button', { name: 'Procedure', exact: true }).click()
  await page.getByLabel('Saltmarsh funnel (house procedure)').check()
  await expect(page.getByText('Put 0.975 g of crude into a 10 mL Erlenmeyer flask, our way.')).toBeVisible()
  await page.getByRole('link', { name: 'How this is worked out: plan' }).click()
  await expect(
    page.getByRole('heading', { name: 'How much solvent, and how much crystallizes' }),
  ).toBeInViewport()
})
