/** A photograph is kept no larger than this, px along its longer side. */
const LONGEST_PX = 900
/** Characters of base64 the ledger takes. */
const MOST = 300_000
const QUALITIES = [0.8, 0.65, 0.5, 0.35] as const

/**
 * A picture file made small enough for the notebook.
 *
 * @returns base64 of a JPEG
 * @throws Error with a sentence when it is no picture or stays too large
 */
export async function smallJpeg(file: File): Promise<string> {
  const bitmap = await createImageBitmap(file).catch(() => null)
  if (!bitmap) throw new Error(`“${file.name}” cannot be read as a picture.`)
  const scale = Math.min(1, LONGEST_PX / Math.max(bitmap.width, bitmap.height))
  const canvas = document.createElement('canvas')
  canvas.width = Math.round(bitmap.width * scale)
  canvas.height = Math.round(bitmap.height * scale)
  canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height)
  for (const quality of QUALITIES) {
    const base64 = canvas.toDataURL('image/jpeg', quality).replace(/^data:image\/jpeg;base64,/, '')
    if (base64.length <= MOST) return base64
  }
  throw new Error(`“${file.name}” is still too large for the notebook. Crop it to the plate.`)
}
