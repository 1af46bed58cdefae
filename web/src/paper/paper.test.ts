import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { describe, expect, test } from '@jest/globals'
import { create } from 'fontkit'
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs'
import type { Block, Run, Sheet } from './blocks'
import { type AboutPdf, roomOn } from './definition'
import { type Alphabet, alphabetsIn, piecesOf, unsetIn } from './faces'
import { ALPHABET_FILES, FACE_FILES, type FaceFile, makePdf } from './pdf'

const FONTS = join(import.meta.dirname, '../../../node_modules/@fontsource')
const files = Object.fromEntries(
  Object.entries(FACE_FILES).map(([name, path]) => [name, new Uint8Array(readFileSync(join(FONTS, path)))]),
) as Record<FaceFile, Uint8Array>

const ABOUT: AboutPdf = {
  title: 'Benzil, from benzoin',
  author: 'bench 7',
  foot: 'bench 7',
  madeAtMs: Date.UTC(2026, 10, 24, 14, 5),
  paper: 'A4',
  attached: [
    { name: 'lines.json', type: 'application/json', description: 'lines', text: '{"entries":["Å"]}' },
  ],
}
const run = (text: string, more: Partial<Run> = {}): Run => ({
  text,
  px: 15,
  colour: '#000000',
  isBold: false,
  isStruck: false,
  isHead: false,
  ...more,
})
const words = (text: string, level = 0): Block => ({
  is: 'text',
  gapPx: 4,
  runs: [run(text, { isHead: level > 0 })],
  level,
  align: 'left',
  linePx: 18,
})
const sheet = (...blocks: readonly Block[]): Sheet => ({ widthPx: 800, heightPx: 400, blocks })
const always = () => true

async function read(bytes: Uint8Array) {
  const document = await getDocument({ data: bytes.slice(), verbosity: 0 }).promise
  const pages: string[] = []
  for (let number = 1; number <= document.numPages; number++) {
    const { items } = await (await document.getPage(number)).getTextContent()
    pages.push(
      items
        .map((item) => ('str' in item ? item.str : ''))
        .join(' ')
        .replaceAll(/\s+/g, ' '),
    )
  }
  const attached = (await document.getAttachments()) as Record<string, { content: Uint8Array }> | null
  const { info, metadata } = await document.getMetadata()
  await document.destroy()
  return { pages, attached, info: info as Record<string, unknown>, metadata: metadata?.getRaw() as string }
}
async function pdfOf(...blocks: readonly Block[]) {
  const pdf = await makePdf(sheet(...blocks), ABOUT, files, always)
  if (!pdf) throw new Error('It was stopped.')
  return { ...pdf, ...(await read(pdf.bytes)) }
}

describe('the typefaces a page is set in', () => {
  test('every character that is set has a shape in the face it is given to', () => {
    const faces = {
      Text: create(Buffer.from(files['text.woff'])),
      Bold: create(Buffer.from(files['text-bold.woff'])),
      Extended: create(Buffer.from(files['extended.woff'])),
      Signs: create(Buffer.from(files['signs.woff'])),
      Head: create(Buffer.from(files['head.woff'])),
    }
    const missing: string[] = []
    for (let code = 0x20; code <= 0x27ff; code++) {
      for (const { text, face } of piecesOf(String.fromCodePoint(code))) {
        if (text === '□' || face in ALPHABET_FILES) continue
        const set =
          face === 'Text' ? (['Text', 'Bold', 'Head'] as const) : ([face as 'Extended' | 'Signs'] as const)
        for (const char of text)
          for (const name of set) {
            const font = faces[name] as { hasGlyphForCodePoint(code: number): boolean }
            if (!font.hasGlyphForCodePoint(char.codePointAt(0) ?? 0))
              missing.push(`${name} ${char} of ${code.toString(16)}`)
          }
      }
    }
    expect(missing).toEqual([])
  })
  test('what this app writes has a shape: degrees, signs, primes, Greek, subscripts', () => {
    const written = 'at 78.4 °C, ± 0.04, −20, ≤ 2 °C, ≥, →, τσγ, Δ, √2, ✓, ∝, “so”, ’tis, CO₂, m⁻¹, 10⁶, n₁'
    expect(
      piecesOf(written)
        .map(({ text }) => text)
        .join(''),
    ).not.toContain('□')
  })
  test('what no face has stands as an empty square, and is told', () => {
    expect(piecesOf('水 and ₂')).toEqual([
      { text: '□', face: 'Signs', shift: null },
      { text: ' and ', face: 'Text', shift: null },
      { text: '2', face: 'Text', shift: 'sub' },
    ])
    expect(unsetIn('水水 and 😀 □')).toEqual(['水', '😀'])
  })
  test('alphabets are told apart, and each letter of theirs has a shape in its face', () => {
    const written = 'Кристаллы, ѳ, Бензіл; ἄσβεστος, κρύσταλλος; kryształ, ǎ, ṽ; tinh thể, ợ'
    expect([...alphabetsIn(written)].sort()).toEqual([
      'Cyrillic',
      'CyrillicWide',
      'Greek',
      'GreekWide',
      'LatinWide',
      'Vietnamese',
    ])
    expect(unsetIn(written)).toEqual([])
    expect(alphabetsIn('Benzil, 95.4 °C, τ, Å').size).toBe(0)
    for (const { text, face } of piecesOf(written)) {
      const path = ALPHABET_FILES[face as Alphabet]
      if (!path) continue
      const font = create(readFileSync(join(FONTS, path))) as { hasGlyphForCodePoint(code: number): boolean }
      for (const char of text)
        expect({ char, face, has: font.hasGlyphForCodePoint(char.codePointAt(0) ?? 0) }).toMatchObject({
          has: true,
        })
    }
  })
})

describe('a page as a PDF', () => {
  test('in other alphabets is set in faces that have them; what none has is told once at the end', async () => {
    const russian = new Uint8Array(readFileSync(join(FONTS, ALPHABET_FILES.Cyrillic)))
    const pdf = await makePdf(
      sheet(words('Кристаллы бензила 😀 水'), words('水 once more')),
      ABOUT,
      { ...files, Cyrillic: russian },
      always,
    )
    const { pages } = await read(pdf?.bytes ?? new Uint8Array())
    expect(pages.join()).toContain('Кристаллы бензила')
    expect(pages.join().match(/U\+6C34/g)).toHaveLength(1)
    expect(pages.join()).toContain('U+1F600, U+6C34')
    expect(pages.join()).toContain('Print the page from the browser')
  })
  test('one bad picture costs its own place and nothing else', async () => {
    const picture = (url: string): Block => ({ is: 'picture', gapPx: 0, url, widthPx: 100, heightPx: 80 })
    const bad = ['data:image/jpeg;base64,/9j//9k=', '', 'data:image/jpeg;base64,AAAA', 'data:text/html,x']
    const { pages } = await pdfOf(words('before'), ...bad.map(picture), words('after'))
    expect(pages.join().match(/cannot be shown/g)).toHaveLength(bad.length)
    expect(pages.join()).toContain('after')
  })
  test('holds its words, struck ones too, its tables and its drawings’ words', async () => {
    const { pages } = await pdfOf(
      words('Melting ranges', 2),
      {
        ...words(''),
        runs: [run('Added 73 mL', { isStruck: true }), run(' struck: typed 73 for 7.3')],
      } as Block,
      {
        is: 'table',
        gapPx: 0,
        widthsPx: [400, 200],
        padPx: 4,
        headRows: 1,
        rows: [
          [
            { blocks: [words('what')], span: 1 },
            { blocks: [words('g')], span: 1 },
          ],
          [{ blocks: [words('Mass of crude 1.804')], span: 2 }],
        ],
      },
      {
        is: 'drawing',
        gapPx: 0,
        widthPx: 300,
        heightPx: 60,
        outPx: 0,
        svg: '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 300 60" width="300" height="60"><text x="9" y="30" font-size="12" font-family="Text">95.4 to 96.5</text></svg>',
      },
    )
    expect(pages).toHaveLength(1)
    for (const expectedText of [
      'Melting ranges',
      'Added 73 mL',
      'typed 73 for 7.3',
      'Mass of crude 1.804',
      '95.4 to 96.5',
      '1 of 1',
    ])
      expect(pages[0]).toContain(expectedText)
  })
  test('is PDF/A-3b by its own word, has title, author and date, and the lines inside', async () => {
    const { attached, info, metadata } = await pdfOf(words('one'))
    expect(info).toMatchObject({ Title: 'Benzil, from benzoin', Author: 'bench 7', PDFFormatVersion: '1.7' })
    expect(String(info['CreationDate'])).toContain('20261124140500')
    expect(metadata).toMatch(/pdfaid:part>3</)
    expect(metadata).toMatch(/pdfaid:conformance>B</)
    expect(new TextDecoder().decode(attached?.['lines.json']?.content)).toBe('{"entries":["Å"]}')
  })
  test('a heading is not left at the foot of a page without what it heads', async () => {
    const row = words('a line of the log that takes one line of the page')
    for (let rows = 48; rows < 58; rows++) {
      const { pages } = await pdfOf(...Array.from({ length: rows }, () => row), words('Mass balance', 2), row)
      const last = pages.find((page) => page.includes('Mass balance')) ?? ''
      expect(last.split('Mass balance')[1]).toContain('a line of the log')
    }
  })
  test('two columns stand side by side, each at its place', async () => {
    const pdf = await makePdf(
      sheet({
        is: 'columns',
        gapPx: 0,
        columns: [
          { fromPx: 0, widthPx: 400, blocks: [words('left')] },
          { fromPx: 400, widthPx: 400, blocks: [words('right')] },
        ],
      }),
      ABOUT,
      files,
      always,
    )
    const document = await getDocument({ data: (pdf?.bytes ?? new Uint8Array()).slice(), verbosity: 0 })
      .promise
    const { items } = await (await document.getPage(1)).getTextContent()
    const at = (word: string) =>
      items.flatMap((item) => ('str' in item && item.str === word ? [item.transform as number[]] : []))[0] ??
      []
    await document.destroy()
    expect((at('right')[4] ?? 0) - (at('left')[4] ?? 0)).toBeCloseTo(roomOn('A4').width / 2, 0)
    expect(at('right')[5]).toBe(at('left')[5])
  })
  test('is left undone when it is told to stop', async () => {
    expect(await makePdf(sheet(words('one')), ABOUT, files, () => false)).toBeNull()
  })
  test('a log of two thousand lines goes over many pages, every line on one of them', async () => {
    const blocks = Array.from({ length: 2000 }, (_, i): Block => ({
      is: 'columns',
      gapPx: 1,
      columns: [
        { fromPx: 0, widthPx: 52, blocks: [words('14:05')] },
        { fromPx: 52, widthPx: 748, blocks: [words(`Read line ${i}.`)] },
      ],
    }))
    const { pages } = await pdfOf(...blocks)
    const text = pages.join(' ')
    expect(
      Array.from({ length: 2000 }, (_, i) => `Read line ${i}.`).filter((line) => !text.includes(line)),
    ).toEqual([])
  })
})
