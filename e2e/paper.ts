import { expect, type Locator, type Page } from '@playwright/test'
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs'

interface Sheet {
  readonly widthPt: number
  readonly heightPt: number
  /** What is written where, pt from the lower left corner. */
  readonly texts: readonly {
    readonly text: string
    readonly x: number
    readonly y: number
    readonly widthPt: number
  }[]
}

/** The sheets of a printed page, read back from its PDF. */
export async function sheetsOf(pdf: Buffer): Promise<readonly Sheet[]> {
  const document = await getDocument({ data: new Uint8Array(pdf), verbosity: 0 }).promise
  const sheets: Sheet[] = []
  for (let number = 1; number <= document.numPages; number++) {
    const page = await document.getPage(number)
    const [, , widthPt = 0, heightPt = 0] = page.view
    const { items } = await page.getTextContent()
    sheets.push({
      widthPt,
      heightPt,
      texts: items.flatMap((item) =>
        'str' in item && item.str.trim() !== ''
          ? [
              {
                text: item.str.trim(),
                x: Number(item.transform[4]),
                y: Number(item.transform[5]),
                widthPt: item.width,
              },
            ]
          : [],
      ),
    })
  }
  await document.destroy()
  return sheets
}

/** Every word of a drawing on screen stands on the sheet too, and inside its margins. */
export async function expectWhole(sheet: Sheet | undefined, drawing: Locator): Promise<void> {
  if (!sheet) throw new Error('There is no such sheet.')
  const words = (await drawing.locator('text').allTextContents()).map((text) => text.trim())
  expect(words.length).toBeGreaterThan(5)
  const written = sheet.texts.map(({ text }) => text).join(' ')
  for (const word of words) expect(written).toContain(word)
  expectInside(sheet)
}

/** Nothing on a sheet runs off its sides. */
export function expectInside(sheet: Sheet | undefined): void {
  expect(sheet?.texts.length).toBeGreaterThan(0)
  for (const { text, x, widthPt } of sheet?.texts ?? []) {
    expect(x, text).toBeGreaterThan(0)
    expect(x + widthPt, text).toBeLessThan(sheet?.widthPt ?? 0)
  }
}

/** Sheets a laboratory prints on. */
export const FORMATS = ['A4', 'Letter'] as const

/** Every word of a drawing is dark enough on white for a laser printer, whatever the theme on screen. */
export async function expectInk(page: Page, drawing: Locator): Promise<void> {
  await page.emulateMedia({ media: 'print' })
  const fills = await drawing
    .locator('text')
    .evaluateAll((texts) => texts.map((text) => getComputedStyle(text).fill))
  await page.emulateMedia({ media: null })
  expect(fills.length).toBeGreaterThan(5)
  for (const fill of fills) {
    const [r = 255, g = 255, b = 255] = (fill.match(/[\d.]+/g) ?? []).map(Number)
    const linear = [r, g, b].map((channel) => (channel / 255) ** 2.2) as [number, number, number]
    const luminance = 0.2126 * linear[0] + 0.7152 * linear[1] + 0.0722 * linear[2]
    expect(1.05 / (luminance + 0.05), fill).toBeGreaterThan(4.5)
  }
}
