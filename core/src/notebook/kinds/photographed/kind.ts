import { defineKind } from '../defineKind'
import type { PhotographShows } from '../../photograph'

/** A photograph of what was seen. The line names the picture by its SHA-256; the picture itself is a file of its own. */
export interface Photographed {
  /** Of the JPEG, lower case hexadecimal. */
  readonly sha256: string
  readonly bytes: number
  readonly widthPx: number
  readonly heightPx: number
  readonly shows: PhotographShows
  /** What it shows, in the student’s words; may be empty. */
  readonly text: string
}
export const photographed = defineKind<Photographed>()({
  kind: 'photographed',
  version: 1,
  about: 'any',
  sentence: ({ shows, text }) =>
    `Photographed ${shows === 'something else' ? shows : `the ${shows}`}${text === '' ? '' : `: ${text}`}.`,
})
