import { sha256 } from '@noble/hashes/sha2.js'
import { bytesToHex } from '@noble/hashes/utils.js'
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import type { NotebookId } from '@ivory-crystal/core/ids'
import {
  fold,
  jpegTrouble,
  PHOTOGRAPH_BYTES_MOST,
  picturesIn,
  type RawEntry,
} from '@ivory-crystal/core/notebook'
import { readOlderVersions } from '@ivory-crystal/core/notebook/older'
import { CORE_VERSION } from '@ivory-crystal/core/version'
import {
  type CrateFile,
  crateMetadata,
  crateTrouble,
  hashInMetadata,
  heading,
  METADATA_PATH,
  NOTEBOOK_PATH,
  PICTURE_PATH,
  SCHEMA_PATH,
  type Table,
  tablesOf,
} from '@ivory-crystal/core/crate'
import { csvOf } from '../format/csv'

// A crate may hold lines of any version.
readOlderVersions()

/** No crate of a notebook unpacks to more, bytes; a file that says so is not unpacked. */
const UNPACKED_MOST = 120_000_000
/** Nor does any pack better than this. */
const TIMES_PACKED_MOST = 100
const SMALL = 1_000_000
/** Nor does one hold more files. */
const FILES_MOST = 20_000

type Tell = (share: number) => boolean | Promise<boolean>
export type Unpacked =
  | {
      readonly ok: true
      readonly text: string
      readonly pictures: readonly Picture[]
      readonly remarks: readonly string[]
    }
  | { readonly ok: false; readonly sentence: string }

/** A photograph under its SHA-256. */
export interface Picture {
  readonly sha256: string
  readonly jpeg: Uint8Array
}
/** What goes with a notebook beside its lines. */
export interface Beside {
  readonly pictures: readonly Picture[]
  /** PDFs of its pages. */
  readonly pages: readonly { readonly title: string; readonly file: string; readonly pdf: Uint8Array }[]
  /** The JSON Schema of its lines; null where it could not be fetched. */
  readonly schema: string | null
}

/** A notebook as it goes out, and as it comes in. */
export const crate = {
  isThere: () => true,
  /**
   * One zip: the notebook’s own lines, its tables as CSV, and what each file is.
   *
   * @param exported the notebook as the server exports it, JSON
   * @returns null when it was told to stop
   */
  async pack(exported: string, beside: Beside, nowMs: number, report: Tell): Promise<Uint8Array | null> {
    const { notebook, entries } = JSON.parse(exported) as {
      notebook: { id: NotebookId; title: string }
      entries: readonly RawEntry[]
    }
    const view = fold(entries)
    if (!(await report(0.3))) return null
    const contents: Record<string, Uint8Array> = { [NOTEBOOK_PATH]: strToU8(exported) }
    const files: CrateFile[] = [
      fileOf(NOTEBOOK_PATH, contents[NOTEBOOK_PATH] as Uint8Array, {
        name: 'The notebook',
        description: `Every entry as it was written, ${entries.length} of them. This is what comes in again.`,
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
    const add = (path: string, bytes: Uint8Array, facts: Omit<CrateFile, 'path' | 'bytes' | 'sha256'>) => {
      contents[path] = bytes
      files.push(fileOf(path, bytes, facts))
    }
    const shown = new Map(picturesIn(view).map(({ body }) => [body.sha256, body]))
    for (const { sha256: name, jpeg } of beside.pictures)
      add(`photographs/${name}.jpg`, jpeg, {
        name: `Photograph: ${shown.get(name)?.shows ?? ''}`,
        description: shown.get(name)?.text ?? '',
        encodingFormat: 'image/jpeg',
      })
    for (const { title, file, pdf } of beside.pages)
      add(`pages/${file}.pdf`, pdf, {
        name: title,
        description: 'The page as printed, with the entries it is based on.',
        encodingFormat: 'application/pdf',
      })
    if (beside.schema !== null)
      add(SCHEMA_PATH, strToU8(beside.schema), {
        name: 'What an entry may hold',
        description: 'JSON Schema of notebook.json.',
        encodingFormat: 'application/schema+json',
      })
    if (!(await report(0.6))) return null
    contents[METADATA_PATH] = strToU8(
      crateMetadata({ notebook, view, files, nowMs, coreVersion: CORE_VERSION }),
    )
    // The description is found first.
    const { [METADATA_PATH]: metadata, ...rest } = contents
    const zipped = zipSync(
      Object.fromEntries(
        Object.entries({ [METADATA_PATH]: metadata, ...rest }).map(([path, bytes]) => [
          path,
          // Pictures and pages are packed already.
          [bytes, { level: /\.(jpg|pdf)$/.test(path) ? 0 : 6 }] as const,
        ]),
      ),
      { mtime: zipTime(nowMs) },
    )
    return (await report(1)) ? zipped : null
  },
  /** The hashes of the photographs that stand in a notebook as it is exported. */
  picturesIn(exported: string): readonly string[] {
    const { entries } = JSON.parse(exported) as { entries: readonly RawEntry[] }
    return picturesIn(fold(entries)).map(({ body }) => body.sha256)
  },
  /** The notebook in a zip that was handed over: only what is looked for is unpacked, and nothing is believed. */
  unpack(name: string, bytes: Uint8Array): Unpacked {
    let [count, declared] = [0, 0]
    const most = Math.min(UNPACKED_MOST, Math.max(SMALL, bytes.length * TIMES_PACKED_MOST))
    try {
      const held = unzipSync(bytes, {
        filter: ({ name: path, originalSize }) => {
          count++
          const isWanted = path === METADATA_PATH || path === NOTEBOOK_PATH || PICTURE_PATH.test(path)
          if (isWanted) declared += originalSize
          return isWanted && count <= FILES_MOST && declared <= most
        },
      })
      if (count > FILES_MOST || declared > most)
        return no(`“${name}” would unpack to more than a notebook can hold, so it was not unpacked.`)
      const metadata = held[METADATA_PATH]
      const notebook = held[NOTEBOOK_PATH]
      const trouble = crateTrouble(name, metadata ? strFromU8(metadata) : null, notebook !== undefined)
      if (trouble !== null || !notebook) return no(trouble ?? '')
      const found = Object.entries(held).flatMap(([path, jpeg]) => {
        const name = PICTURE_PATH.exec(path)?.[1]
        return name === undefined ? [] : [{ sha256: name, jpeg }]
      })
      const pictures = found.filter(
        (one) =>
          jpegTrouble(one.jpeg) === null &&
          one.jpeg.length <= PHOTOGRAPH_BYTES_MOST &&
          bytesToHex(sha256(one.jpeg)) === one.sha256,
      )
      const bad = found.length - pictures.length
      const sentences = [
        ...(bad === 0
          ? []
          : [
              `${bad === 1 ? 'One photograph' : `${bad} photographs`} in it ${bad === 1 ? 'is' : 'are'} left out: not a complete picture, not the one the name says, or with details such as the place where it was taken.`,
            ]),
        ...changedSince(metadata, notebook),
      ]
      return { ok: true, text: strFromU8(notebook), pictures, remarks: sentences }
    } catch {
      return no(`“${name}” cannot be unpacked: it is damaged, or no zip file.`)
    }
  },
}
export type Crate = typeof crate

const no = (sentence: string): Unpacked => ({ ok: false, sentence })
const capitalOf = ({ name }: Table) => name.replace(/^./, (letter) => letter.toUpperCase())

/** Whether the notebook is still the one that was packed. */
function changedSince(metadata: Uint8Array | undefined, notebook: Uint8Array): readonly string[] {
  const recordedHash = hashInMetadata(metadata ? strFromU8(metadata) : '', NOTEBOOK_PATH)
  if (recordedHash === null)
    return ['The file gives no SHA-256 of the notebook in it, so changes since then cannot be detected.']
  return recordedHash === bytesToHex(sha256(notebook))
    ? []
    : [
        'The notebook in this file is not the one that was packed into it: its SHA-256 differs from the one the file gives. It has been changed since.',
      ]
}

function fileOf(
  path: string,
  bytes: Uint8Array,
  facts: Omit<CrateFile, 'path' | 'bytes' | 'sha256'>,
): CrateFile {
  return { path, bytes: bytes.length, sha256: bytesToHex(sha256(bytes)), ...facts }
}

/** A zip keeps no year before 1980 and none after 2099. */
function zipTime(nowMs: number): number {
  return Math.min(Date.UTC(2099, 0, 1), Math.max(Date.UTC(1980, 0, 2), nowMs))
}
