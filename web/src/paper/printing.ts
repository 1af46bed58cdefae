import boldExtendedUrl from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-700-normal.woff?url'
import boldUrl from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff?url'
import extendedUrl from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-400-normal.woff?url'
import headUrl from '@fontsource/literata/files/literata-latin-500-normal.woff?url'
import signsUrl from '@fontsource/noto-sans-math/files/noto-sans-math-latin-400-normal.woff?url'
import textUrl from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff?url'
import type { Sheet } from './blocks'
import type { AboutPdf } from './definition'
import { type FaceFile, makePdf, type MadePdf } from './pdf'

const URLS: Readonly<Record<FaceFile, string>> = {
  'text.woff': textUrl,
  'text-bold.woff': boldUrl,
  'extended.woff': extendedUrl,
  'extended-bold.woff': boldExtendedUrl,
  'head.woff': headUrl,
  'signs.woff': signsUrl,
}

let fetched: Promise<Readonly<Record<FaceFile, Uint8Array>>> | null = null
async function fetchFaces(): Promise<Readonly<Record<FaceFile, Uint8Array>>> {
  const pairs = await Promise.all(
    Object.entries(URLS).map(async ([name, url]) => {
      const response = await fetch(url)
      if (!response.ok) throw new Error('The typefaces for paper cannot be fetched while the server is away.')
      return [name, new Uint8Array(await response.arrayBuffer())] as const
    }),
  )
  return Object.fromEntries(pairs) as Record<FaceFile, Uint8Array>
}

/** What sets sheets, beside the screen. */
export const paper = {
  isThere: () => true,
  async make(
    sheet: Sheet,
    about: AboutPdf,
    tell: (share: number) => boolean | Promise<boolean>,
  ): Promise<MadePdf | null> {
    fetched ??= fetchFaces()
    const faces = await fetched.catch((error: unknown) => {
      fetched = null
      throw error
    })
    return makePdf(sheet, about, faces, tell)
  },
}
export type Paper = typeof paper
