export const PHOTOGRAPH_SHOWS = ['crude', 'crystals', 'set-up', 'tubes', 'plate', 'something else'] as const
export type PhotographShows = (typeof PHOTOGRAPH_SHOWS)[number]

/** A photograph is made this small before it is kept. */
export const PHOTOGRAPH_BYTES_MOST = 1_000_000
/** The longer side, px. */
export const PHOTOGRAPH_PX_MOST = 1600

/** Whether these bytes begin and end as a JPEG does. */
export function isJpeg(bytes: Uint8Array): boolean {
  const { length } = bytes
  return (
    length > 4 &&
    bytes[0] === 0xff &&
    bytes[1] === 0xd8 &&
    bytes[2] === 0xff &&
    bytes[length - 2] === 0xff &&
    bytes[length - 1] === 0xd9
  )
}
