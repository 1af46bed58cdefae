/** A JPEG as an address that holds it whole: it needs no permission, and goes onto paper as it is. */
export function dataUrlOf(jpeg: ArrayBuffer): string {
  let binary = ''
  for (const byte of new Uint8Array(jpeg)) binary += String.fromCharCode(byte)
  return `data:image/jpeg;base64,${btoa(binary)}`
}
