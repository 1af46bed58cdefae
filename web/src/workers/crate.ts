import { sha256 } from '@noble/hashes/sha2.js'
import { bytesToHex } from '@noble/hashes/utils.js'
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import { CORE_VERSION, fold, type NotebookId, type RawEntry } from '@ivory-crystal/core'
import {
  type CrateFile,
  crateMetadata,
  crateTrouble,
  heading,
  METADATA_PATH,
  NOTEBOOK_PATH,
  type Table,
  tablesOf,
} from '@ivory-crystal/core/crate'
import { csvOf } from '../format/csv'

/** No crate of a notebook unpacks to more, bytes; a file that says so is not unpacked. */
const UNPACKED_MOST = 200_000_000
/** Nor does one hold more files. */
const FILES_MOST = 20_000

type Tell = (share: number) => boolean | Promise<boolean>
export type Unpacked =
  { readonly ok: true; readonly text: string } | { readonly ok: false; readonly sentence: string }

/** A notebook as it goes out, and as it comes in. */
export const crate = {
  isThere: () => true,
  /**
   * One zip: the notebook’s own lines, its tables as CSV, and what each file is.
   *
   * @param exported the notebook as the server exports it, JSON
   * @returns null when it was told to stop
   */
  async pack(exported: string, nowMs: number, tell: Tell): Promise<Uint8Array | null> {
    const { notebook, entries } = JSON.parse(exported) as {
      notebook: { id: NotebookId; title: string }
      entries: readonly RawEntry[]
    }
    const view = fold(entries)
    if (!(await tell(0.3))) return null
    const contents: Record<string, Uint8Array> = { [NOTEBOOK_PATH]: strToU8(exported) }
    const files: CrateFile[] = [
      fileOf(NOTEBOOK_PATH, contents[NOTEBOOK_PATH] as Uint8Array, {
        name: 'The notebook',
        description: `Every line as it was written, ${entries.length} of them. This is what comes in again.`,
        encodingFormat: 'application/json',
      }),
    ]
    for (const table of tablesOf(view)) {
      const path = `${table.name}.csv`
      const bytes = strToU8(csvOf([table.columns.map(heading), ...table.rows]))
      contents[path] = bytes
      files.push(
        fileOf(path, bytes, {
          name: capitalOf(table),
          description: table.about,
          encodingFormat: 'text/csv',
          table,
        }),
      )
    }
    if (!(await tell(0.6))) return null
    contents[METADATA_PATH] = strToU8(
      crateMetadata({ notebook, view, files, nowMs, coreVersion: CORE_VERSION }),
    )
    // The description is found first.
    const { [METADATA_PATH]: metadata, ...rest } = contents
    const zipped = zipSync({ [METADATA_PATH]: metadata, ...rest }, { level: 6, mtime: zipTime(nowMs) })
    return (await tell(1)) ? zipped : null
  },
  /** The notebook in a zip that was handed over: only what is looked for is unpacked, and nothing is believed. */
  unpack(name: string, bytes: Uint8Array): Unpacked {
    let [count, declared] = [0, 0]
    try {
      const held = unzipSync(bytes, {
        filter: ({ name: path, originalSize }) => {
          count++
          const isWanted = path === METADATA_PATH || path === NOTEBOOK_PATH
          if (isWanted) declared += originalSize
          return isWanted && count <= FILES_MOST && declared <= UNPACKED_MOST
        },
      })
      if (count > FILES_MOST || declared > UNPACKED_MOST)
        return no(`“${name}” would unpack to more than a notebook can be: it was not unpacked.`)
      const metadata = held[METADATA_PATH]
      const notebook = held[NOTEBOOK_PATH]
      const trouble = crateTrouble(name, metadata ? strFromU8(metadata) : null, notebook !== undefined)
      if (trouble !== null || !notebook) return no(trouble ?? '')
      return { ok: true, text: strFromU8(notebook) }
    } catch {
      return no(`“${name}” cannot be unpacked: it is damaged, or no zip file.`)
    }
  },
}
export type Crate = typeof crate

const no = (sentence: string): Unpacked => ({ ok: false, sentence })
const capitalOf = ({ name }: Table) => name.replace(/^./, (letter) => letter.toUpperCase())

function fileOf(
  path: string,
  bytes: Uint8Array,
  said: Omit<CrateFile, 'path' | 'bytes' | 'sha256'>,
): CrateFile {
  return { path, bytes: bytes.length, sha256: bytesToHex(sha256(bytes)), ...said }
}

/** A zip keeps no year before 1980 and none after 2099. */
function zipTime(nowMs: number): number {
  return Math.min(Date.UTC(2099, 0, 1), Math.max(Date.UTC(1980, 0, 2), nowMs))
}
