import { mkdtemp, readFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Page } from '@playwright/test'
import { type Bench, expect, openPrepNamed, station, test } from './bench'
import { recomputed } from '../web/src/testing/recompute'
import { expectInside, FORMATS, sheetsOf } from './paper'
import { expectAllNumbers, expectMargins, FULL, numbersIn, ONE, pdfOf, run } from './pdf'

async function openBenzilPage(page: Page, demo: Bench): Promise<void> {
  await page.goto(demo.url)
  await openPrepNamed(page, 'Benzil, from benzoin')
  await station(page, 'Page')
}

test('a prep’s page goes out as a PDF: every number, every drawing whole, its lines inside', async ({
  page,
  demo,
}) => {
  await openBenzilPage(page, demo)
  const sheet = page.getByRole('article')
  await expect(sheet.getByText(/^Entry \d+ is the last one saved/)).toBeVisible()
  const shown = await sheet.innerText()
  const drawn = (await sheet.locator('svg text').allTextContents()).map((text) =>
    text.replaceAll(/\s+/g, ' ').trim(),
  )

  for (const paper of ['A4', 'Letter'] as const) {
    const full = await pdfOf(page, FULL, paper)
    const written = numbersIn(full.text)
    expect(numbersIn(shown).filter((number) => !written.includes(number))).toEqual([])
    for (const words of drawn) expect(full.text).toContain(words)
    for (const expectedText of [
      'Mass balance',
      'In the phase map',
      'dilute to 11.0',
      'Added 73 mL, hot.',
      'typed 73 for 7.3',
      'simulated',
    ])
      expect(full.text).toContain(expectedText)
    expect(full.text).toContain(`${full.pages} of ${full.pages}`)
    expect(full.bytes).toBeLessThan(300_000)
    await expectMargins(full)
    const fonts = (await run('pdffonts', [full.path])).stdout.split('\n').slice(2).filter(Boolean)
    expect(fonts.length).toBeGreaterThan(2)
    for (const font of fonts) expect(font).toMatch(/(Atkinson|Literata|NotoSansMath).* yes yes yes /)

    const one = await pdfOf(page, ONE, paper)
    expect(one.pages).toBe(1)
    for (const expectedText of [
      '1.804 g',
      '1.3914 g',
      '77.13 ± 0.04 %',
      '95.5',
      '96.5',
      'Consistent with pure benzil',
      'typed 73 for 7.3',
    ])
      expect(one.text).toContain(expectedText)
    await expectMargins(one)

    // Every result can be worked out from the numbers that stand on the same paper.
    for (const { path } of [full, one]) {
      const { stdout } = await run('pdftotext', ['-raw', path, '-'])
      const results = recomputed(stdout)
      expect(results.filter(({ isRight }) => !isRight)).toEqual([])
      expect(results.length).toBeGreaterThan(14)
    }
  }

  const { path } = await pdfOf(page, ONE)
  const folder = await mkdtemp(join(tmpdir(), 'ivory-inside-'))
  await run('pdfdetach', ['-saveall', '-o', folder, path])
  const inside = JSON.parse(await readFile(join(folder, 'lines.json'), 'utf8')) as {
    notebook: { id: string }
    entries: { id: string }[]
  }
  const all = (await demo.entries()).map(({ entry }) => entry)
  expect(inside.notebook.id).toBe(demo.notebook)
  expect(inside.entries.length).toBeGreaterThan(100)
  for (const line of inside.entries) expect(all).toContainEqual(line)
})

test('a plate and a signed unknown go out as well, on a telephone as on a broad screen', async ({
  page,
  demo,
}) => {
  await page.setViewportSize({ width: 390, height: 844 })
  const { entries } = (await (
    await page.request.get(`${demo.origin}/api/notebooks/${demo.notebook}/entries`)
  ).json()) as {
    entries: { entry: { kind: string; subject: string } }[]
  }
  const subject = (kind: string) => entries.find(({ entry }) => entry.kind === kind)?.entry.subject ?? ''
  await page.goto(`${demo.url}/plates/${subject('plate developed')}`)
  await expect(page.getByTestId('plate-opinion')).toBeVisible()
  await expectAllNumbers(await pdfOf(page, ONE), page.getByRole('table'))

  await page.goto(`${demo.url}/unknowns/${subject('unknown signed')}/sign`)
  await expect(page.getByTestId('verdict')).toBeVisible()
  await expectAllNumbers(await pdfOf(page, FULL), page.getByRole('table').last())
})

test('labels are whole on their sheet of paper, with what is in the vial and the code that opens the prep', async ({
  page,
  demo,
}) => {
  await openBenzilPage(page, demo)
  await page.getByRole('link', { name: 'Labels' }).click()
  await expect(page.getByRole('heading', { name: /Labels/ })).toBeVisible()
  for (const format of FORMATS) {
    const sheets = await sheetsOf(await page.pdf({ format }))
    expect(sheets.length).toBeGreaterThan(0)
    const text = sheets.flatMap(({ texts }) => texts.map((one) => one.text)).join(' ')
    for (const expectedText of ['1.3914 g', 'Benzil', 'bench 7']) expect(text).toContain(expectedText)
    for (const sheet of sheets) expectInside(sheet)
  }
})
