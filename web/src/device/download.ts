/** Hands a file to the browser's downloads. */
export function download(name: string, content: BlobPart, type: string): void {
  const url = URL.createObjectURL(content instanceof Blob ? content : new Blob([content], { type }))
  const link = document.createElement('a')
  link.href = url
  link.download = name
  link.click()
  URL.revokeObjectURL(url)
}
