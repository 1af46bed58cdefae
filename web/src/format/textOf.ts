export type TextOfFile =
  { readonly ok: true; readonly text: string } | { readonly ok: false; readonly sentence: string }

/** A text file as text: UTF-8, or UTF-16 where it says so by its mark. What is neither is refused, never guessed. */
export function textOf(name: string, bytes: Uint8Array): TextOfFile {
  const [first, second] = bytes
  const encoding =
    first === 0xff && second === 0xfe ? 'utf-16le' : first === 0xfe && second === 0xff ? 'utf-16be' : 'utf-8'
  try {
    const text = new TextDecoder(encoding, { fatal: true }).decode(bytes)
    return text.includes('\0')
      ? { ok: false, sentence: `“${name}” is not a text file.` }
      : { ok: true, text: text.replace(/^\uFEFF/, '') }
  } catch {
    return {
      ok: false,
      sentence: `“${name}” is not written in UTF-8. Save it as UTF-8 in the program it comes from, and choose it again.`,
    }
  }
}
