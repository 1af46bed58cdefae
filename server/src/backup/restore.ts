import { existsSync } from 'node:fs'
import { chmod, readdir, readFile, rename, rm, rmdir, stat, unlink, writeFile } from 'node:fs/promises'
import { basename, dirname, join } from 'node:path'
import type { NotebookId } from '@ivory-crystal/core/ids'
import type { RawEntry } from '@ivory-crystal/core/notebook'
import type { Restored } from '@ivory-crystal/core/wire'
import { HttpProblem } from '../http/problem'
import { linesLook, type LookedLines } from '../ledger/look'
import { flushFolder, freeName } from '../lineFile'
import { makeFolder } from '../folder'
import { picturesIn } from '../photographs/store'
import { hashedRow, readShelfFile, SHELF_BEGINNING } from '../shelf/rows'
import { type BackupFacts, JOURNAL, PHOTOGRAPHS, SEALED, SHELF } from './format'
import type { BackupParts } from './parts'
import { linesOf, type Staged, stageBackup } from './stage'

/** Lines stored together. */
const LINES_AT_ONCE = 1000
/** A backup on its way in, unpacked and checked; once it has this name it is brought in to its end, whatever happens. */
export const RESTORING = 'restoring'
const UNPACKING = 'restoring.new'
const ANSWERS = 'answers.json'

/**
 * Brings back what a backup has and this ledger has not, while it runs; what is here stays. It is unpacked and checked
 * beside what is here. From then on it goes in to its end: should the server end on the way, the next start goes on.
 *
 * @param zip path of the zip
 * @throws HttpProblem with a sentence
 */
export async function restore(
  zip: string,
  parts: BackupParts,
  { isLook, word }: { readonly isLook: boolean; readonly word: string | null },
): Promise<Restored> {
  const { folder } = parts
  await finishRestore(parts)
  const making = join(folder, UNPACKING)
  await rm(making, { recursive: true, force: true })
  const staged = await stageBackup(zip, making, word)
  if (isLook) {
    try {
      return await bringIn(staged, parts, true)
    } finally {
      await rm(making, { recursive: true, force: true })
    }
  }
  await writeFile(join(making, ANSWERS), JSON.stringify(staged.sealed), { mode: 0o600, flush: true })
  await flushFolder(making)
  const ready = join(folder, RESTORING)
  await rename(making, ready)
  await flushFolder(folder)
  const restored = await bringIn({ ...staged, folder: ready }, parts, false)
  await rm(ready, { recursive: true, force: true })
  return restored
}

/**
 * Goes on with a restore that was begun and not ended; what was only being unpacked is let go.
 *
 * @returns a sentence when there was one
 */
export async function finishRestore(parts: BackupParts): Promise<string | null> {
  const ready = join(parts.folder, RESTORING)
  await rm(join(parts.folder, UNPACKING), { recursive: true, force: true })
  if (!existsSync(ready)) return null
  try {
    const text = await readFile(join(ready, ANSWERS), 'utf8')
    const staged = await restaged(ready, JSON.parse(text) as Staged['sealed'])
    await bringIn(staged, parts, false)
    await rm(ready, { recursive: true, force: true })
    return 'An interrupted restore was completed.'
  } catch (error) {
    const aside = freeName(ready, 'failed')
    await rename(ready, aside)
    return `An interrupted restore could not be completed (${(error as Error).message}). It is kept in ${basename(aside)}; restore the backup once more.`
  }
}

async function restaged(folder: string, sealed: Staged['sealed']): Promise<Staged> {
  const { rows } = await readShelfFile(join(folder, SHELF))
  return {
    folder,
    facts: { madeAt: 0 } as BackupFacts,
    remarks: [],
    shelf: rows.filter(({ sort }) => sort !== 'sealed answer'),
    sealed,
    pictures: await picturesIn(folder, (sha256) => sha256),
  }
}

async function bringIn(staged: Staged, parts: BackupParts, isLook: boolean): Promise<Restored> {
  const { store, photographs, shelf, clock } = parts
  const known = new Set(await photographs.all())
  const remarks = [...staged.remarks]
  let freshPictures = 0
  let badPictures = 0
  // Pictures first: a line never speaks of one that is not there.
  for (const sha256 of staged.pictures) {
    if (known.has(sha256)) continue
    const bytes = await readFile(join(staged.folder, PHOTOGRAPHS, `${sha256}.jpg`))
    const refused = isLook
      ? await photographs.refusal(sha256, bytes)
      : await problemOf(photographs.keep(sha256, bytes))
    if (refused) badPictures += 1
    else freshPictures += 1
  }
  if (badPictures > 0)
    remarks.push(
      `${badPictures === 1 ? 'One photograph is' : `${badPictures} photographs are`} left out: not complete pictures.`,
    )
  const looks = new Map<NotebookId, { title: string; look: LookedLines; refused: number }>()
  const begin = async (id: NotebookId, title: string) => {
    const look = await linesLook(store, id, clock.now())
    if (!look.isHere && !isLook) await store.createNotebook({ id, title })
    const begun = { title, look, refused: 0 }
    looks.set(id, begun)
    return begun
  }
  for await (const step of linesOf(staged.folder)) {
    if (step.step === 'notebook') {
      await begin(step.id, step.title)
      continue
    }
    const of = looks.get(step.notebook) ?? (await begin(step.notebook, 'Notebook whose title was lost'))
    const entries = step.lines.map(({ entry }) => entry)
    for (let i = 0; i < entries.length; i += LINES_AT_ONCE) {
      const some = entries.slice(i, i + LINES_AT_ONCE)
      await of.look.add(some)
      if (!isLook) of.refused += await stored(parts, step.notebook, some)
    }
  }
  const rows = [...staged.shelf, ...staged.sealed]
  return {
    madeAt: staged.facts.madeAt,
    isSameLedger: staged.facts.ledger === store.ledger,
    notebooks: [...looks].map(([id, { title, look, refused }]) => {
      const report = look.report()
      return { id, title, ...report, refused: isLook ? report.refused : refused }
    }),
    photographs: { all: staged.pictures.length, fresh: freshPictures },
    shelf: { all: rows.length, fresh: await shelf.takeIn(rows, isLook) },
    remarks,
  }
}

async function problemOf(keeping: Promise<boolean>): Promise<HttpProblem | null> {
  try {
    await keeping
    return null
  } catch (error) {
    if (error instanceof HttpProblem) return error
    throw error
  }
}

/** How many of these were refused. */
async function stored({ store }: BackupParts, id: NotebookId, entries: readonly RawEntry[]): Promise<number> {
  const groups = entries.map((entry) => [entry])
  const answers = (await store.append(id, groups, { fromElsewhere: true })) ?? []
  return answers.filter(({ outcome }) => outcome !== 'stored' && outcome !== 'duplicate').length
}

/**
 * Puts a backup into a folder that holds nothing yet: the very ledger, its lines with their numbers and hashes. It is
 * unpacked and checked beside it, and takes its place at once: interrupted, the folder is as it was.
 *
 * @returns what the backup says of itself, and remarks
 * @throws HttpProblem when the folder holds anything, or the backup is damaged
 */
export async function restoreInto(
  folder: string,
  zip: string,
  word: string | null,
): Promise<{ readonly facts: BackupFacts; readonly remarks: readonly string[] }> {
  await requireEmpty(folder)
  const making = `${folder}.restoring`
  if (existsSync(making)) await requireLeftOver(making)
  await rm(making, { recursive: true, force: true })
  await makeFolder(making)
  const { facts, remarks, shelf, sealed } = await stageBackup(zip, making, word)
  let before = SHELF_BEGINNING
  const rows = [...shelf, ...sealed].map((row) => {
    const hashed = hashedRow(row, before)
    before = hashed.hash
    return `${JSON.stringify(hashed)}\n`
  })
  await writeFile(join(making, SHELF), rows.join(''), { mode: 0o600, flush: true })
  await rm(join(making, SEALED), { force: true })
  await flushFolder(making)
  const mode = await stat(folder).then(
    (info) => info.mode & 0o7777,
    () => null,
  )
  if (mode !== null) await chmod(making, mode)
  await takePlace(making, folder)
  return { facts, remarks }
}

/** Files that say nothing: what an interrupted start or restore of an earlier version leaves. */
async function requireEmpty(folder: string): Promise<void> {
  const names = await readdir(folder).catch((error: NodeJS.ErrnoException) => {
    if (error.code === 'ENOENT') return []
    throw error
  })
  for (const name of names) {
    const isNothing = [JOURNAL, SHELF].includes(name) && (await stat(join(folder, name))).size === 0
    if (!isNothing)
      throw new HttpProblem(
        409,
        'Not empty',
        `${folder} is not empty: it holds ${name}. Nothing was changed. Start its server and restore into that, or name an empty folder.`,
      )
  }
}

/** What stands where the backup is to be unpacked may only be left over from a restore that was interrupted. */
async function requireLeftOver(making: string): Promise<void> {
  const names = await readdir(making)
  const other = names.find((name) => ![JOURNAL, SHELF, SEALED, PHOTOGRAPHS].includes(name))
  if (other !== undefined)
    throw new HttpProblem(
      409,
      'In the way',
      `${making} is in the way: it holds ${other}, which no restore left there. Nothing was changed.`,
    )
}

async function takePlace(making: string, folder: string): Promise<void> {
  for (const name of await readdir(folder).catch(() => [] as string[])) await unlink(join(folder, name))
  try {
    await rename(making, folder)
  } catch {
    // Some systems do not rename onto a folder that is there, though empty.
    await rmdir(folder)
    await rename(making, folder)
  }
  await flushFolder(dirname(folder))
}
