import { transfer } from 'comlink'
import type { Picture } from '../../workers/crate'
import { crating } from '../../workers/crating'

/** So much of a file tells what it is. */
const BEGINNING = 512
/** Files larger than this are not read, bytes. */
const LARGEST = 200_000_000

type Read =
  | {
      readonly ok: true
      readonly file: unknown
      readonly pictures: readonly Picture[]
      readonly remarks: readonly string[]
    }
  | { readonly ok: false; readonly sentence: string }

/** A notebook in a file that was handed over, as JSON or in a zip; by what it holds, not by its name. */
export async function readNotebookFile(file: File): Promise<Read> {
  if (file.size > LARGEST) return { ok: false, sentence: `“${file.name}” is larger than a notebook can be.` }
  const beginning = new Uint8Array(await file.slice(0, BEGINNING).arrayBuffer())
  const isZip = beginning[0] === 0x50 && beginning[1] === 0x4b
  const isObject = new TextDecoder()
    .decode(beginning)
    .replace(/^\uFEFF/, '')
    .trimStart()
    .startsWith('{')
  if (!isZip && !isObject)
    return {
      ok: false,
      sentence: `${file.name} is neither a zip nor a JSON file. Choose one that was exported here.`,
    }
  const bytes = new Uint8Array(await file.arrayBuffer())
  let text: string
  let pictures: readonly Picture[] = []
  let sentences: readonly string[] = []
  if (isZip) {
    const remote = await crating()
    const held = await remote.unpack(file.name, transfer(bytes, [bytes.buffer]))
    if (!held.ok) return held
    ;({ text, pictures, remarks: sentences } = held)
  } else text = new TextDecoder().decode(bytes)
  if (text.includes('\uFFFD'))
    sentences = [
      ...sentences,
      'Some letters in this file cannot be read (shown as �). It was saved in an encoding other than UTF-8, or it is damaged.',
    ]
  try {
    return { ok: true, file: JSON.parse(text.replace(/^\uFEFF/, '')), pictures, remarks: sentences }
  } catch {
    return {
      ok: false,
      sentence: isZip
        ? `The notebook in “${file.name}” cannot be read: the file is damaged.`
        : `${file.name} is incomplete or damaged. Choose one that was exported here.`,
    }
  }
}
