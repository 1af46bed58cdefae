/** A title as a name for a file, without its ending. */
export function fileName(title: string): string {
  return (
    title
      .toLowerCase()
      .replaceAll(/[^a-z0-9]+/g, '-')
      .replaceAll(/^-|-$/g, '') || 'notebook'
  )
}
