import { mkdir, readdir, rm, stat, unlink, writeFile } from 'node:fs/promises'
import { dirname, join } from 'node:path'
import { Expected } from './expected'

/** The data folder cannot be used as it is. */
export class FolderUnusable extends Expected {
  constructor(folder: string, error: NodeJS.ErrnoException) {
    super(
      `${folder} cannot hold the notebook: ${reasonOf(error)}. Name another folder with IVORY_CRYSTAL_DATA=… .`,
    )
  }
}

/** What the system says of a file or folder, in words. */
export function reasonOf(error: NodeJS.ErrnoException): string {
  switch (error.code) {
    case 'EACCES':
    case 'EPERM':
      return 'it belongs to someone else'
    case 'EROFS':
      return 'it lies on a disk that can only be read'
    case 'ENOTDIR':
    case 'EEXIST':
      return 'there is a file in its place'
    case 'ENOENT':
      return 'there is no such folder, and none can be made there'
    case 'ENOSPC':
      return 'the disk is full'
    default:
      return error.message
  }
}

const OWN_FOLDER = 0o700

/**
 * Makes a folder and those above it where they are missing, closed to everyone but its user. One that is there keeps
 * its mode. (The recursive `mkdir` of Node.js never answers in a place such as /proc.)
 */
export async function makeFolder(folder: string): Promise<void> {
  try {
    if ((await stat(folder)).isDirectory()) return
    throw Object.assign(new Error('not a folder'), { code: 'ENOTDIR' })
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code !== 'ENOENT') throw error
  }
  if (dirname(folder) !== folder) await makeFolder(dirname(folder))
  await mkdir(folder, { mode: OWN_FOLDER }).catch((error: NodeJS.ErrnoException) => {
    // Another process may have made it meanwhile.
    if (error.code !== 'EEXIST') throw error
  })
}

/** Marks a folder as one that the demo made, and may empty. */
const DEMO_MARK = 'made-by-the-demo.txt'
const DEMO_MARK_TEXT =
  'This folder was made by the demo of Ivory Crystal. Each start of the demo replaces the files of the app in it.\n'

/** Files and folders that the app itself makes in a data folder. */
const OURS = [
  /^journal\.jsonl(\.|$)/,
  /^shelf\.jsonl(\.|$)/,
  /^database(\.(broken|old)-\d+)?$/,
  /^restoring(\.|$)/,
]
const PHOTOGRAPHS = 'photographs'
const PHOTOGRAPH = /^[0-9a-f]{64}\.jpg(\.|$)/
const LOCK = /^server\.lock(\.|$)/

/** The demo was asked to start in a folder it did not make. */
export class NotADemoFolder extends Expected {
  constructor(folder: string) {
    super(
      `${folder} holds files that the demo did not make, so nothing in it was touched. The demo replaces its data at each start: let it use its own folder (leave IVORY_CRYSTAL_DATA unset), or name an empty one.`,
    )
  }
}

/**
 * Prepares a folder for a fresh demo. Only a folder with the demo's mark is emptied, and only of files the app makes:
 * anything else in it stays. An empty folder gains the mark.
 *
 * @throws NotADemoFolder when it holds anything and no mark
 */
export async function beginDemoFolder(folder: string): Promise<void> {
  const names = (await readdir(folder)).filter((name) => !LOCK.test(name))
  if (names.length > 0 && !names.includes(DEMO_MARK)) throw new NotADemoFolder(folder)
  for (const name of names)
    if (OURS.some((ours) => ours.test(name))) await rm(join(folder, name), { recursive: true, force: true })
  const pictures = join(folder, PHOTOGRAPHS)
  for (const name of await readdir(pictures).catch(() => []))
    if (PHOTOGRAPH.test(name)) await unlink(join(pictures, name))
  await writeFile(join(folder, DEMO_MARK), DEMO_MARK_TEXT)
}
