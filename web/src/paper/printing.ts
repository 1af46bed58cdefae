import boldExtendedUrl from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-700-normal.woff?url'
import boldUrl from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff?url'
import extendedUrl from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-400-normal.woff?url'
import headUrl from '@fontsource/literata/files/literata-latin-500-normal.woff?url'
import signsUrl from '@fontsource/noto-sans-math/files/noto-sans-math-latin-400-normal.woff?url'
import textUrl from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff?url'
import cyrillicUrl from '@fontsource/noto-sans/files/noto-sans-cyrillic-400-normal.woff?url'
import cyrillicWideUrl from '@fontsource/noto-sans/files/noto-sans-cyrillic-ext-400-normal.woff?url'
import greekUrl from '@fontsource/noto-sans/files/noto-sans-greek-400-normal.woff?url'
import greekWideUrl from '@fontsource/noto-sans/files/noto-sans-greek-ext-400-normal.woff?url'
import latinWideUrl from '@fontsource/noto-sans/files/noto-sans-latin-ext-400-normal.woff?url'
import vietnameseUrl from '@fontsource/noto-sans/files/noto-sans-vietnamese-400-normal.woff?url'
import type { Sheet } from './blocks'
import type { AboutPdf } from './definition'
import { type Alphabet, alphabetsIn } from './faces'
import { type FaceFile, type Faces, makePdf, type MadePdf } from './pdf'
import { wordsOf } from './wordsOf'

const URLS: Readonly<Record<FaceFile, string>> = {
  'text.woff': textUrl,
  'text-bold.woff': boldUrl,
  'extended.woff': extendedUrl,
  'extended-bold.woff': boldExtendedUrl,
  'head.woff': headUrl,
  'signs.woff': signsUrl,
}

const ALPHABET_URLS: Readonly<Record<Alphabet, string>> = {
  LatinWide: latinWideUrl,
  Vietnamese: vietnameseUrl,
  Greek: greekUrl,
  GreekWide: greekWideUrl,
  Cyrillic: cyrillicUrl,
  CyrillicWide: cyrillicWideUrl,
}

/** Faces that were fetched, each once. */
const fetched = new Map<string, Promise<Uint8Array>>()

function faceAt(url: string): Promise<Uint8Array> {
  const known = fetched.get(url)
  if (known) return known
  const fetching = (async () => {
    const response = await fetch(url)
    if (!response.ok) throw new Error('The typefaces for paper cannot be fetched while the server is away.')
    return new Uint8Array(await response.arrayBuffer())
  })()
  fetched.set(url, fetching)
  // One that failed is fetched again the next time.
  fetching.catch(() => fetched.delete(url))
  return fetching
}

async function facesFor(sheet: Sheet, { title, foot }: AboutPdf): Promise<Faces> {
  const alphabets = alphabetsIn([...wordsOf(sheet.blocks), title, foot].join(' '))
  const wanted = [
    ...Object.entries(URLS),
    ...[...alphabets].map((name) => [name, ALPHABET_URLS[name]] as const),
  ]
  const pairs = await Promise.all(wanted.map(async ([name, url]) => [name, await faceAt(url)] as const))
  return Object.fromEntries(pairs) as Record<FaceFile, Uint8Array> & Faces
}

/** What sets sheets, beside the screen. */
export const paper = {
  isThere: () => true,
  async make(
    sheet: Sheet,
    about: AboutPdf,
    report: (share: number) => boolean | Promise<boolean>,
  ): Promise<MadePdf | null> {
    return makePdf(sheet, about, await facesFor(sheet, about), report)
  },
}
export type Paper = typeof paper
