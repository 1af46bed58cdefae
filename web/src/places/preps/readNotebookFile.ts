import { transfer } from 'comlink'
import type { Picture } from '../../workers/crate'
import { crating } from '../../workers/crating'

/** Files larger than this are not read, bytes. */
const LARGEST = 200_000_000

type Read =
  | {
      readonly ok: true
      readonly file: unknown
      readonly pictures: readonly Picture[]
      readonly said: readonly string[]
    }
  | { readonly ok: false; readonly sentence: string }

/** A notebook in a file that was handed over, as JSON or in a zip; by what it holds, not by its name. */
export async function readNotebookFile(file: File): Promise<Read> {
  if (file.size > LARGEST) return { ok: false, sentence: `“${file.name}” is larger than a notebook can be.` }
  const bytes = new Uint8Array(await file.arrayBuffer())
  const isZip = bytes[0] === 0x50 && bytes[1] === 0x4b
  let text: string
  let pictures: readonly Picture[] = []
  let said: readonly string[] = []
  if (isZip) {
    const remote = await crating()
    const held = await remote.unpack(file.name, transfer(bytes, [bytes.buffer]))
    if (!held.ok) return held
    ;({ text, pictures, said } = held)
  } else text = new TextDecoder().decode(bytes)
  try {
    return { ok: true, file: JSON.parse(text.replace(/^\uFEFF/, '')), pictures, said }
  } catch {
    return {
      ok: false,
      sentence: isZip
        ? `The notebook in “${file.name}” cannot be read: the file is damaged.`
        : `${file.name} is neither a zip nor a JSON file. Choose one that was exported here.`,
    }
  }
}
