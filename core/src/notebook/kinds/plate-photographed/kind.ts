import { defineKind } from '../defineKind'

/** A photograph that lies under the drawn plate, made small, with where the plate lies on it. */
export interface PlatePhotographed {
  /** JPEG, base64. */
  readonly jpeg: string
  /** The plate’s corners on the picture, as parts of its width and height. */
  readonly left: number
  readonly right: number
  readonly top: number
  readonly bottom: number
}
export const platePhotographed = defineKind<PlatePhotographed>()({
  kind: 'plate photographed',
  version: 1,
  about: 'plate',
  sentence: () => 'Laid a photograph under the plate.',
})
