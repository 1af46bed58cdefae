export const PHOTOGRAPH_SHOWS = ['crude', 'crystals', 'set-up', 'tubes', 'plate', 'something else'] as const
export type PhotographShows = (typeof PHOTOGRAPH_SHOWS)[number]

/** A photograph is made this small before it is kept. */
export const PHOTOGRAPH_BYTES_MOST = 1_000_000
/** The longer side, px. */
export const PHOTOGRAPH_PX_MOST = 1600

const SOI = 0xd8
const EOI = 0xd9
const SOS = 0xda
/** Segments that begin a picture: baseline, extended, progressive. */
const FRAMES = [0xc0, 0xc1, 0xc2]
/** Segments that tell of where, when and with what it was taken, or hold a text: Exif and XMP, IPTC, a comment. */
const TELLING = [0xe1, 0xed, 0xfe]

/**
 * What is wrong with the segments of a JPEG before its picture data; whether these decode is for a decoder.
 *
 * @returns null when nothing is; `no picture` when it is no whole JPEG, `details` when it carries details beside the
 *   picture, such as the place it was taken at, `too large` when its longer side is over PHOTOGRAPH_PX_MOST
 */
export function jpegTrouble(bytes: Uint8Array): 'no picture' | 'details' | 'too large' | null {
  const { length } = bytes
  const at = (i: number) => bytes[i] ?? 0
  const word = (i: number) => at(i) * 256 + at(i + 1)
  if (length < 20 || at(0) !== 0xff || at(1) !== SOI || at(length - 2) !== 0xff || at(length - 1) !== EOI)
    return 'no picture'
  let sides: readonly [number, number] | null = null
  for (let i = 2; i + 4 <= length;) {
    if (at(i) !== 0xff) return 'no picture'
    const marker = at(i + 1)
    const size = word(i + 2)
    if (size < 2 || i + 2 + size > length) return 'no picture'
    if (TELLING.includes(marker)) return 'details'
    if (FRAMES.includes(marker)) sides = [word(i + 5), word(i + 7)]
    if (marker === SOS) {
      if (!sides || sides.includes(0)) return 'no picture'
      return Math.max(...sides) > PHOTOGRAPH_PX_MOST ? 'too large' : null
    }
    i += 2 + size
  }
  return 'no picture'
}
