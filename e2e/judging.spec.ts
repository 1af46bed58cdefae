import { join } from 'node:path'
import type { Page } from '@playwright/test'
import { chooseSample, expect, station, test, type Bench, openPrepNamed } from './bench'

const heading = (page: Page, name: string | RegExp) => page.getByRole('heading', { name }).first()

async function openPrep(page: Page, bench: Bench): Promise<void> {
  await page.goto(bench.url)
  await openPrepNamed(page, 'Benzil, from benzoin')
  await station(page, 'Judge')
  await heading(page, 'Consistent with pure benzil').waitFor()
}

/** Marks the instrument kept, copied in for tubes of the demo's prep. */
async function copyRange(page: Page, tubes: readonly [string, string, string][]): Promise<void> {
  await station(page, 'Melt')
  await heading(page, 'Melt again').waitFor()
  for (const n of [1, 2, 3])
    await chooseSample(page.getByLabel(`sample in slot ${n}`), tubes[n - 1]?.[0] ?? '')
  await page.getByRole('button', { name: 'Plan this melt' }).click()
  await page.getByText('Copy in marks saved by the instrument').click()
  for (const [i, [, onset, clear]] of tubes.entries()) {
    await page.getByLabel('onset, °C').nth(i).fill(onset)
    await page.getByLabel('clear point, °C').nth(i).fill(clear)
  }
  await page.getByRole('button', { name: 'Copy these marks' }).click()
  await heading(page, 'Melt again').waitFor()
  await station(page, 'Judge')
}

test('a sharp low range is seen as a possible eutectic, and the mixed melt that would settle it is set up', async ({
  page,
  demo,
}) => {
  await openPrep(page, demo)
  await copyRange(page, [['Benzil', '78.1', '79.4']])
  // An earlier tube read 17 °C higher: that comes before any word on the sample.
  await expect(heading(page, 'Cannot tell from this range')).toBeVisible()
  await expect(
    page.getByText(/One measurement would decide it: melt a new tube of it the same way/),
  ).toBeVisible()
  await expect(page.getByTestId('budget')).toContainText(
    /60 min in air are enough for a solvent that boils at 78 °C/,
  )
  await expect(page.getByText('Near the eutectic, 78.4 °C')).toBeVisible()
  await page.getByRole('button', { name: 'Pack them side by side' }).click()
  await page.getByLabel('weighed').check()
  await page.getByRole('button', { name: 'Pack 3 tubes and plan the run' }).click()
  await expect(page.getByRole('alert').filter({ hasText: 'The mass of the first part' })).toBeVisible()
  // What was signed before says otherwise, and that is told.
  await expect(page.getByText(/What was measured since gives “cannot tell”/)).toBeVisible()
  await page.getByLabel('Benzil, g', { exact: true }).fill('0.011')
  await page.getByLabel('authentic benzil, g').fill('0.009')
  await page.getByRole('button', { name: 'Pack 3 tubes and plan the run' }).click()
  await expect(page.getByLabel('sample in slot 3')).toHaveValue(/.+/)
  // It stands on the screen before the server has it.
  await expect
    .poll(async () => {
      const ground = (await demo.entries()).filter(({ entry }) => entry.kind === 'mixture ground').at(-1)
      return Number(ground?.entry.body['massFractionFirst']).toFixed(9)
    })
    .toBe('0.550000000')
})

test('beside authentic and mixture in one run the thermometer cancels, and identity is spoken for', async ({
  page,
  demo,
}) => {
  await openPrep(page, demo)
  await page.getByRole('button', { name: 'Make a mixed melt' }).click()
  await page.getByRole('button', { name: 'Pack 3 tubes and plan the run' }).click()
  await page.getByRole('button', { name: 'Plan this melt' }).click()
  await page.getByText('Copy in marks saved by the instrument').click()
  const ranges = [
    ['92.1', '93.2'],
    ['92.3', '93.5'],
    ['92.2', '93.4'],
  ]
  for (const [i, [onset = '', clear = '']] of ranges.entries()) {
    await page.getByLabel('onset, °C').nth(i).fill(onset)
    await page.getByLabel('clear point, °C').nth(i).fill(clear)
  }
  await page.getByRole('button', { name: 'Copy these marks' }).click()
  await heading(page, 'The result').waitFor()
  await page.getByRole('link', { name: 'Preps' }).click()
  await openPrepNamed(page, 'Benzil, from benzoin')
  await station(page, 'Judge')
  await expect(heading(page, 'Consistent with pure benzil')).toBeVisible()
  await expect(page.getByText('same run, so both share thermometer and heating')).toBeVisible()
  await expect(page.getByText('Mixed melt: one compound')).toBeVisible()
})

test('the phase map answers to the hand: a mixture of both melts below both', async ({ page, demo }) => {
  await openPrep(page, demo)
  const here = page.getByTestId('map-here')
  const map = page.getByRole('img', { name: /^Phase map of benzil and benzoin/ })
  await map.scrollIntoViewIfNeeded()
  const box = (await map.boundingBox()) ?? { x: 0, y: 0, width: 0, height: 0 }
  // The inner field runs from 44 px at the left to 34 px before the right edge.
  const at = (fraction: number) => box.x + 44 + fraction * (box.width - 78)
  await page.mouse.move(at(0.1), box.y + 150)
  await page.mouse.down()
  await page.mouse.move(at(0.32), box.y + 20, { steps: 5 })
  await expect(here).toContainText('100 % of it liquid')
  await page.mouse.move(at(0.32), box.y + 285, { steps: 5 })
  await page.mouse.up()
  await expect(here).toContainText('0 % of it liquid')
  await expect(page.getByText(/It begins 17\.\d °C below the lower-melting of the two/)).toBeVisible()
  await expect(page.getByRole('img', { name: /^This mixture: 78\.4 to 7[89]\.\d °C/ })).toBeVisible()
  await page.getByLabel('composition').fill('0')
  await expect(page.getByText('Pure benzil: it melts at one temperature.')).toBeVisible()
  await page.getByLabel('try another impurity').fill('adipic acid')
  await expect(page.getByRole('img', { name: /^Phase map of benzil and adipic acid/ })).toBeVisible()
})

test('a plate is measured by clicks, keys and on a photograph, and joins the judging', async ({
  page,
  demo,
}) => {
  await openPrep(page, demo)
  await page.getByRole('link', { name: 'Run a plate' }).click()
  await expect(page.getByText('Drag the front to its mark')).toBeVisible()
  await page.getByLabel('eluent').fill('hexane and ethyl acetate, 4 : 1')
  await page.getByLabel('front above the line, mm').fill('56')
  const plate = page.getByRole('img', { name: /^Plate\./ })
  await plate.scrollIntoViewIfNeeded()
  const boxOf = async () => (await plate.boundingBox()) ?? { x: 0, y: 0 }
  let box = await boxOf()
  // 5.4 px a millimetre, 16 px beside it and 22 above; the line 10 mm above the lower edge of 80.
  const x = (mm: number) => box.x + 16 + 5.4 * mm
  const y = (mm: number) => box.y + 22 + 5.4 * (70 - mm)
  await page.mouse.click(x(10), y(33.5))
  await expect(page.getByLabel('lane a, spot 1, mm')).toHaveValue('33.5')
  await page.getByRole('button', { name: 'add a spot to lane c' }).click()
  await page.getByLabel('lane c, spot 1, mm').fill('60')
  await expect(page.getByText(/A spot at 60 mm lies above the front at 56 mm/)).toBeVisible()
  await expect(page.getByRole('button', { name: 'Record this plate' })).toBeDisabled()
  await page.getByLabel('lane c, spot 1, mm').fill('33')
  await expect(page.getByText(/lies above the front/)).toBeHidden()
  // Reaching for the button may have scrolled the page.
  box = await boxOf()
  await page.mouse.move(x(10), y(33.5))
  await page.mouse.down()
  await page.mouse.move(x(10), y(33), { steps: 3 })
  await page.mouse.up()
  await expect(page.getByLabel('lane a, spot 1, mm')).toHaveValue('33.0')
  await page
    .getByLabel(/^a photograph under the drawing/)
    .setInputFiles(join(import.meta.dirname, '..', 'scripts', 'golden-plate.jpg'))
  await page.getByLabel('left edge', { exact: true }).fill('0.1')
  await page.reload()
  await expect(page.getByLabel('lane a, spot 1, mm')).toHaveValue('33.0')
  await page.getByRole('button', { name: 'Record this plate' }).click()
  await expect(page.getByTestId('plate-opinion')).toContainText('the same Rf within the reading error')
  await page.getByRole('link', { name: 'To its judging' }).click()
  await expect(page.getByText('Plate: the same height')).toBeVisible()
})

test.describe('on a ledger of its own', () => {
  test.use({ apart: true })
  test('another bench’s notebook file joins the class ladder', async ({ page, demo }) => {
    await page.goto(`${demo.url}/unknowns?show=The+class`)
    await expect(page.getByText('Only this notebook is here')).toBeVisible()
    const exported = await (await fetch(`${demo.origin}/api/notebooks/${demo.notebook}/export`)).text()
    const id = '0a5a1c7e-0000-4000-8000-0000000000f3'
    // As bench 3 would have written it: lines of its own, on a notebook of its own.
    const other = exported
      .replaceAll(demo.notebook, id)
      .replaceAll('"author":"bench 7"', '"author":"bench 3"')
      .replace(/"title":"[^"]*"/, '"title":"Saltmarsh teaching laboratory, bench 3"')
      .replaceAll(
        /([0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[0-9a-f]{4}-[0-9a-f]{10})([0-9a-f]{2})/g,
        (_, head: string, tail: string) =>
          `${head}${((parseInt(tail, 16) + 1) % 256).toString(16).padStart(2, '0')}`,
      )
    const imported = await fetch(`${demo.origin}/api/import`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: other,
    })
    expect(((await imported.json()) as { refused: number }).refused).toBe(0)
    await page.reload()
    await expect(page.getByText('From 2 notebooks.')).toBeVisible()
    await page.getByLabel('sample').selectOption({ label: 'Unknown K-9 (2)' })
    await expect(
      page.getByRole('img', { name: /bench 7: 92\.8 to 95\.9 °C\. bench 3: 92\.8 to 95\.9 °C/ }),
    ).toBeVisible()
    await expect(page.getByText(/Mean of 2: 92\.8 to 95\.9 °C/)).toBeVisible()
  })
})
