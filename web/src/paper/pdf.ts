import pdfMake from 'pdfmake/build/pdfmake.min.js'
import type { TDocumentDefinitions } from 'pdfmake/interfaces'
import type { Sheet } from './blocks'
import { type AboutPdf, definitionOf } from './definition'
import type { Alphabet } from './faces'

/** What the package has and its types do not tell. */
interface Setter {
  readonly virtualfs: { writeFileSync(name: string, bytes: Uint8Array): void }
  addFonts(fonts: object): void
  createPdf(
    definition: TDocumentDefinitions,
    options: { readonly progressCallback: (share: number) => void },
  ): { getBuffer(): Promise<Uint8Array> }
}
const setter = pdfMake as unknown as Setter

/** Typefaces as files, by the name they are kept under. */
export const FACE_FILES = {
  'text.woff': 'atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff',
  'text-bold.woff': 'atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff',
  'extended.woff': 'atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-400-normal.woff',
  'extended-bold.woff':
    'atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-700-normal.woff',
  'head.woff': 'literata/files/literata-latin-500-normal.woff',
  'signs.woff': 'noto-sans-math/files/noto-sans-math-latin-400-normal.woff',
} as const
/** The same of alphabets that are fetched only where a page writes in them. */
export const ALPHABET_FILES: Readonly<Record<Alphabet, string>> = {
  LatinWide: 'noto-sans/files/noto-sans-latin-ext-400-normal.woff',
  Vietnamese: 'noto-sans/files/noto-sans-vietnamese-400-normal.woff',
  Greek: 'noto-sans/files/noto-sans-greek-400-normal.woff',
  GreekWide: 'noto-sans/files/noto-sans-greek-ext-400-normal.woff',
  Cyrillic: 'noto-sans/files/noto-sans-cyrillic-400-normal.woff',
  CyrillicWide: 'noto-sans/files/noto-sans-cyrillic-ext-400-normal.woff',
}
export type FaceFile = keyof typeof FACE_FILES
/** What a page is set in: the ordinary faces, and those of the alphabets it writes in. */
export type Faces = Readonly<Record<FaceFile, Uint8Array>> & Readonly<Partial<Record<Alphabet, Uint8Array>>>

const face = (normal: string, bold: string) => ({ normal, bold, italics: normal, bolditalics: bold })
const FACES = {
  Text: face('text.woff', 'text-bold.woff'),
  Extended: face('extended.woff', 'extended-bold.woff'),
  Head: face('head.woff', 'head.woff'),
  Signs: face('signs.woff', 'signs.woff'),
}

export interface MadePdf {
  readonly bytes: Uint8Array
  readonly pages: number
}

/**
 * Sets a sheet as a PDF.
 *
 * @param files the typefaces
 * @param report how far it is, 0 to 1; answers whether to go on
 * @returns null when it was told to stop
 */
export async function makePdf(
  sheet: Sheet,
  about: AboutPdf,
  files: Faces,
  report: (share: number) => boolean | Promise<boolean>,
): Promise<MadePdf | null> {
  for (const [name, bytes] of Object.entries(files)) setter.virtualfs.writeFileSync(name, bytes)
  const alphabets = Object.keys(files).filter((name) => name in ALPHABET_FILES)
  setter.addFonts({ ...FACES, ...Object.fromEntries(alphabets.map((name) => [name, face(name, name)])) })
  if (!(await report(0.1))) return null
  let pages = 0
  const definition = definitionOf(sheet, about)
  const { footer } = definition
  const document = setter.createPdf(
    {
      ...definition,
      footer: (page, all, size) => {
        pages = all
        return typeof footer === 'function' ? footer(page, all, size) : null
      },
    },
    { progressCallback: (share: number) => void report(0.1 + 0.9 * share) },
  )
  const bytes = new Uint8Array(await document.getBuffer())
  return (await report(1)) ? { bytes, pages } : null
}
