import { execFile } from 'node:child_process'
import { mkdtemp, readFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { promisify } from 'node:util'
import { expect, type Locator, type Page } from '@playwright/test'

export const run = promisify(execFile)
export const ONE = 'One page to hand in'
export const FULL = 'Everything, with all that was drawn'

interface Pdf {
  readonly path: string
  readonly text: string
  readonly pages: number
  readonly bytes: number
}

/** Makes the PDF of the page on screen, and opens it as others would. */
export async function pdfOf(page: Page, layout: string, paper: 'A4' | 'Letter' = 'A4'): Promise<Pdf> {
  const menu = page.getByRole('button', { name: 'As a PDF' })
  await menu.click()
  await page.getByRole('button', { name: `on ${paper} paper` }).click()
  if (!(await page.getByRole('button', { name: layout }).isVisible())) await menu.click()
  const saved = page.waitForEvent('download')
  await page.getByRole('button', { name: layout }).click()
  const file = await saved
  expect(file.suggestedFilename()).toMatch(/^[a-z0-9-]+\.pdf$/)
  const path = await file.path()
  const { stdout } = await run('pdftotext', ['-layout', path, '-'])
  const info = (await run('pdfinfo', [path])).stdout
  return {
    path,
    text: stdout.replaceAll(/\s+/g, ' '),
    pages: Number(/^Pages:\s+(\d+)/m.exec(info)?.[1]),
    bytes: (await readFile(path)).length,
  }
}

/** Nothing is drawn in the outermost 8 mm of any page: what ran off would be. */
export async function expectMargins({ path, pages }: Pdf): Promise<void> {
  const folder = await mkdtemp(join(tmpdir(), 'ivory-pdf-'))
  await run('pdftoppm', ['-r', '50', '-gray', path, join(folder, 'page')])
  for (let number = 1; number <= pages; number++) {
    const name = `page-${String(number).padStart(String(pages).length, '0')}.pgm`
    const file = await readFile(join(folder, name))
    const [, width = 0, height = 0] = (
      /^P5\s+(\d+)\s+(\d+)\s+255\s/.exec(file.toString('latin1', 0, 40)) ?? []
    ).map(Number)
    const ink = file.subarray(file.length - width * height)
    const edge = Math.round((8 / 25.4) * 50)
    let inside = 0
    for (let y = 0; y < height; y++)
      for (let x = 0; x < width; x++) {
        if ((ink[y * width + x] ?? 255) > 200) continue
        const isEdge = x < edge || y < edge || x >= width - edge || y >= height - edge
        if (isEdge) throw new Error(`Page ${number}: ink at ${x}, ${y} of ${width} by ${height}.`)
        inside += 1
      }
    expect(inside).toBeGreaterThan(100)
  }
}

/** Every number in a text, as it is written. */
export const numbersIn = (text: string) => [...new Set(text.match(/\d+(?:[.:]\d+)?/g) ?? [])]

/** Every number of what is on screen is on the paper, and nothing runs off it. */
export async function expectAllNumbers(pdf: Pdf, shown: Locator): Promise<void> {
  const written = numbersIn(pdf.text)
  const numbers = numbersIn(await shown.innerText())
  expect(numbers.length).toBeGreaterThan(1)
  expect(numbers.filter((number) => !written.includes(number))).toEqual([])
  await expectMargins(pdf)
}
