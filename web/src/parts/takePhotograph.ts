import { bytesToHex } from '@noble/hashes/utils.js'
import { sha256 } from '@noble/hashes/sha2.js'
import { imageSize } from 'image-size'
import { PHOTOGRAPH_BYTES_MOST, PHOTOGRAPH_PX_MOST } from '@ivory-crystal/core/notebook'

export interface TakenPhotograph {
  readonly sha256: string
  readonly jpeg: ArrayBuffer
  readonly widthPx: number
  readonly heightPx: number
}

/** Tried in turn until the picture is small enough. */
const TRIES = [
  [PHOTOGRAPH_PX_MOST, 0.82],
  [PHOTOGRAPH_PX_MOST, 0.65],
  [1200, 0.65],
  [900, 0.5],
] as const
/** More than a camera makes: what claims to be larger is not unpacked. */
const FILE_BYTES_MOST = 60_000_000
const BYTES_AIM = 400_000
/** Nor pixels: a small file can claim to be a mountain. */
const PIXELS_MOST = 150_000_000
/** A picture says its size within so much of its beginning. */
const HEAD_BYTES = 512_000

function sizeOf(head: Uint8Array): { readonly width: number; readonly height: number } | null {
  try {
    return imageSize(head)
  } catch {
    // Of a sort that is not known here: what opens pictures will say.
    return null
  }
}

/**
 * A picture file as the notebook keeps it: upright, no larger than it needs to be, and drawn anew, so that nothing of
 * the file but what is to be seen in it is kept: no place, no camera, no name.
 *
 * @throws Error with a sentence when it is no picture
 */
export async function takePhotograph(file: File): Promise<TakenPhotograph> {
  if (file.size > FILE_BYTES_MOST)
    throw new Error(`“${file.name}” is larger than any photograph (${Math.round(file.size / 1e6)} MB).`)
  const claimed = sizeOf(new Uint8Array(await file.slice(0, HEAD_BYTES).arrayBuffer()))
  if (claimed && claimed.width * claimed.height > PIXELS_MOST)
    throw new Error(
      `“${file.name}” says it is ${claimed.width} by ${claimed.height} pixels: that is no photograph, and it was not opened.`,
    )
  const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => {
    throw new Error(`“${file.name}” cannot be read as a picture. A JPEG, PNG or WebP can.`)
  })
  try {
    let smallest: { blob: Blob; widthPx: number; heightPx: number } | null = null
    for (const [longestPx, quality] of TRIES) {
      smallest = await drawPicture(bitmap, longestPx, quality)
      if (smallest.blob.size <= BYTES_AIM) break
    }
    if (!smallest || smallest.blob.size > PHOTOGRAPH_BYTES_MOST)
      throw new Error(`“${file.name}” is still too large for the notebook. Crop it to the part that matters.`)
    const jpeg = await smallest.blob.arrayBuffer()
    const { widthPx, heightPx } = smallest
    return { jpeg, widthPx, heightPx, sha256: bytesToHex(sha256(new Uint8Array(jpeg))) }
  } finally {
    bitmap.close()
  }
}

async function drawPicture(bitmap: ImageBitmap, longestPx: number, quality: number) {
  const scale = Math.min(1, longestPx / Math.max(bitmap.width, bitmap.height))
  const canvas = document.createElement('canvas')
  canvas.width = Math.max(1, Math.round(bitmap.width * scale))
  canvas.height = Math.max(1, Math.round(bitmap.height * scale))
  const pen = canvas.getContext('2d')
  if (!pen) throw new Error('This browser cannot draw a picture.')
  // What is see-through in a picture becomes white paper.
  pen.fillStyle = '#fff'
  pen.fillRect(0, 0, canvas.width, canvas.height)
  pen.drawImage(bitmap, 0, 0, canvas.width, canvas.height)
  const blob = await new Promise<Blob | null>((resolve) => {
    canvas.toBlob(resolve, 'image/jpeg', quality)
  })
  if (!blob) throw new Error('This browser cannot make a JPEG of the picture.')
  return { blob, widthPx: canvas.width, heightPx: canvas.height }
}
